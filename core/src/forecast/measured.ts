import { markedDrainS, type StepDone } from '../bench/planAgainstActual.js';
import { DRAIN_BY_EYE_SD_S } from '../calibration/evidence.js';
import type { BrewResult } from '../extraction/brewResult.js';
import type { BrewPlan } from '../plan/plan.js';
import type { Measured } from './outcome.js';

/** What of a brew was measured: a yield from an assumed beverage was not, nor the drain of a brewer lifted off. */
export function measuredOf({
  plan,
  steps,
  result,
}: {
  plan: BrewPlan;
  steps: readonly StepDone[];
  result: BrewResult | null;
}): Measured {
  const drainedS = plan.lifts ? null : markedDrainS({ plan, steps });
  return {
    drawdownS: drainedS === null ? null : { value: drainedS, sd: DRAIN_BY_EYE_SD_S },
    tdsPercent: result && { value: result.strength.meanPercent, sd: result.strength.uncertaintyPercent },
    yieldPercent:
      result?.yield.basis === 'weighed'
        ? { value: result.yield.yieldPercent, sd: result.yield.uncertaintyPoints }
        : null,
  };
}
