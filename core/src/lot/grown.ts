import type { Elevation, ElevationRange } from '../quantity/elevation.js';

/** From here up a lot counts as grown high, and up to here as grown low, m (common practice). */
const HIGH_FROM_M = 1700;
const LOW_TO_M = 1200;

/** The elevation that speaks for a lot: the middle of where it grew. */
export function middleElevationM({ fromM, toM }: ElevationRange): number {
  return (fromM + toM) / 2;
}

/** By its figures, or as somebody said. */
export function isHigh(elevation: Elevation): boolean {
  return typeof elevation === 'string' ? elevation === 'high' : middleElevationM(elevation) >= HIGH_FROM_M;
}

/** By its figures, or as somebody said. */
export function isLow(elevation: Elevation): boolean {
  return typeof elevation === 'string' ? elevation === 'low' : middleElevationM(elevation) <= LOW_TO_M;
}
