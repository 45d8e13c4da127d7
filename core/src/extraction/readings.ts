import { mean, sampleStandardDeviation } from 'simple-statistics';
import { BENCH_INSTRUMENTS, FEWEST_READINGS } from './instruments.js';

export interface ReadingSummary {
  count: number;
  meanPercent: number;
  /** Largest less smallest reading, % TDS. */
  spreadPercent: number;
  /** Sample standard deviation; `null` below two readings. */
  sdPercent: number | null;
  /** Standard uncertainty of the mean: the instrument's own and the repeats' together, % TDS. */
  uncertaintyPercent: number;
  /** What a careful reader would say of this set; empty when nothing is wrong with it. */
  notes: ReadingNote[];
}

export type ReadingNote = 'too-few' | 'spread-wide';

/** Spread above which readings of one sample disagree by more than the instrument explains. */
const WIDE_SPREAD_PERCENT = 2 * BENCH_INSTRUMENTS.tdsPercent;

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
  const notes: ReadingNote[] = [];
  if (values.length < FEWEST_READINGS) notes.push('too-few');
  if (spreadPercent > WIDE_SPREAD_PERCENT + 1e-9) notes.push('spread-wide');
  return {
    count: values.length,
    meanPercent: mean(values),
    spreadPercent,
    sdPercent,
    uncertaintyPercent: Math.hypot(BENCH_INSTRUMENTS.tdsPercent, (sdPercent ?? 0) / Math.sqrt(values.length)),
    notes,
  };
}
