import { useEffect, useState } from 'react';
import type { BrewPlan, TracePoint } from '@vendu/core';
import type { DrainForecast } from '../board/forecaster';
import { useForecaster } from '../board/useForecaster';
import { soFar, type BenchBrew } from './benchBrew';

/** When the brew as it is going will drain; `null` until the model has answered, or where it cannot. */
export function useDrainForecast(
  brew: Pick<BenchBrew, 'ground' | 'log'>,
  plan: BrewPlan,
  outflow: readonly TracePoint[],
): DrainForecast | null {
  const { steps: done, events } = soFar(brew);
  const { forecaster } = useForecaster(brew.ground);
  const [drain, setDrain] = useState<DrainForecast | null>(null);
  // Only a mark, a total, something seen or what has run through changes it, never the clock.
  useEffect(() => {
    if (!forecaster) return undefined;
    let isStale = false;
    void forecaster.drainOf({ plan, done, events, outflow }).then((result) => {
      if (!isStale) setDrain(result.ok ? result.value : null);
    });
    return () => {
      isStale = true;
    };
  }, [forecaster, plan, done, events, outflow]);
  return drain;
}
