import { checked } from '../input/checked.js';
import { firstOutOfRange, outOfRange, type OutOfRange } from '../input/ranges.js';
import { failure, success, type Failure, type Result } from '../result.js';
import { FEWEST_FOR_OUTLIER, outlyingOf, type OutlyingReading } from './outlyingReading.js';

/** Coffee solids per degree Brix, which reads sucrose (common practice: about 0.85). */
const TDS_PER_BRIX = 0.85;

/** Strength from a meter that reads in degrees Brix, % TDS. The factor is the trade's and good to a few per cent. */
export const tdsFromBrix = checked(
  { brixDegrees: { low: 0, high: 30, unit: '°Bx' } },
  ({ brixDegrees }: { brixDegrees: number }): number => TDS_PER_BRIX * brixDegrees,
);

/** A zero that wandered by more than this between two checks makes the readings between doubtful, % TDS (assumed). */
const DRIFTED_PERCENT = 0.02;

export interface ZeroedReadings {
  tdsPercents: number[];
  /** Whether the zero wandered by more than the readings can bear. */
  hasDrifted: boolean;
}

/**
 * Readings less the zero that the instrument showed on clean water, moving evenly from the check before to the
 * check after.
 *
 * @param zeroAfterPercent - the check before counts for all readings where nobody checked again
 */
export function correctForZero({
  tdsPercents,
  zeroBeforePercent,
  zeroAfterPercent = zeroBeforePercent,
}: {
  tdsPercents: readonly number[];
  zeroBeforePercent: number;
  zeroAfterPercent?: number;
}): Result<ZeroedReadings, OutOfRange> {
  const zero = { low: -1, high: 1, unit: '%' };
  const fault =
    firstOutOfRange(
      { zeroBeforePercent, zeroAfterPercent },
      { zeroBeforePercent: zero, zeroAfterPercent: zero },
    ) ??
    tdsPercents
      .map((reading, index) => outOfRange(`tdsPercents.${index}`, reading, { low: -1, high: 30, unit: '%' }))
      .find((found) => found !== null);
  if (fault) return fault;
  const steps = tdsPercents.length + 1;
  return success({
    tdsPercents: tdsPercents.map(
      (reading, index) =>
        reading - zeroBeforePercent - ((zeroAfterPercent - zeroBeforePercent) * (index + 1)) / steps,
    ),
    hasDrifted: Math.abs(zeroAfterPercent - zeroBeforePercent) > DRIFTED_PERCENT + 1e-9,
  });
}

export type SampleNote = 'too-hot' | 'too-cold' | 'zeroed-at-another-temperature';

/** How far apart zero and sample may be for the instrument's compensation to be trusted, K (assumed). */
const SAME_TEMPERATURE_K = 5;

/** What is wrong with the temperature of a sample; empty when it may be read. */
export function sampleNotes({
  sampleC,
  zeroedAtC,
  instrument,
}: {
  sampleC: number;
  zeroedAtC: number | null;
  /** Range that its maker states. */
  instrument: { lowestC: number; highestC: number };
}): Result<SampleNote[], OutOfRange> {
  const water = { low: 0, high: 100, unit: '°C' };
  const fault = firstOutOfRange(
    { sampleC, zeroedAtC: zeroedAtC ?? undefined },
    { sampleC: water, zeroedAtC: water },
  );
  if (fault) return fault;
  const notes: SampleNote[] = [];
  if (sampleC > instrument.highestC) notes.push('too-hot');
  if (sampleC < instrument.lowestC) notes.push('too-cold');
  if (zeroedAtC !== null && Math.abs(sampleC - zeroedAtC) > SAME_TEMPERATURE_K) {
    notes.push('zeroed-at-another-temperature');
  }
  return success(notes);
}

/**
 * The reading that does not belong to the others, by what an instrument is known to repeat to; `null` where none is out.
 */
export function outlyingReading({
  tdsPercents,
}: {
  tdsPercents: readonly number[];
}): Result<OutlyingReading | null, OutOfRange | Failure<'too-few-readings'>> {
  const fault = tdsPercents
    .map((reading, index) => outOfRange(`tdsPercents.${index}`, reading, { low: -1, high: 30, unit: '%' }))
    .find((found) => found !== null);
  if (fault) return fault;
  if (tdsPercents.length < FEWEST_FOR_OUTLIER) {
    return failure('too-few-readings', `An outlier can be told among ${FEWEST_FOR_OUTLIER} or more.`);
  }
  return success(outlyingOf(tdsPercents));
}
