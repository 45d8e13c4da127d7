import type { BrewPlan } from '@vendu/core';
import { useKitQuery } from '../api/kitApi';
import { useRecipeQuery } from '../api/recipesApi';
import { useForecaster } from '../board/useForecaster';
import { useShift } from '../board/useShift';
import { groundOf } from '../kit/groundOf';
import { ExpectedFigures } from '../ui/ExpectedFigures';

/** What the lot's model expects of a plan cut after its cups, beside the plan it comes from. */
export function ExpectedOfCut({ recipeId, from, to }: { recipeId: number; from: BrewPlan; to: BrewPlan }) {
  const { data: kit } = useKitQuery();
  const { data: recipe } = useRecipeQuery(recipeId);
  const { forecaster } = useForecaster(recipe && kit ? groundOf(recipe, kit) : null);
  const figures = useShift(forecaster, from, to);
  const isSame = JSON.stringify(from) === JSON.stringify(to);
  return (
    <div role="status" aria-label="Expected of it" className="min-h-16">
      {isSame ? (
        <p className="text-quiet">That is the plan as it is.</p>
      ) : figures ? (
        <ExpectedFigures figures={figures} />
      ) : (
        <p className="text-quiet">working it out</p>
      )}
    </div>
  );
}
