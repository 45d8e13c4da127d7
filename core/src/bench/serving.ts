import type { BrewPlan } from '../plan/plan.js';
import type { BeverageMixing } from '../vocabulary.js';
import type { BenchEvent } from './benchEvents.js';

export const SERVING_TASKS = ['tail', 'bypass', 'mix', 'decant'] as const;
export type ServingTask = (typeof SERVING_TASKS)[number];

/** One thing to do with the finished beverage. */
export type Serving =
  | { task: 'bypass'; bypassG: number }
  | { task: 'mix'; how: BeverageMixing }
  | { task: 'decant' }
  /** What still runs out has a cup of its own. */
  | { task: 'tail' };

/** What the plan does between the end of the stream and the first reading, in the order of doing (common practice). */
export function servingOf({
  tailApart,
  bypassG,
  beverageMixed,
  decants,
}: Pick<BrewPlan, 'tailApart' | 'bypassG' | 'beverageMixed' | 'decants'>): Serving[] {
  return [
    ...(tailApart ? [{ task: 'tail' } as const] : []),
    ...(bypassG === undefined ? [] : [{ task: 'bypass', bypassG } as const]),
    ...(beverageMixed === undefined ? [] : [{ task: 'mix', how: beverageMixed } as const]),
    ...(decants ? [{ task: 'decant' } as const] : []),
  ];
}

/** Water that was added to the finished beverage, g: the plan's bypass, or none where it was left out. */
export function addedWaterG({
  plan: { bypassG = 0 },
  events,
}: {
  plan: Pick<BrewPlan, 'bypassG'>;
  events: readonly BenchEvent[];
}): number {
  return isLeftOut(events, 'bypass') ? 0 : bypassG;
}

function isLeftOut(events: readonly BenchEvent[], task: ServingTask): boolean {
  return events.some((event) => event.kind === 'not-served' && event.serving === task);
}
