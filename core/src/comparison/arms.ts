import type { BrewPlan } from '../plan/plan.js';

/** A brew that was made for an arm, as far as it bears on the comparison. */
export interface ComparedBrew {
  brewedBy: string;
  /** Milliseconds since 1970, for their order and distance. */
  startedAtMs: number;
  roastAgeDays: number;
  doseG: number;
  /** `null` where its end was not marked. */
  drainS: number | null;
  /** `null` where it was not read. */
  tdsPercent: number | null;
  /** `null` where it was not read or not weighed. */
  yieldPercent: number | null;
}

/** One side of a comparison: a version of a recipe, with what was brewed of it for this. */
export interface ComparedArm {
  lotName: string;
  brewerName: string;
  paperName: string;
  /** Empty where nobody said. */
  waterName: string;
  /** Empty where nobody said. */
  kettleName: string;
  grinderName: string;
  plan: BrewPlan;
  brews: readonly ComparedBrew[];
}

const ARM_LETTERS = 'ABCD';

/** Arms are called A to D, in the order in which they were named. */
export const armLetter = (arm: number): string => ARM_LETTERS[arm] ?? String(arm + 1);

/** As many as bear comparing at one table. */
export const ARMS = { fewest: 2, most: ARM_LETTERS.length } as const;
