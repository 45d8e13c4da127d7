import {
  brewRecordsOf,
  readBrewsOf,
  type BrewListItem,
  type KitView,
  type RecipeView,
} from '@vendu/contract';
import type { BoardGround } from '../board/forecaster';
import { recipeKitOf } from './brewKitOf';

/**
 * What a forecaster has to know of a recipe: its kit, what is believed of its lot, its brews and the lot's in other kit.
 *
 * @param until - only brews that this one takes: what came after a brew is not what it was forecast from
 * @returns `null` where its brewer is not among the kit
 */
export function groundOf(
  recipe: RecipeView,
  kit: KitView,
  { until = () => true }: { until?: (brew: BrewListItem) => boolean } = {},
): BoardGround | null {
  const brewKit = recipeKitOf(recipe, kit);
  if (!brewKit) return null;
  return {
    kit: brewKit,
    prior: recipe.prior,
    brews: brewRecordsOf(recipe.brews.filter(until)),
    elsewhere: recipe.elsewhere.flatMap(({ brewerId, paperId, brews }) => {
      const otherKit = recipeKitOf({ brewerId, paperId }, kit);
      return otherKit
        ? [{ name: `${brewerId} ${paperId}`, kit: otherKit, brews: readBrewsOf(brews.filter(until)) }]
        : [];
    }),
    roastAgeDays: recipe.latestRoastAgeDays,
  };
}
