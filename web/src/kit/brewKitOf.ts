import { brewerGeometry, type BrewKit } from '@vendu/core';
import type { BrewerView, HouseView, KitView, PaperView, RecipeView } from '@vendu/contract';

/** What a brewer with a paper, its usual one unless given, in this lab is to the brew model. */
export function brewKitOf(
  brewer: BrewerView,
  house: HouseView,
  paper?: Pick<PaperView, 'resistancePerM' | 'fold'>,
): BrewKit {
  return {
    brewer: paper ? brewerGeometry(brewer, paper) : brewer.geometry,
    paperPerM: paper?.resistancePerM ?? brewer.paperResistancePerM,
    ambientC: house.roomC,
    elevationM: house.elevationM,
  };
}

/** What a recipe is brewed with; `null` where its brewer is not among the kit. */
export function recipeKitOf(
  { brewerId, paperId }: Pick<RecipeView, 'brewerId' | 'paperId'>,
  kit: KitView,
): BrewKit | null {
  const brewer = kit.brewers.find(({ id }) => id === brewerId);
  if (!brewer) return null;
  return brewKitOf(
    brewer,
    kit.house,
    kit.papers.find(({ id }) => id === paperId),
  );
}
