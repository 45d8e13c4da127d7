import { mean } from 'simple-statistics';
import { grouped } from '../statistics/grouped.js';

/** How far the last recheck of a lot lay off what was proven there, in its own standard deviations. */
export interface LotShift {
  lotId: number;
  grinder: string;
  /** By strength; above 0 stronger than proven. */
  byStrengthSd: number;
}

/** A grinder whose lots all moved the same way. */
export interface SharedShift {
  grinder: string;
  lots: number;
  /** On the mean over its lots. */
  byStrengthSd: number;
}

/** So far off on the mean, in standard deviations, lots of a grinder share a shift (assumed). */
const SHARED_SD = 1.2;
/** Fewer lots than this tell nothing of a grinder (assumed). */
const FEWEST_LOTS = 2;

/**
 * Shifts that the lots of one grinder share and lots elsewhere do not: those are the grinder's, not a coffee's. What lots on
 * every grinder share is the meter's or the water's, and no grinder is named for it.
 */
export function sharedShifts(shifts: readonly LotShift[]): SharedShift[] {
  const onEach = grouped(shifts, ({ grinder }) => grinder);
  return [...onEach].flatMap(([grinder, own]): SharedShift[] => {
    const byStrengthSd = meanShift(own);
    const elsewhere = meanShift(shifts.filter((shift) => shift.grinder !== grinder));
    const side = Math.sign(byStrengthSd);
    return own.length >= FEWEST_LOTS && Math.abs(byStrengthSd) >= SHARED_SD && side * elsewhere < SHARED_SD
      ? [{ grinder, lots: own.length, byStrengthSd }]
      : [];
  });
}

const meanShift = (shifts: readonly LotShift[]) =>
  shifts.length === 0 ? 0 : mean(shifts.map(({ byStrengthSd }) => byStrengthSd));
