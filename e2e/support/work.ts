import type { Page } from '@playwright/test';
import type { BrewView, LotView, RecipeView } from '@vendu/contract';

// Short cuts through the API to where a test begins. The main job is walked by hand in its own test.

async function takeInLot(page: Page, name: string): Promise<LotView> {
  const data = { name, country: 'UG', process: 'washed', roastedOn: '2026-01-15', stockG: 1000 };
  return (await (await page.request.post('/api/lots', { data })).json()) as LotView;
}

export async function startRecipe(page: Page, name: string): Promise<RecipeView> {
  const lot = await takeInLot(page, name);
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
