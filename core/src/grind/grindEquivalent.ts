import { grinderCurve, sizeAt, type MeasuredPoint } from './grinderCurve.js';
import { settingForSize } from './settingForSize.js';
import type { CalibrationPoint } from './grinderSetting.js';

/** A grinder with what was measured of it. */
export interface MeasuredGrinder {
  points: readonly MeasuredPoint[];
  /** Smallest step of its scale. */
  settingStep: number;
  /** Where its scale begins and ends, as far as somebody looked. */
  finestSetting?: number | null;
  coarsestSetting?: number | null;
}

/** What a size means on one grinder. */
export type GrindEquivalent =
  | {
      kind: 'setting';
      /** To the nearest step of its scale. */
      setting: number;
      /** Nine of ten times the right setting lies between these, as far as the grinder was measured. */
      lowSetting: number;
      highSetting: number;
      /** What it grinds at that step, um. */
      grindUm: number;
    }
  | {
      kind: 'out-of-reach';
      nearest: CalibrationPoint;
      /** How far its nearest is off, um; below 0 where it is finer than wanted. */
      offUm: number;
      /** What to do with that grinder instead. */
      instead: string;
    }
  | { kind: 'not-measured'; message: string };

/**
 * The same grind on another grinder. Where it does not get there, what makes up for it; the directions are common
 * practice: what is too coarse wants contact, what is too fine wants less of it.
 *
 * @param grindUm - median size wanted, um
 * @param sdUm - standard uncertainty of that size, um
 */
export function grindEquivalent({
  grinder: { points, settingStep, finestSetting, coarsestSetting },
  grindUm,
  sdUm = 0,
}: {
  grinder: MeasuredGrinder;
  grindUm: number;
  sdUm?: number;
}): GrindEquivalent {
  const curve = grinderCurve({ points });
  if (!curve.ok) return { kind: 'not-measured', message: curve.message };
  const found = settingForSize({ curve: curve.value, grindUm, sdUm });
  if (!found.ok) {
    const isFiner = found.reason === 'finer-than-reach';
    const scaleEnd = isFiner ? finestSetting : coarsestSetting;
    const goesOn =
      scaleEnd != null && (isFiner ? scaleEnd < found.nearest.setting : scaleEnd > found.nearest.setting);
    if (goesOn) {
      return {
        kind: 'not-measured',
        message: `Not measured ${isFiner ? 'finer' : 'coarser'} than at ${found.nearest.setting}; its scale goes on to ${scaleEnd}. Measure a point there.`,
      };
    }
    return {
      kind: 'out-of-reach',
      nearest: found.nearest,
      offUm: found.nearest.grindUm - grindUm,
      instead: isFiner ? TOO_COARSE : TOO_FINE,
    };
  }
  const { setting, lowSetting, highSetting } = found.value;
  const onScale = (exact: number) => Math.round(Math.round(exact / settingStep) * settingStep * 100) / 100;
  // A step beyond what was measured would be a guess.
  const [finest, coarsest] = [
    curve.value.points[0]?.setting ?? setting,
    curve.value.points.at(-1)?.setting ?? setting,
  ];
  const stepped = Math.min(coarsest, Math.max(finest, onScale(setting)));
  return {
    kind: 'setting',
    setting: stepped,
    lowSetting: Math.max(finest, onScale(lowSetting)),
    highSetting: Math.min(coarsest, onScale(highSetting)),
    grindUm: sizeAt(curve.value, stepped)?.grindUm ?? grindUm,
  };
}

/** The grinder's finest is still too coarse. */
const TOO_COARSE =
  'its finest, with more contact: a slower paper, one more pour, a swirl, or a brewer that steeps';
/** The grinder's coarsest is still too fine. */
const TOO_FINE =
  'its coarsest, with less contact: a faster paper, fewer pours, no swirl, or the fines sieved off';
