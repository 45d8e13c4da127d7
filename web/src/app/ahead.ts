import { brewsApi } from '../api/brewsApi';
import { changesApi } from '../api/changesApi';
import { kitApi } from '../api/kitApi';
import { lotsApi } from '../api/lotsApi';
import { recipesApi } from '../api/recipesApi';
import type { KitView, RecipeView } from '@vendu/contract';
import { giveBack, takeForecaster, warmForecaster } from '../board/keptForecasters';
import { groundOf } from '../kit/groundOf';
import type { createStore } from './store';

/** Sends a query; the page that needs its answer finds it under way or there. */
export type Ask = ReturnType<typeof createStore>['dispatch'];

/** Held by nobody yet: the page that comes holds it. */
export const AHEAD = { subscribe: false } as const;

/** A lot, and once it is known, what its page shows of the recipe brewed last: none of it waits for a drawing. */
export async function lotAhead(ask: Ask, id: number): Promise<void> {
  warmForecaster();
  const kit = ask(kitApi.endpoints.kit.initiate(undefined, AHEAD));
  void ask(changesApi.endpoints.changes.initiate(id, AHEAD));
  void ask(changesApi.endpoints.scores.initiate(undefined, AHEAD));
  const { data: lot } = await ask(lotsApi.endpoints.lot.initiate(id, AHEAD));
  const recipeId = lot?.brews.at(-1)?.recipeId;
  if (recipeId === undefined) return;
  const recipe = ask(recipesApi.endpoints.recipe.initiate(recipeId, AHEAD));
  const last = lot?.brews.findLast((brew) => brew.recipeId === recipeId && !brew.isSimulated);
  if (last) void ask(brewsApi.endpoints.brew.initiate(last.id, AHEAD));
  learnAhead((await recipe).data, (await kit).data);
}

export async function recipeAhead(ask: Ask, id: number): Promise<void> {
  warmForecaster();
  void ask(kitApi.endpoints.kit.initiate(undefined, AHEAD));
  const { data: recipe } = await ask(recipesApi.endpoints.recipe.initiate(id, AHEAD));
  if (recipe) void ask(changesApi.endpoints.changes.initiate(recipe.lot.id, AHEAD));
}

export async function brewAhead(ask: Ask, id: number): Promise<void> {
  warmForecaster();
  void ask(kitApi.endpoints.kit.initiate(undefined, AHEAD));
  const { data: brew } = await ask(brewsApi.endpoints.brew.initiate(id, AHEAD));
  if (brew) void ask(recipesApi.endpoints.recipe.initiate(brew.recipeId, AHEAD));
}

/** What a recipe's brews teach is learned at once; the page that asks for it takes up what is there by then. */
function learnAhead(recipe: RecipeView | undefined, kit: KitView | undefined): void {
  const ground = recipe && kit ? groundOf(recipe, kit) : null;
  if (ground) giveBack(takeForecaster(JSON.stringify(ground)));
}
