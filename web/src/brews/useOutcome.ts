import { useEffect, useState } from 'react';
import { measuredOf, type BrewOutcome } from '@vendu/core';
import { brewRecordOf, type BrewView, type KitView } from '@vendu/contract';
import { useForecaster } from '../board/useForecaster';
import { groundOf } from '../kit/groundOf';
import { useRecipeQuery } from '../api/recipesApi';

/** A brew beside the forecast that the brews before it gave; `null` until the model has answered, or where it cannot. */
export function useOutcome(brew: BrewView, kit: KitView | undefined): BrewOutcome | null {
  const { data: recipe } = useRecipeQuery(brew.recipeId);
  // A brew is not held against what it taught itself, nor against what came after it.
  const ground =
    recipe && kit ? groundOf(recipe, kit, { until: ({ number }) => number < brew.number }) : null;
  const { forecaster } = useForecaster(ground && { ...ground, roastAgeDays: brew.roastAgeDays });
  const [outcome, setOutcome] = useState<BrewOutcome | null>(null);
  useEffect(() => {
    if (!forecaster) return undefined;
    let isStale = false;
    void forecaster.outcome(brewRecordOf(brew), measuredOf(brew)).then((result) => {
      if (!isStale) setOutcome(result.ok ? result.value : null);
    });
    return () => {
      isStale = true;
    };
  }, [forecaster, brew]);
  return outcome;
}
