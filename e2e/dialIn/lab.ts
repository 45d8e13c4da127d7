import type { Page } from '@playwright/test';
import { benchSteps, runningTotalsG, type BrewPlan } from '@vendu/core';
import type { BrewView, LotView, RecipeView } from '@vendu/contract';
import type { ByHand, Task } from '@vendu/measures/dialIn';

// A lot of the measures in a lab: taken in, brewed and read by the calls of the interface.

/** Of the demo's kit: a cone and a flat bottom with their papers. */
const BREWER: Record<Task['lot']['shape'], string> = {
  cone: 'Kittiwake cone',
  'flat-bottom': 'Slipway flat',
};

/** Takes a lot in and starts its recipe. */
export async function takeIn(page: Page, name: string, { lot: { facts, shape } }: Task): Promise<RecipeView> {
  const { brewers } = (await get(page, '/api/kit')) as { brewers: { id: number; name: string }[] };
  const lot = (await post(page, '/api/lots', {
    name,
    country: 'UG',
    process: facts.process,
    elevationFromM: facts.elevationM,
    elevationToM: facts.elevationM,
    roastLevel: facts.roastLevel,
    roastedOn: dayBefore(facts.roastAgeDays),
    stockG: 3000,
  })) as LotView;
  return (await post(page, `/api/lots/${lot.id}/recipes`, {
    brewerId: brewers.find((brewer) => brewer.name === BREWER[shape])?.id ?? 0,
    grinderId: 1,
  })) as RecipeView;
}

/** As bench, scale and refractometer send it. */
export async function store(page: Page, recipe: RecipeView, plan: BrewPlan, by: ByHand): Promise<BrewView> {
  const startedMs = Date.now() - 600_000;
  const totals = runningTotalsG(by.done);
  const atOf = (s: number) => Math.round(startedMs + 1000 * s);
  const stamps = benchSteps(plan).flatMap((step, stepIndex) => {
    if (step.kind === 'drawdown') return [{ stepIndex, atS: by.drawdownS, totalG: null }];
    if (step.kind !== 'pour') return [{ stepIndex, atS: step.plannedS, totalG: null }];
    const pour = step.pourNumber - 1;
    return [{ stepIndex, atS: by.done.pours[pour]?.startS ?? 0, totalG: totals[pour] ?? null }];
  });
  const entries = stamps.flatMap(({ stepIndex, atS, totalG }) => [
    { kind: 'marked', stepIndex, skipped: false, by: 'hand', atMs: atOf(atS) },
    ...(totalG === null ? [] : [{ kind: 'total-read', stepIndex, totalG: tenth(totalG), atMs: atOf(atS) }]),
  ]);
  const answer = await page.request.put(`/api/brews/by-key/${crypto.randomUUID()}`, {
    data: {
      recipeVersionId: recipe.versions[0]?.id,
      roastBatchId: recipe.latestRoastBatchId,
      entries: entries.map((entry, index) => ({ device: 'bench', number: index + 1, ...entry })),
    },
  });
  if (!answer.ok()) throw new Error(await answer.text());
  const brew = (await answer.json()) as BrewView;
  const weighed = await page.request.patch(`/api/brews/${brew.id}`, {
    data: {
      revision: brew.revision,
      doseG: plan.doseG,
      waterG: null,
      beverageG: tenth(by.beverageG),
      note: '',
    },
  });
  if (!weighed.ok()) throw new Error(await weighed.text());
  for (const tdsPercent of by.readingsPercent) {
    await post(page, `/api/brews/${brew.id}/readings`, { tdsPercent: Math.round(tdsPercent * 100) / 100 });
  }
  return brew;
}

export async function get(page: Page, path: string): Promise<unknown> {
  return (await page.request.get(path)).json();
}

async function post(page: Page, path: string, data: object): Promise<unknown> {
  const answer = await page.request.post(path, { data });
  if (!answer.ok()) throw new Error(`${path}: ${await answer.text()}`);
  return answer.json();
}

function tenth(value: number): number {
  return Math.round(value * 10) / 10;
}

function dayBefore(days: number): string {
  return new Date(Date.now() - days * 86_400_000).toISOString().slice(0, 10);
}
