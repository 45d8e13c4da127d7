import type { ElevationRange } from '../quantity/elevation.js';

/** From here up a lot counts as grown high, and up to here as grown low, m (common practice). */
const HIGH_FROM_M = 1700;
const LOW_TO_M = 1200;

/** The elevation that speaks for a lot: the middle of where it grew. */
export function middleElevationM({ fromM, toM }: ElevationRange): number {
  return (fromM + toM) / 2;
}

export function isHigh(elevationM: number): boolean {
  return elevationM >= HIGH_FROM_M;
}

export function isLow(elevationM: number): boolean {
  return elevationM <= LOW_TO_M;
}
