import { failure, success, type Failure, type Result } from '../result.js';
import { formatRatio } from '../quantity/ratio.js';
import { setWater } from './editPours.js';
import {
  planAllWaterG,
  planRatio,
  planWaterG,
  pouredForRatioG,
  roundToTenth,
  type BrewPlan,
} from './plan.js';

/** What an edit must leave as it is. */
export const LOCKS = ['dose', 'water', 'ratio'] as const;
export type Lock = (typeof LOCKS)[number];
export type LockReason = 'dose-locked' | 'water-locked' | 'cannot-follow';

/** Ratios closer than this are the same figure when printed. */
const SAME_RATIO = 0.005;
const SAME_G = 0.05;

/**
 * Makes an edit keep what is locked, or answers which lock stands against it. With the ratio locked, water
 * follows the dose and the dose follows the water; whatever else is locked cannot follow.
 *
 * @param after - the plan as an edit left it
 */
export function keepLocked({
  before,
  after,
  locks,
}: {
  before: BrewPlan;
  after: BrewPlan;
  locks: readonly Lock[];
}): Result<BrewPlan, Failure<LockReason>> {
  const doseMoved = Math.abs(after.doseG - before.doseG) > SAME_G;
  const waterMoved = Math.abs(planWaterG(after) - planWaterG(before)) > SAME_G;
  const ratio = planRatio(before);
  if (doseMoved && locks.includes('dose')) {
    return failure('dose-locked', `The dose is locked at ${before.doseG} g; unlock it first.`);
  }
  if (waterMoved && locks.includes('water')) {
    return failure(
      'water-locked',
      `The water is locked at ${planWaterG(before)} g; unlock it, or move an earlier pour.`,
    );
  }
  if (!locks.includes('ratio') || Math.abs(planRatio(after) - ratio) < SAME_RATIO) return success(after);
  if (waterMoved && !doseMoved) {
    const doseG = roundToTenth(planAllWaterG(after) / ratio);
    return keepLocked({ before, after: { ...after, doseG }, locks: without(locks, 'ratio') });
  }
  const edited = setWater({ pours: after.pours, waterG: pouredForRatioG(after, ratio) });
  if (!edited.ok) {
    return failure('cannot-follow', `The water cannot follow at ${formatRatio(ratio)}. ${edited.message}`);
  }
  return keepLocked({ before, after: { ...after, pours: edited.value }, locks: without(locks, 'ratio') });
}

function without(locks: readonly Lock[], lock: Lock): Lock[] {
  return locks.filter((each) => each !== lock);
}
