import type { BrewPlan } from '../plan/plan.js';

const CLOSING_TASKS = [
  'discard-bed',
  'rinse',
  'brush-sieve',
  'chill-ball',
  'wipe-prism',
  'empty-kettle',
] as const;
export type ClosingTask = (typeof CLOSING_TASKS)[number];

/** What to put in order once a brew is read, in the order of doing (common practice). */
export function closingOf(plan: Pick<BrewPlan, 'sieveUm' | 'ballUntilS'>): ClosingTask[] {
  return CLOSING_TASKS.filter((task) => {
    if (task === 'brush-sieve') return plan.sieveUm !== undefined;
    return task !== 'chill-ball' || plan.ballUntilS !== undefined;
  });
}
