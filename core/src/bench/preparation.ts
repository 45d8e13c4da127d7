import { grindingOf } from '../plan/grinding.js';
import { cupMarks, cupUnit, type CupSchedule } from '../plan/cupSchedule.js';
import { cupsEnd, pourKettlesC, type BrewPlan } from '../plan/plan.js';
import type { PaperFold, PaperSeating, WallMaterial } from '../vocabulary.js';

export const PREPARATION_TASKS = [
  'soak',
  'fold',
  'rinse',
  'discard',
  'weigh',
  'grind',
  'second-grind',
  'sieve',
  'level',
  'needles-dry',
  'chill-ball',
  'regulator',
  'shower-plate',
  'cups',
  'water',
  'tare',
] as const;
export type PreparationTask = (typeof PREPARATION_TASKS)[number];

/** One thing to have ready, with the figure it turns on. */
export interface Preparation {
  task: PreparationTask;
  /** In the unit of the task: min of soaking, g of rinse water, g to weigh, um of a grind or of a sieve's holes, C of kettle, g/s of a regulator, how many cups; `null` where there is none. */
  figure: number | null;
}

/** A thick wall of stone is warmed through by half as much water again (direction common practice, size assumed). */
const CERAMIC_RINSE = 1.5;

/** What is brewed with, as far as preparing it differs. */
export interface PreparedKit {
  /** Water to rinse the paper with, g. */
  rinseG: number;
  /** `null` where nobody looked. */
  fold?: PaperFold | null;
  /** What keeps the paper in place; `null` where a hand does. */
  seating?: PaperSeating | null;
  /** How long the paper lies in water before it is used, min. */
  soakMin?: number | null;
  wallMaterial?: WallMaterial | null;
}

/** What to have ready before the clock, in the order of doing (common practice). */
export function preparationOf({
  plan,
  rinseG,
  fold = null,
  seating = null,
  soakMin = null,
  wallMaterial = null,
}: PreparedKit & { plan: BrewPlan }): Preparation[] {
  const warmedG = Math.round(rinseG * (wallMaterial === 'ceramic' ? CERAMIC_RINSE : 1));
  const rinsing: Preparation[] =
    rinseG > 0
      ? [
          { task: 'rinse', figure: warmedG },
          // Forgotten rinse water spoils the beverage weight.
          { task: 'discard', figure: null },
        ]
      : [];
  return [
    { task: 'water', figure: pourKettlesC(plan)[0] ?? plan.kettleC },
    ...(soakMin ? [{ task: 'soak', figure: soakMin } as const] : []),
    ...(fold === null && seating === null ? [] : [{ task: 'fold', figure: null } as const]),
    ...rinsing,
    { task: 'weigh', figure: grindingOf(plan).toGrindG },
    { task: 'grind', figure: plan.grindUm },
    ...(plan.secondGrind === undefined
      ? []
      : [{ task: 'second-grind', figure: plan.secondGrind.grindUm } as const]),
    ...(plan.sieveUm === undefined ? [] : [{ task: 'sieve', figure: plan.sieveUm } as const]),
    { task: 'level', figure: null },
    ...(plan.needlesDry ? [{ task: 'needles-dry', figure: null } as const] : []),
    ...(plan.ballUntilS === undefined ? [] : [{ task: 'chill-ball', figure: null } as const]),
    ...(plan.regulatorGps === undefined ? [] : [{ task: 'regulator', figure: plan.regulatorGps } as const]),
    ...(plan.showerPlate ? [{ task: 'shower-plate', figure: null } as const] : []),
    ...(plan.cups === undefined ? [] : [{ task: 'cups', figure: cupsNeeded(plan, plan.cups) } as const]),
    { task: 'tare', figure: null },
  ];
}

/** Those that the plan fills, of an even schedule too. */
function cupsNeeded(plan: BrewPlan, cups: CupSchedule): number {
  return cupMarks(cups, cupsEnd(plan, cupUnit(cups))).length + 1;
}
