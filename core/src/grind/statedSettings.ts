import { failure, success, type Failure, type Result } from '../result.js';
import { NINE_OF_TEN } from '../statistics/nineOfTen.js';
import { grinderCurve } from './grinderCurve.js';
import type { MeasuredGrinder } from './grindEquivalent.js';
import { sizeOfSetting } from './settingForSize.js';

/** What somebody states: this setting of one grinder is that setting of another. */
export interface StatedPair {
  setting: number;
  otherSetting: number;
}

/** A statement beside what was measured of both grinders. */
export interface StatedAgainstMeasured {
  /** What each grinds at the setting that is named of it, um. */
  grindUm: number;
  otherUm: number;
  /** Nine of ten times two settings that are alike measure no further apart, um. */
  withinUm: number;
  isAtOdds: boolean;
}

/** A statement beside the curves of both grinders; fails where one of them was not measured there. */
export function statedAgainstMeasured({
  stated: { setting, otherSetting },
  grinder,
  other,
}: {
  stated: StatedPair;
  grinder: MeasuredGrinder;
  other: MeasuredGrinder;
}): Result<StatedAgainstMeasured, Failure<'not-measured'>> {
  const [size, otherSize] = [sizeAtSetting(grinder, setting), sizeAtSetting(other, otherSetting)];
  if (size === null || otherSize === null)
    return failure('not-measured', 'One of the two was not measured at its setting.');
  const withinUm = NINE_OF_TEN * Math.hypot(size.sdUm, otherSize.sdUm);
  return success({
    grindUm: size.grindUm,
    otherUm: otherSize.grindUm,
    withinUm,
    isAtOdds: Math.abs(size.grindUm - otherSize.grindUm) > withinUm,
  });
}

/**
 * Whether two statements of the same pair of grinders cannot both be right: a coarser setting of one that is no coarser
 * on the other, or one setting with two answers further apart than a step.
 */
export function statedAtOdds(
  one: StatedPair,
  another: StatedPair,
  { settingStep, otherStep }: { settingStep: number; otherStep: number },
): boolean {
  const apart = one.setting - another.setting;
  const otherApart = one.otherSetting - another.otherSetting;
  if (Math.abs(apart) < settingStep / 2) return Math.abs(otherApart) > otherStep * 1.001;
  // Within a step of each scale two readings of it may cross.
  return apart * otherApart < 0 && Math.abs(otherApart) > otherStep * 1.001;
}

function sizeAtSetting(
  { points }: MeasuredGrinder,
  setting: number,
): { grindUm: number; sdUm: number } | null {
  const curve = grinderCurve({ points });
  if (!curve.ok) return null;
  const size = sizeOfSetting({ curve: curve.value, setting });
  return size.ok ? size.value : null;
}
