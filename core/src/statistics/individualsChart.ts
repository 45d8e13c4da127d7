import { mean } from 'simple-statistics';
import { runSignals, type RunRule } from './runRules.js';

/** d2 for moving ranges of two. Source: NIST/SEMATECH e-Handbook of Statistical Methods, 6.3.2.2. */
export const D2 = 1.128;
/** D4 for moving ranges of two. Source: same. */
export const D4 = 3.267;

export interface IndividualsChart {
  centre: number;
  /** Mean of the differences between neighbours. */
  meanMovingRange: number;
  sigma: number;
  upperLimit: number;
  lowerLimit: number;
  /** Above this a difference between neighbours is out of control itself. */
  movingRangeUpperLimit: number;
  /** What is out of control, at the index of the point that completes the pattern. */
  signals: { index: number; rule: RunRule }[];
}

/**
 * Control chart of single values with its moving ranges, and the run rules that find drift inside the limits.
 *
 * @param values - in the order measured; two or more
 * @param baselineCount - how many of the first values set centre and limits; all of them unless given
 * @throws RangeError with fewer than two values to set the limits
 *
 * Source: limits NIST/SEMATECH e-Handbook 6.3.2.2; rules as `runSignals`.
 */
export function individualsChart({
  values,
  baselineCount = values.length,
}: {
  values: readonly number[];
  baselineCount?: number;
}): IndividualsChart {
  const baseline = values.slice(0, baselineCount);
  if (baseline.length < 2) throw new RangeError('limits need two values or more');
  const centre = mean(baseline);
  const meanMovingRange = mean(
    baseline.slice(1).map((value, index) => Math.abs(value - (baseline[index] ?? value))),
  );
  const sigma = meanMovingRange / D2;
  return {
    centre,
    meanMovingRange,
    sigma,
    upperLimit: centre + 3 * sigma,
    lowerLimit: centre - 3 * sigma,
    movingRangeUpperLimit: D4 * meanMovingRange,
    signals: values.flatMap((_, index) =>
      runSignals({ values, index, centre, sigma }).map((rule) => ({ index, rule })),
    ),
  };
}
