import type { BrewPlan } from '../plan/plan.js';
import type { BeverageMixing } from '../vocabulary.js';

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
