import { useMemo } from 'react';
import type { BrewKit } from '@vendu/core';
import { brewKitOf, recipeKitOf } from '../kit/brewKitOf';
import { useKitQuery } from '../api/kitApi';
import { useRecipeQuery } from '../api/recipesApi';

/** The kit of a recipe that is followed, or the lab's first brewer; `null` until it is known. */
export function usePracticeKit(recipeId: number | null): BrewKit | null {
  const { data: kit } = useKitQuery();
  const { data: recipe } = useRecipeQuery(recipeId ?? 0, { skip: recipeId === null });
  return useMemo(() => {
    if (!kit) return null;
    if (recipeId !== null) return recipe ? recipeKitOf(recipe, kit) : null;
    const [first] = kit.brewers;
    return first ? brewKitOf(first, kit.house) : null;
  }, [kit, recipe, recipeId]);
}
