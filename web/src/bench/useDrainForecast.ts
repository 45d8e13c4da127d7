import { useEffect, useMemo, useState } from 'react';
import { benchSteps, planAsGoing, pourEndS, type BrewPlan, type Expected, type StepDone } from '@vendu/core';
import { useForecaster } from '../board/useForecaster';
import type { BenchBrew } from './benchSlice';

/** A bed has at least this long to drain in a plan that is brewed late, s. */
const LEAST_DRAIN_S = 30;

/** When the brew as it is going will drain; `null` until the model has answered, or where it cannot. */
export function useDrainForecast(
  brew: BenchBrew,
  plan: BrewPlan,
  done: readonly StepDone[],
): Expected | null {
  const { forecaster } = useForecaster(brew.ground);
  const [expected, setExpected] = useState<Expected | null>(null);
  // Only a mark or a total changes it, never the clock.
  const going = useMemo(() => asGoing(plan, done), [plan, done]);
  useEffect(() => {
    if (!forecaster) return undefined;
    let isStale = false;
    void forecaster.forecast(going).then((result) => {
      if (!isStale) setExpected(result.ok ? result.value.expected.drawdownS : null);
    });
    return () => {
      isStale = true;
    };
  }, [forecaster, going]);
  return expected;
}

function asGoing(plan: BrewPlan, done: readonly StepDone[]): BrewPlan {
  const steps = benchSteps(plan);
  const poured = Object.fromEntries(
    done.flatMap(({ stepIndex, totalG }) => {
      const step = steps[stepIndex];
      return step?.kind === 'pour' && totalG !== null ? [[step.pourNumber, totalG]] : [];
    }),
  ) as Record<number, number>;
  const going = planAsGoing({ plan, done, poured });
  const lastEndS = Math.max(...going.pours.map(pourEndS));
  return { ...going, drawdownS: Math.max(going.drawdownS, Math.ceil(lastEndS + LEAST_DRAIN_S)) };
}
