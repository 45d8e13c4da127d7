export type RunRule = 'beyond-3-sigma' | 'nine-on-one-side' | 'six-in-a-row' | 'two-of-three-beyond-2-sigma';

interface Point {
  values: readonly number[];
  index: number;
  centre: number;
  sigma: number;
}

/**
 * The rules that a point completes.
 *
 * @param sigma - standard deviation of one value
 *
 * Source: Nelson, J. Quality Technology 16 (1984) 237 (from memory), of his eight the four that look for a shift or a
 * drift: one beyond 3 sigma, nine on one side, six rising or falling, two of three beyond 2 sigma on one side. The
 * others look for stratified samples, which brews are not.
 */
export function runSignals(point: Point): RunRule[] {
  return RULES.filter(({ broken }) => broken(point)).map(({ rule }) => rule);
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
