import type { Page } from '@playwright/test';
import type { BrewView, LotView, ProofView, RecipeView } from '@vendu/contract';

// Short cuts through the API to where a test begins. The main job is walked by hand in its own test.

async function takeInLot(page: Page, name: string, facts: object): Promise<LotView> {
  const data = { ...facts, name, country: 'UG', process: 'washed', roastedOn: '2026-01-15', stockG: 1000 };
  return (await (await page.request.post('/api/lots', { data })).json()) as LotView;
}

export async function startRecipe(page: Page, name: string, facts: object = {}): Promise<RecipeView> {
  const lot = await takeInLot(page, name, facts);
  const response = await page.request.post(`/api/lots/${lot.id}/recipes`, {
    data: { brewerId: 1, grinderId: 1 },
  });
  return (await response.json()) as RecipeView;
}

export async function storeBrew(page: Page, recipe: RecipeView): Promise<BrewView> {
  const data = {
    recipeVersionId: recipe.versions[0]?.id,
    roastBatchId: recipe.latestRoastBatchId,
    entries: [
      {
        device: 'bench',
        number: 1,
        atMs: Date.now(),
        kind: 'marked',
        stepIndex: 0,
        skipped: false,
        by: 'hand',
      },
    ],
  };
  const response = await page.request.put(`/api/brews/by-key/${crypto.randomUUID()}`, { data });
  return (await response.json()) as BrewView;
}

export function benchPath(recipe: RecipeView): string {
  return `/bench/${recipe.versions[0]?.id ?? 0}?recipe=${recipe.id}`;
}

/** Lets pass what a version has not shown, and signs it off, as a lead. */
export async function signOff(page: Page, recipeVersionId: number): Promise<void> {
  const version = `/api/recipe-versions/${recipeVersionId}`;
  const { checks } = (await (await page.request.get(`${version}/proof`)).json()) as ProofView;
  const data = { reason: 'not what is tested' };
  for (const { check, state } of checks) {
    if (state === 'missing') await page.request.put(`${version}/waivers/${check}`, { data });
  }
  await page.request.put(`${version}/sign-off`, { data });
}

/** Signs off and publishes the newest version of a recipe, as a lead; the answer is the path of its card. */
export async function publish(page: Page, recipeId: number): Promise<string> {
  const { versions } = (await (await page.request.get(`/api/recipes/${recipeId}`)).json()) as RecipeView;
  const recipeVersionId = versions[0]?.id ?? 0;
  await page.request.put(`/api/recipe-versions/${recipeVersionId}/acceptance`);
  await signOff(page, recipeVersionId);
  const data = { recipeVersionId, introduction: '' };
  const published = (await (await page.request.post('/api/publications', { data })).json()) as RecipeView;
  return `/r/${published.publications[0]?.slug ?? ''}`;
}

/** Takes one thing of the kit from its list. */
export async function chooseKit(page: Page, label: string, name: string): Promise<void> {
  await page.getByLabel(label, { exact: true }).click();
  await page
    .getByRole('option', { name: new RegExp(`^${name}`) })
    .first()
    .click();
}
