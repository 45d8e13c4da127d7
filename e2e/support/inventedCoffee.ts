import {
  benchSteps,
  BREWER_CLASSES,
  forecastPlan,
  PAPER_PER_M,
  valueOf,
  type BrewPlan,
  type LearnedFactors,
} from '@vendu/core';
import type { Page } from '@playwright/test';
import type { BrewView, RecipeView } from '@vendu/contract';

const KIT = { brewer: BREWER_CLASSES.cone, paperPerM: PAPER_PER_M.ordinary, ambientC: 21, elevationM: 40 };

/** What a coffee that nobody knows yet gives with a plan. */
export function cupOf(plan: BrewPlan, truth: LearnedFactors) {
  const { tdsPercent, yieldPercent, beverageG, drawdownS } = valueOf(
    forecastPlan({ plan, kit: KIT, factors: truth }),
  );
  return { tdsPercent, yieldPercent, beverageG, drainedS: drawdownS ?? plan.drawdownS };
}

/** Brews the newest version as planned, and weighs and reads what the coffee gives, a little off as instruments are. */
export async function brewAndMeasure(
  page: Page,
  recipe: RecipeView,
  truth: LearnedFactors,
  {
    readingOff = 0.01,
    startedAt = Date.now(),
    coarserByUm = 0,
  }: {
    readingOff?: number;
    startedAt?: number;
    /** What a grinder that drifted gives on top of what is set. */
    coarserByUm?: number;
  } = {},
): Promise<BrewView> {
  const plan = recipe.versions[0]?.plan as BrewPlan;
  const cup = cupOf({ ...plan, grindUm: plan.grindUm + coarserByUm }, truth);
  const entries = benchSteps(plan).map((step, stepIndex) => ({
    device: 'bench',
    number: stepIndex + 1,
    atMs: Math.round(startedAt + 1000 * (step.kind === 'drawdown' ? cup.drainedS : step.plannedS)),
    kind: 'marked',
    stepIndex,
    skipped: false,
    by: 'hand',
  }));
  const data = { recipeVersionId: recipe.versions[0]?.id, roastBatchId: recipe.latestRoastBatchId, entries };
  const answer = await page.request.put(`/api/brews/by-key/${crypto.randomUUID()}`, { data });
  const brew = (await answer.json()) as BrewView;
  const beverageG = Math.round(cup.beverageG * 10) / 10;
  await page.request.patch(`/api/brews/${brew.id}`, {
    data: { revision: brew.revision, doseG: plan.doseG, waterG: null, beverageG, note: '' },
  });
  for (const off of [0, readingOff, -readingOff]) {
    const tdsPercent = Math.round(100 * (cup.tdsPercent + off)) / 100;
    await page.request.post(`/api/brews/${brew.id}/readings`, { data: { tdsPercent } });
  }
  return brew;
}
