import type { BrewPlan, Pour } from '../plan/plan.js';

const pour = (startS: number, amountG: number, flowGps: number): Pour => ({
  startS,
  amountG,
  flowGps,
  agitation: 'none',
  isBloom: false,
});
const exercise = (pours: Pour[], drawdownS: number): BrewPlan => ({
  doseG: 15,
  kettleC: 94,
  grindUm: 700,
  pours,
  drawdownS,
});

/** What can be practised without coffee: dose, kettle and grind are only what a plan has. A recipe can be followed too. */
export const EXERCISES = {
  // A hundred grams in ten seconds is a lab's fixed habit (common practice).
  'hold-flow': exercise([pour(0, 100, 10)], 30),
  'hit-totals': exercise([pour(0, 40, 8), pour(15, 60, 8), pour(32, 50, 8), pour(48, 75, 8)], 66),
} as const satisfies Record<string, BrewPlan>;

export type ExerciseName = keyof typeof EXERCISES | 'follow-recipe';
export const EXERCISE_NAMES = [
  'hold-flow',
  'hit-totals',
  'follow-recipe',
] as const satisfies readonly ExerciseName[];
