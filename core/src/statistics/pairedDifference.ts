import jStat from 'jstat';
import { mean, sampleStandardDeviation } from 'simple-statistics';

/** Mean of differences that the same people found, and where it lies 95 % of the time. */
export interface PairedDifference {
  mean: number;
  low: number;
  high: number;
  /** Chance of a mean so far from 0, whichever way, where there is no difference. */
  pValue: number;
}

/**
 * @param differences - one per person
 * @returns `null` from fewer than two
 *
 * Source: Student's paired t, Biometrika 6 (1908) 1. Differences that are all alike have no spread: the interval is then a
 * point, and the chance counted by signs.
 */
export function pairedDifference(differences: readonly number[]): PairedDifference | null {
  const count = differences.length;
  if (count < 2) return null;
  const centre = mean(differences.slice());
  const error = sampleStandardDeviation(differences.slice()) / Math.sqrt(count);
  if (error === 0) {
    return {
      mean: centre,
      low: centre,
      high: centre,
      pValue: centre === 0 ? 1 : Math.min(1, 2 * 0.5 ** count),
    };
  }
  const reach = jStat.studentt.inv(0.975, count - 1) * error;
  return {
    mean: centre,
    low: centre - reach,
    high: centre + reach,
    pValue: 2 * jStat.studentt.cdf(-Math.abs(centre) / error, count - 1),
  };
}
