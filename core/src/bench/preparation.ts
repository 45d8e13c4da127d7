import { grindingOf } from '../plan/grinding.js';
import type { BrewPlan } from '../plan/plan.js';

export const PREPARATION_TASKS = [
  'rinse',
  'discard',
  'weigh',
  'grind',
  'second-grind',
  'sieve',
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
  /** In the unit of the task: g of rinse water, g to weigh, um of a grind or of a sieve's holes, C of kettle, g/s of a regulator; `null` where there is none. */
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
    { task: 'weigh', figure: grindingOf(plan).toGrindG },
    { task: 'grind', figure: plan.grindUm },
    ...(plan.secondGrind === undefined
      ? []
      : [{ task: 'second-grind', figure: plan.secondGrind.grindUm } as const]),
    ...(plan.sieveUm === undefined ? [] : [{ task: 'sieve', figure: plan.sieveUm } as const]),
    { task: 'level', figure: null },
    ...(plan.ballUntilS === undefined ? [] : [{ task: 'chill-ball', figure: null } as const]),
    ...(plan.regulatorGps === undefined ? [] : [{ task: 'regulator', figure: plan.regulatorGps } as const]),
    { task: 'tare', figure: null },
  ];
}
