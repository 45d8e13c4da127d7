import { planWaterG, type BrewPlan } from '../plan/plan.js';
import type { TastingStage } from '../vocabulary.js';

/** A brew of the version that is to be proved. */
export interface ProofBrew {
  id: number;
  /** Count within the lot. */
  number: number;
  by: string;
  grinder: string;
  /** Whoever brewed it had the card alone. */
  fromCard: boolean;
  isSetAside: boolean;
  isSimulated: boolean;
  doseG: number;
  /** Onto the bed. */
  waterG: number;
  /** `null` where nobody read it. */
  tdsPercent: number | null;
  /** `null` without a weighed beverage: an assumed yield proves nothing. */
  yieldPercent: number | null;
  drainS: number | null;
  roastAgeDays: number;
  /** At which its sheets were written. */
  stages: readonly TastingStage[];
}

/** So far from the plan, as a share, a brew is of another recipe (assumed: half a gram of a dose of sixteen). */
const AS_PLANNED = 0.03;

/** Why a brew of the version proves nothing. */
export type NotCounted = 'excluded' | 'simulated' | 'other-dose' | 'other-water' | 'not-measured';

/** @returns `null` where the brew counts */
export function notCounted(
  brew: Pick<ProofBrew, 'isSetAside' | 'isSimulated' | 'doseG' | 'waterG' | 'tdsPercent' | 'yieldPercent'>,
  plan: BrewPlan,
): NotCounted | null {
  if (brew.isSetAside) return 'excluded';
  if (brew.isSimulated) return 'simulated';
  if (isOff(brew.doseG, plan.doseG)) return 'other-dose';
  if (isOff(brew.waterG, planWaterG(plan))) return 'other-water';
  return brew.tdsPercent === null || brew.yieldPercent === null ? 'not-measured' : null;
}

const isOff = (done: number, planned: number) => Math.abs(done - planned) > planned * AS_PLANNED;
