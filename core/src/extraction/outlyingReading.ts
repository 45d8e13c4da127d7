import jStat from 'jstat';
import { mean } from 'simple-statistics';
import { REPEATABILITY_PERCENT, WIDE_SPREAD_PERCENT } from './instruments.js';

/** The reading that does not belong to the others: its place, and how far it is off them, % TDS. */
export interface OutlyingReading {
  index: number;
  offPercent: number;
}

/** Fewest readings among which one can be told to be out: of two nobody knows which. */
export const FEWEST_FOR_OUTLIER = 3;
/** How often readings that all belong together have one called out. */
const WRONGLY = 0.05;

/**
 * The reading that lies farther from the others than an instrument of known repeatability scatters, or `null`. Three
 * readings are too few to tell their own spread by, and one that is off widens the spread it is judged by.
 *
 * Source: test of one outlier with a known standard deviation, at 5 % for the whole set (Barnett and Lewis, Outliers in
 * Statistical Data, from memory); |x - mean of the others| / (sd sqrt(1 + 1/(n-1))) is standard normal.
 */
export function outlyingOf(tdsPercents: readonly number[]): OutlyingReading | null {
  const count = tdsPercents.length;
  if (count < FEWEST_FOR_OUTLIER) return null;
  const centre = mean([...tdsPercents]);
  const index = tdsPercents.reduce(
    (worst, reading, at) =>
      Math.abs(reading - centre) > Math.abs((tdsPercents[worst] ?? centre) - centre) + 1e-12 ? at : worst,
    0,
  );
  const others = tdsPercents.filter((_, at) => at !== index);
  // Where those disagree among themselves, no single one is to blame.
  if (Math.max(...others) - Math.min(...others) > WIDE_SPREAD_PERCENT + 1e-9) return null;
  const offPercent = (tdsPercents[index] ?? centre) - mean(others);
  const sd = REPEATABILITY_PERCENT * Math.sqrt(1 + 1 / (count - 1));
  const critical = jStat.normal.inv(1 - WRONGLY / (2 * count), 0, 1);
  return Math.abs(offPercent) > critical * sd ? { index, offPercent } : null;
}
