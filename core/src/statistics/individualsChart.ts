import { mean } from 'simple-statistics';

/** d2 for moving ranges of two. Source: NIST/SEMATECH e-Handbook of Statistical Methods, 6.3.2.2. */
const D2 = 1.128;
/** D4 for moving ranges of two. Source: same. */
const D4 = 3.267;

export type RunRule = 'beyond-3-sigma' | 'nine-on-one-side' | 'six-in-a-row' | 'two-of-three-beyond-2-sigma';

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
 * Source: limits NIST/SEMATECH e-Handbook 6.3.2.2; rules Nelson, J. Quality Technology 16 (1984) 237 (from
 * memory): one beyond 3 sigma, nine on one side, six rising or falling, two of three beyond 2 sigma on one side.
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
      RULES.filter(({ broken }) => broken({ values, index, centre, sigma })).map(({ rule }) => ({
        index,
        rule,
      })),
    ),
  };
}

interface Point {
  values: readonly number[];
  index: number;
  centre: number;
  sigma: number;
}

/** One row per rule; `broken` looks at the point and what came just before it. */
const RULES: readonly { rule: RunRule; broken: (point: Point) => boolean }[] = [
  {
    rule: 'beyond-3-sigma',
    broken: ({ values, index, centre, sigma }) => Math.abs((values[index] ?? centre) - centre) > 3 * sigma,
  },
  {
    rule: 'nine-on-one-side',
    broken: ({ values, index, centre }) => {
      const last = lastOf(values, index, 9);
      return (
        last.length === 9 && (last.every((value) => value > centre) || last.every((value) => value < centre))
      );
    },
  },
  {
    rule: 'six-in-a-row',
    broken: ({ values, index }) => {
      const last = lastOf(values, index, 6);
      const steps = last.slice(1).map((value, at) => value - (last[at] ?? value));
      return last.length === 6 && (steps.every((step) => step > 0) || steps.every((step) => step < 0));
    },
  },
  {
    rule: 'two-of-three-beyond-2-sigma',
    broken: ({ values, index, centre, sigma }) => {
      const last = lastOf(values, index, 3).map((value) => value - centre);
      const own = last.at(-1) ?? 0;
      if (Math.abs(own) <= 2 * sigma) return false;
      return (
        last.filter((offset) => Math.sign(offset) === Math.sign(own) && Math.abs(offset) > 2 * sigma)
          .length >= 2
      );
    },
  },
];

function lastOf(values: readonly number[], index: number, count: number): readonly number[] {
  return values.slice(Math.max(0, index - count + 1), index + 1);
}
