import { grindingOf } from '../plan/grinding.js';
import type { BrewPlan } from '../plan/plan.js';
import type { BenchEvent } from './benchEvents.js';

/** What a sieve took of the coffee that was ground for a brew, g. */
export interface FinesTaken {
  finesG: number;
  /** As expected of the plan where nobody weighed it. */
  basis: 'as-weighed' | 'as-expected';
}

/** @returns `null` for a brew that nothing was sieved out of */
export function finesTaken({
  plan,
  events,
}: {
  plan: BrewPlan;
  events: readonly BenchEvent[];
}): FinesTaken | null {
  const weighed = events.findLast((event) => event.kind === 'fines-weighed');
  if (weighed) return { finesG: weighed.finesG, basis: 'as-weighed' };
  const wasLeftOut = events.some((event) => event.kind === 'not-prepared' && event.task === 'sieve');
  if (plan.sieveUm === undefined || wasLeftOut) return null;
  return { finesG: grindingOf(plan).finesG, basis: 'as-expected' };
}
