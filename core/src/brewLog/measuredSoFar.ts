import { addedWaterG } from '../bench/serving.js';
import { pouredWaterG } from '../bench/planAgainstActual.js';
import { beverageFault } from '../extraction/measurementFaults.js';
import type { BrewPlan } from '../plan/plan.js';
import type { BrewSoFar } from './brewSoFar.js';

/**
 * What was measured at the bench, as the record takes it. A beverage no lighter than the water it came of is a slip, and
 * a guess at the right figure would be none: it is left out, and asked for again where the brew is measured.
 *
 * @returns the beverage, g, and the readings in turn, % TDS, with the samples they are of, C
 */
export function measuredSoFar({
  plan,
  soFar: { steps, events, beverageG, readings },
}: {
  plan: BrewPlan;
  soFar: Pick<BrewSoFar, 'steps' | 'events' | 'beverageG' | 'readings'>;
}): {
  beverageG: number | null;
  readings: { tdsPercent: number; sampleC: number | null }[];
} {
  const { waterG } = pouredWaterG({ plan, done: steps });
  const bypassG = addedWaterG({ plan, events });
  const isPossible = beverageG !== null && !beverageFault({ beverageG, waterG, bypassG });
  return {
    beverageG: isPossible ? beverageG : null,
    readings: readings.map(({ tdsPercent, sampleC }) => ({ tdsPercent, sampleC })),
  };
}
