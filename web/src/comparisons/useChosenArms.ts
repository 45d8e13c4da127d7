import { skipToken } from '@reduxjs/toolkit/query';
import type { ComparedArm } from '@vendu/core';
import type { LotView, RecipeView } from '@vendu/contract';
import { useLotQuery } from '../api/lotsApi';
import { useRecipeQuery } from '../api/recipesApi';

/** An arm as far as somebody chose it; `null` for what is taken as usual. */
export interface ChosenArm {
  lotId: number;
  recipeId: number | null;
  versionId: number | null;
}

/** A choice with what stands behind it, as far as that is there. */
export interface ShownArm {
  lotId: number;
  lot: LotView | undefined;
  recipe: RecipeView | undefined;
  versionId: number | null;
  /** `null` until all of it is chosen and there. */
  compared: ComparedArm | null;
}

/** As many as there may be are asked for, since there may be no fewer or more questions from one drawing to the next. */
export function useChosenArms(arms: readonly ChosenArm[]): ShownArm[] {
  const lotOf = (place: number) => arms[place]?.lotId ?? skipToken;
  const lots = [
    useLotQuery(lotOf(0)).currentData,
    useLotQuery(lotOf(1)).currentData,
    useLotQuery(lotOf(2)).currentData,
    useLotQuery(lotOf(3)).currentData,
  ];
  const recipeIds = arms.map(({ recipeId }, place) => recipeId ?? usualRecipe(lots[place], place));
  const recipeOf = (place: number) => recipeIds[place] ?? skipToken;
  const recipes = [
    useRecipeQuery(recipeOf(0)).currentData,
    useRecipeQuery(recipeOf(1)).currentData,
    useRecipeQuery(recipeOf(2)).currentData,
    useRecipeQuery(recipeOf(3)).currentData,
  ];
  return arms.map(({ lotId, versionId }, place) => {
    const recipe = recipes[place];
    const chosen = versionId ?? usualVersion(recipe, recipeIds, place);
    return {
      lotId,
      lot: lots[place],
      recipe,
      versionId: chosen,
      compared: recipe && chosen !== null ? armOf(recipe, chosen) : null,
    };
  });
}

/** A lot in several brewers is compared between them. */
function usualRecipe(lot: LotView | undefined, place: number): number | null {
  return lot?.recipes[Math.min(place, lot.recipes.length - 1)]?.id ?? null;
}

/** Of one recipe the newest versions, the oldest of them as A: it is what the others are held against. */
function usualVersion(
  recipe: RecipeView | undefined,
  recipeIds: readonly (number | null)[],
  place: number,
): number | null {
  if (!recipe) return null;
  const alike = recipeIds.flatMap((id, index) => (id === recipe.id ? [index] : []));
  const compared = Math.min(alike.length, recipe.versions.length);
  return recipe.versions[compared - 1 - alike.indexOf(place)]?.id ?? null;
}

/** A version as an arm, before anything is brewed for it. */
function armOf(recipe: RecipeView, versionId: number): ComparedArm | null {
  const version = recipe.versions.find(({ id }) => id === versionId);
  if (!version) return null;
  const { brewerName, paperName, grinderName } = recipe;
  return {
    lotName: recipe.lot.name,
    brewerName,
    paperName,
    waterName: recipe.waterName ?? '',
    kettleName: recipe.kettleName ?? '',
    grinderName,
    plan: version.plan,
    brews: [],
  };
}
