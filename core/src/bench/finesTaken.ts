import { grindingOf } from '../plan/grinding.js';
import type { BrewPlan } from '../plan/plan.js';
import type { BenchEvent } from './benchEvents.js';

/** What a sieve took of the coffee that was ground for a brew, g. */
interface FinesTaken {
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
  const finesG = weighedFinesG(events);
  if (finesG !== null) return { finesG, basis: 'as-weighed' };
  const wasLeftOut = events.some((event) => event.kind === 'not-prepared' && event.task === 'sieve');
  if (plan.sieveUm === undefined || wasLeftOut) return null;
  return { finesG: grindingOf(plan).finesG, basis: 'as-expected' };
}

/** What was weighed under the sieve, g; `null` where nobody did. The last word counts. */
export function weighedFinesG(events: readonly BenchEvent[]): number | null {
  return events.findLast((event) => event.kind === 'fines-weighed')?.finesG ?? null;
}

/** The events with another weight of the fines, or none. */
export function withFinesWeighed(events: readonly BenchEvent[], finesG: number | null): BenchEvent[] {
  const others = events.filter(({ kind }) => kind !== 'fines-weighed');
  return finesG === null ? others : [{ kind: 'fines-weighed', atS: 0, finesG }, ...others];
}
