import { formatDuration } from '../quantity/duration.js';
import type { BrewPlan } from './plan.js';

/** When a brew ends, as it is said: one moment, or a window of a few seconds. */
export function endWords({ drawdownS, endWithinS = 0 }: Pick<BrewPlan, 'drawdownS' | 'endWithinS'>): string {
  const from = formatDuration(drawdownS);
  return endWithinS === 0 ? from : `${from} to ${formatDuration(drawdownS + endWithinS)}`;
}
