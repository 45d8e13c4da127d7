import { mean, sampleStandardDeviation } from 'simple-statistics';
import {
  BENCH_INSTRUMENTS,
  FEWEST_READINGS,
  REPEATABILITY_PERCENT,
  SAMPLE_PERCENT,
  WIDE_SPREAD_PERCENT,
} from './instruments.js';
import { outlyingOf, type OutlyingReading } from './outlyingReading.js';

export interface ReadingSummary {
  count: number;
  meanPercent: number;
  /** Largest less smallest reading, % TDS. */
  spreadPercent: number;
  /** Sample standard deviation; `null` below two readings. */
  sdPercent: number | null;
  /** Standard uncertainty of the mean: the instrument's own and the repeats' together, % TDS. */
  uncertaintyPercent: number;
  /**
   * Standard uncertainty against another cup read on the same instrument, whose own error both share: what decides
   * whether two brews differ, % TDS.
   */
  comparablePercent: number;
  /** The reading that does not belong to the others, if one does not. */
  outlying: OutlyingReading | null;
  /** What a careful reader would say of this set; empty when nothing is wrong with it. */
  notes: ReadingNote[];
}

export type ReadingNote = 'too-few' | 'spread-wide' | 'one-off';

/**
 * Mean, spread and uncertainty of repeated refractometer readings of one sample.
 *
 * The instrument's 0.03 % is common to all readings (its zero and its scale), so repeating does not
 * shrink it: u^2 = u_instrument^2 + s^2 / n (JCGM 100:2008, 4.2.3 and 4.3).
 *
 * @param tdsPercents - readings in % by mass, in the order taken
 * @returns `null` when there is no reading
 */
export function summariseReadings(tdsPercents: readonly number[]): ReadingSummary | null {
  if (tdsPercents.length === 0) return null;
  const values = [...tdsPercents];
  const spreadPercent = Math.max(...values) - Math.min(...values);
  const sdPercent = values.length > 1 ? sampleStandardDeviation(values) : null;
  const outlying = outlyingOf(values);
  const notes: ReadingNote[] = [];
  if (values.length < FEWEST_READINGS) notes.push('too-few');
  if (outlying !== null) notes.push('one-off');
  else if (spreadPercent > WIDE_SPREAD_PERCENT + 1e-9) notes.push('spread-wide');
  return {
    count: values.length,
    meanPercent: mean(values),
    spreadPercent,
    sdPercent,
    uncertaintyPercent: Math.hypot(BENCH_INSTRUMENTS.tdsPercent, (sdPercent ?? 0) / Math.sqrt(values.length)),
    comparablePercent: Math.hypot(SAMPLE_PERCENT, REPEATABILITY_PERCENT / Math.sqrt(values.length)),
    outlying,
    notes,
  };
}
