import { NINE_OF_TEN } from '../statistics/nineOfTen.js';
import { failure, success, type Failure, type Result } from '../result.js';
import { settingAt, sizeAt, type GrinderCurve } from './grinderCurve.js';
import { outOfReach, type OutOfReach } from './grinderSetting.js';

/** A setting with the range that its uncertainty leaves, kept inside what was measured. */
export interface SettingRange {
  setting: number;
  lowSetting: number;
  highSetting: number;
  grindUm: number;
  /** Standard uncertainty of the size aimed at, um. */
  sdUm: number;
}

/** A grinder's setting for a size that is known so well; nine of ten times the right one is in the range. */
export function settingForSize({
  curve,
  grindUm,
  sdUm = 0,
}: {
  curve: GrinderCurve;
  grindUm: number;
  sdUm?: number;
}): Result<SettingRange, OutOfReach> {
  const [finest, coarsest] = [curve.points[0], curve.points.at(-1)];
  if (!finest || !coarsest || !(grindUm >= finest.grindUm)) {
    return outOfReach('finer-than-reach', finest ?? { setting: 0, grindUm: 0 });
  }
  if (grindUm > coarsest.grindUm) return outOfReach('coarser-than-reach', coarsest);
  const setting = settingAt(curve, grindUm) ?? finest.setting;
  const total = Math.hypot(sdUm, sizeAt(curve, setting)?.sdUm ?? 0);
  const reach = NINE_OF_TEN * total;
  return success({
    setting,
    lowSetting: settingAt(curve, Math.max(finest.grindUm, grindUm - reach)) ?? finest.setting,
    highSetting: settingAt(curve, Math.min(coarsest.grindUm, grindUm + reach)) ?? coarsest.setting,
    grindUm,
    sdUm: total,
  });
}

/** What a grinder grinds at a setting of its scale, and how well that is known. */
export function sizeOfSetting({
  curve,
  setting,
}: {
  curve: GrinderCurve;
  setting: number;
}): Result<{ grindUm: number; sdUm: number }, Failure<'setting-not-measured'>> {
  const size = sizeAt(curve, setting);
  if (size) return success(size);
  const [low, high] = [curve.points[0]?.setting, curve.points.at(-1)?.setting];
  return failure(
    'setting-not-measured',
    `Setting ${setting} lies outside the measured ${low ?? 0} to ${high ?? 0}; settings are never extrapolated.`,
  );
}
