import type { BrewView, KitView, RecipeView } from '@vendu/contract';
import { useForecaster } from '../board/useForecaster';
import { groundOf } from '../kit/groundOf';

/**
 * After the newest brew comes the next change: what its figures teach is learned while they are still being entered, so
 * that the proposals are there when they are asked for.
 */
export function useLearnAhead(
  brew: BrewView,
  recipe: RecipeView | undefined,
  kit: KitView | undefined,
): void {
  const isNewest = recipe?.brews.at(-1)?.id === brew.id;
  useForecaster(recipe && kit && isNewest ? groundOf(recipe, kit) : null);
}
