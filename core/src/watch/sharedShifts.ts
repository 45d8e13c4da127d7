import { mean } from 'simple-statistics';
import { grouped } from '../statistics/grouped.js';

/** How far the last recheck of a lot lay off what was proven there, in standard deviations of one of its brews. */
export interface LotShift {
  lotId: number;
  grinder: string;
  /** By strength; above 0 stronger than proven. */
  byStrengthSd: number;
  /** By drain time; above 0 slower than proven, `null` where it was not timed. */
  byDrainSd: number | null;
}

/** A way that lots moved together, which is no coffee's. */
export interface SharedShift {
  /** Whose lots they are; `null` where lots on every grinder moved and their drain times did not: the meter's. */
  grinder: string | null;
  lots: number;
  /** On the mean over them. */
  byStrengthSd: number;
}

/** A proof has three brews or so, and its mean an error of its own: what one recheck lies off by chance, in standard deviations. */
const BY_CHANCE_SD = Math.sqrt(1 + 1 / 3);
/** Chance passes this in 1 of 100, whichever way (normal distribution). */
const TOLD_AT = 2.58;
/** Drain times within this have not moved; chance alone passes it in 13 of 100. */
const STEADY_WITHIN = 1.5;
/** Fewer lots than this tell nothing of a grinder, and of a meter (assumed). */
const FEWEST_ON_GRINDER = 2;
const FEWEST_AT_METER = 3;
/** Once a cup is off, so far on the mean its grinder's other lots are no coincidence, in standard deviations (assumed). */
const SUSPECTED_SD = 1.2;

/**
 * Shifts of strength that lots share, of the meter or of single grinders: those are not a coffee's. A grinder that drifted
 * moves strength and drain time together; a meter moves strength alone, and on every grinder.
 */
export function sharedShifts(shifts: readonly LotShift[]): SharedShift[] {
  const meter = meterShift(shifts);
  if (meter) return [meter];
  return [...grouped(shifts, ({ grinder }) => grinder)].flatMap(([grinder, own]): SharedShift[] => {
    const elsewhere = meanShift(shifts.filter((shift) => shift.grinder !== grinder));
    const byStrengthSd = meanShift(own);
    const isOthersToo = Math.sign(byStrengthSd) * elsewhere >= SUSPECTED_SD;
    return own.length >= FEWEST_ON_GRINDER && isTold(own) && !isOthersToo && !isDrainSteady(own)
      ? [{ grinder, lots: own.length, byStrengthSd }]
      : [];
  });
}

/**
 * Whether the other lots of a grinder moved as one that went off did, and lots elsewhere did not. A cup that is off is
 * itself evidence, so less is asked of the others than for a warning of its own.
 *
 * @param side - of the cup that went off: below 0 weaker
 * @returns how many lots of the grinder moved so; `null` where they did not
 */
export function suspectedWith(
  others: readonly LotShift[],
  { grinder, side }: { grinder: string; side: number },
): number | null {
  const own = others.filter((shift) => shift.grinder === grinder);
  const elsewhere = others.filter((shift) => shift.grinder !== grinder);
  const isSuspected =
    own.length >= FEWEST_ON_GRINDER &&
    side * meanShift(own) >= SUSPECTED_SD &&
    side * meanShift(elsewhere) < SUSPECTED_SD &&
    !isDrainSteady(own);
  return isSuspected ? own.length : null;
}

/** @returns what lots on every grinder share while their drain times hold; `null` where they do not */
export function meterShift(shifts: readonly LotShift[]): SharedShift | null {
  if (shifts.length < FEWEST_AT_METER || !isTold(shifts) || !isDrainSteady(shifts)) return null;
  const byStrengthSd = meanShift(shifts);
  const side = Math.sign(byStrengthSd);
  const isEveryGrinder = [...grouped(shifts, ({ grinder }) => grinder).values()].every(
    (own) => side * meanShift(own) > 0,
  );
  return isEveryGrinder ? { grinder: null, lots: shifts.length, byStrengthSd } : null;
}

const meanShift = (shifts: readonly LotShift[]) =>
  shifts.length === 0 ? 0 : mean(shifts.map(({ byStrengthSd }) => byStrengthSd));

/** How far a mean lies off in its own standard deviations. */
const inItsSd = (values: readonly number[]) =>
  (Math.abs(mean([...values])) * Math.sqrt(values.length)) / BY_CHANCE_SD;

const isTold = (shifts: readonly LotShift[]) =>
  inItsSd(shifts.map(({ byStrengthSd }) => byStrengthSd)) >= TOLD_AT;

/** Few drain times are no evidence that they held. */
function isDrainSteady(shifts: readonly LotShift[]): boolean {
  const known = shifts.flatMap(({ byDrainSd }) => byDrainSd ?? []);
  return known.length >= FEWEST_AT_METER && inItsSd(known) < STEADY_WITHIN;
}
