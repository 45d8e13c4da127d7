import type { BrewPlan } from '../plan/plan.js';

export const PREPARATION_TASKS = [
  'rinse',
  'discard',
  'weigh',
  'grind',
  'level',
  'chill-ball',
  'regulator',
  'water',
  'tare',
] as const;
export type PreparationTask = (typeof PREPARATION_TASKS)[number];

/** One thing to have ready, with the figure it turns on. */
export interface Preparation {
  task: PreparationTask;
  /** In the unit of the task: g of rinse water, g of dose, C of kettle, g/s of a regulator; `null` where there is none. */
  figure: number | null;
}

/** What to have ready before the clock, in the order of doing (common practice). */
export function preparationOf({ plan, rinseG }: { plan: BrewPlan; rinseG: number }): Preparation[] {
  const rinsing: Preparation[] =
    rinseG > 0
      ? [
          { task: 'rinse', figure: rinseG },
          // Forgotten rinse water spoils the beverage weight.
          { task: 'discard', figure: null },
        ]
      : [];
  return [
    { task: 'water', figure: plan.kettleC },
    ...rinsing,
    { task: 'weigh', figure: plan.doseG },
    { task: 'grind', figure: plan.grindUm },
    { task: 'level', figure: null },
    ...(plan.ballUntilS === undefined ? [] : [{ task: 'chill-ball', figure: null } as const]),
    ...(plan.regulatorGps === undefined ? [] : [{ task: 'regulator', figure: plan.regulatorGps } as const]),
    { task: 'tare', figure: null },
  ];
}
