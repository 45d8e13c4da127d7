import { failure, success, type Failure, type Result } from '../result.js';

/** One measured point of a grinder: at this setting it grinds to this median size. */
export interface CalibrationPoint {
  setting: number;
  grindUm: number;
}

/** A failure to reach a size still says how near the grinder gets. */
export interface OutOfReach {
  ok: false;
  reason: 'finer-than-reach' | 'coarser-than-reach';
  message: string;
  nearest: CalibrationPoint;
}

/**
 * The setting of a grinder for a wanted median size, by straight lines between its measured points.
 *
 * @param points - two or more, in any order; the size must rise with the setting
 * @param grindUm - wanted median size, micrometres
 * @param settingStep - smallest step of its scale, to the nearest of which the setting is rounded; unrounded without
 * @returns the setting; out of the measured span a failure with the nearest point, since a
 *   grinder's scale carries over badly and is never extrapolated
 */
export function grinderSettingFor({
  points,
  grindUm,
  settingStep,
}: {
  points: readonly CalibrationPoint[];
  grindUm: number;
  settingStep?: number;
}): Result<number, OutOfReach | Failure<'too-few-points' | 'not-monotone'>> {
  const sorted = [...points].sort((a, b) => a.setting - b.setting);
  const [finest, coarsest] = [sorted[0], sorted.at(-1)];
  if (sorted.length < 2 || finest === undefined || coarsest === undefined) {
    return failure(
      'too-few-points',
      'This grinder needs two or more measured points before it has settings.',
    );
  }
  if (sorted.some((point, index) => index > 0 && point.grindUm <= (sorted[index - 1]?.grindUm ?? 0))) {
    return failure(
      'not-monotone',
      'A coarser setting of this grinder measured no coarser; measure its points again.',
    );
  }
  if (grindUm < finest.grindUm) return outOfReach('finer-than-reach', finest);
  if (grindUm > coarsest.grindUm) return outOfReach('coarser-than-reach', coarsest);
  const above = sorted.findIndex((point, index) => index > 0 && point.grindUm >= grindUm);
  const [low, high] = [sorted[above - 1] ?? finest, sorted[above] ?? coarsest];
  const share = (grindUm - low.grindUm) / (high.grindUm - low.grindUm);
  const setting = low.setting + share * (high.setting - low.setting);
  if (settingStep === undefined) return success(setting);
  // To the hundredth, as scales are marked: a sum of steps is a little off.
  return success(Math.round(Math.round(setting / settingStep) * settingStep * 100) / 100);
}

/** A size that a grinder does not reach, with the nearest it does. */
export function outOfReach(reason: OutOfReach['reason'], nearest: CalibrationPoint): OutOfReach {
  const direction = reason === 'finer-than-reach' ? 'finer' : 'coarser';
  return {
    ok: false,
    reason,
    message: `This grinder is not measured ${direction} than ${nearest.grindUm} µm at setting ${nearest.setting}.`,
    nearest,
  };
}
