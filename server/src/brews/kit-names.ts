import type { BrewKitNames } from '@vendu/contract';
import { grinderView } from '../kit/kit-views.js';
import { BrewerModel } from '../kit/brewer.model.js';
import { GrinderModel } from '../kit/grinder.model.js';
import type { HouseModel } from '../kit/house.model.js';
import { KettleModel } from '../kit/kettle.model.js';
import { PaperModel } from '../kit/paper.model.js';
import { WaterModel } from '../kit/water.model.js';
import { settingFor } from '../recipes/recipe-views.js';
import type { RecipeVersionModel } from '../recipes/recipe-version.model.js';
import type { RecipeModel } from '../recipes/recipe.model.js';

/** What a recipe has to be loaded with for the names of its kit. */
export const WITH_KIT = [BrewerModel, PaperModel, GrinderModel, WaterModel, KettleModel];

/** Where and with what a version is brewed, by the names that things have now. */
export function kitNames(
  { recipe, grinder = recipe.grinder }: { recipe: RecipeModel; grinder?: GrinderModel },
  { plan }: Pick<RecipeVersionModel, 'plan'>,
  { name, place, elevationM, roomC }: Pick<HouseModel, 'name' | 'place' | 'elevationM' | 'roomC'>,
  scale: string,
): BrewKitNames {
  const { brewer, paper, water, kettle } = recipe;
  const { grinderSetting, secondSetting } = settingFor(plan, grinderView(grinder));
  return {
    lab: { name, place, elevationM, roomC },
    brewer: brewer.name,
    paper: paper.name,
    grinder: `${grinder.name}, ${grinder.burrSet}`,
    grinderSetting,
    ...(secondSetting === null ? {} : { secondSetting }),
    water: water?.name ?? null,
    kettle: kettle?.name ?? null,
    scale,
  };
}
