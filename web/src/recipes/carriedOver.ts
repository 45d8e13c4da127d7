import type { BrewPlan } from '@vendu/core';
import { VERSION_NOTE, type NewRecipeDto, type RecipeView } from '@vendu/contract';

/** A recipe that begins with the kit and aim of another, and with a plan of its own. */
export function carriedOver(
  recipe: RecipeView,
  { plan, note }: { plan: BrewPlan; note: string },
): NewRecipeDto {
  return {
    brewerId: recipe.brewerId,
    grinderId: recipe.grinderId,
    paperId: recipe.paperId,
    doseG: null,
    waterId: recipe.waterId,
    kettleId: recipe.kettleId,
    aim: recipe.aim,
    schools: recipe.hasOwnSchools ? recipe.schools : null,
    switchedOff: [],
    offersTaken: [],
    plan,
    // What is told of two lots in full may be longer.
    note: note.slice(0, VERSION_NOTE.max),
  };
}
