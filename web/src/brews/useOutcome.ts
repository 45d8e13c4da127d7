import { useEffect, useState } from 'react';
import { DRAIN_BY_EYE_SD_S, planAgainstActual, type BrewOutcome, type Measured } from '@vendu/core';
import { brewRecordOf, brewRecordsOf, type BrewView, type KitView } from '@vendu/contract';
import { useForecaster } from '../board/useForecaster';
import { recipeKitOf } from '../kit/brewKitOf';
import { useRecipeQuery } from '../api/recipesApi';

/** A brew beside the forecast that the brews before it gave; `null` until the model has answered, or where it cannot. */
export function useOutcome(brew: BrewView, kit: KitView | undefined): BrewOutcome | null {
  const { data: recipe } = useRecipeQuery(brew.recipeId);
  const brewKit = recipe && kit ? recipeKitOf(recipe, kit) : null;
  const { forecaster } = useForecaster(
    recipe && brewKit
      ? {
          kit: brewKit,
          prior: recipe.prior,
          // A brew is not held against what it taught itself.
          brews: brewRecordsOf(recipe.brews.filter(({ number }) => number < brew.number)),
          roastAgeDays: brew.roastAgeDays,
        }
      : null,
  );
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

/** What of a brew was measured; a yield from an assumed beverage was not. */
function measuredOf({ plan, steps, result }: BrewView): Measured {
  const drawdownS = planAgainstActual({ plan, done: steps }).find(
    ({ step }) => step.kind === 'drawdown',
  )?.doneS;
  return {
    // A brewer lifted off says nothing of when it would have drained.
    drawdownS: plan.lifts || drawdownS == null ? null : { value: drawdownS, sd: DRAIN_BY_EYE_SD_S },
    tdsPercent: result && { value: result.strength.meanPercent, sd: result.strength.uncertaintyPercent },
    yieldPercent:
      result?.yield.basis === 'weighed'
        ? { value: result.yield.yieldPercent, sd: result.yield.uncertaintyPoints }
        : null,
  };
}
