import jStat from 'jstat';
import { mean, sampleStandardDeviation, sum, sumSimple } from 'simple-statistics';
import { grouped } from '../statistics/grouped.js';

/** How a figure spreads over brews of one recipe. */
export interface Precision {
  mean: number;
  count: number;
  /** How many pairs of hands made them. */
  hands: number;
  /** Between brews of the same hands; `null` where nobody brewed twice. */
  repeatabilitySd: number | null;
  /** Between brews of whoever; `null` from one pair of hands, or where nobody brewed twice. */
  reproducibilitySd: number | null;
  /** Nine of ten further brews lie between; `null` from fewer than three. */
  expected: { low: number; high: number } | null;
}

/** Two that happen to be alike say nothing of how far a third may lie (assumed: three are the fewest that do). */
const FEWEST_FOR_A_BAND = 3;

/**
 * Repeatability and reproducibility of a figure, hands in the place of laboratories, and where the next brew is to be
 * expected.
 *
 * Source: ISO 5725-2:1994, 7.4 (from memory): variance within hands pooled, variance between hands by analysis of variance with
 * unequal numbers, never below 0. The interval is that of one further value of a normal distribution, by Student.
 */
export function precisionOf(values: readonly { by: string; value: number }[]): Precision | null {
  if (values.length === 0) return null;
  const all = values.map(({ value }) => value);
  const groups = [...grouped(values, ({ by }) => by).values()].map((group) =>
    group.map(({ value }) => value),
  );
  const centre = mean(all);
  const within = varianceWithin(groups);
  return {
    mean: centre,
    count: all.length,
    hands: groups.length,
    repeatabilitySd: within === null ? null : Math.sqrt(within),
    reproducibilitySd:
      within === null || groups.length < 2 ? null : Math.sqrt(within + varianceBetween(groups, within)),
    expected: all.length < FEWEST_FOR_A_BAND ? null : nextOf(all),
  };
}

function varianceWithin(groups: readonly number[][]): number | null {
  const freedom = sumSimple(groups.map((group) => group.length - 1));
  if (freedom === 0) return null;
  return sum(groups.flatMap((group) => group.map((value) => (value - mean(group)) ** 2))) / freedom;
}

function varianceBetween(groups: readonly number[][], within: number): number {
  const total = sumSimple(groups.map(({ length }) => length));
  const centre = mean(groups.flat());
  const spread = sum(groups.map((group) => group.length * (mean(group) - centre) ** 2)) / (groups.length - 1);
  const usual = (total - sum(groups.map(({ length }) => length ** 2)) / total) / (groups.length - 1);
  return Math.max(0, (spread - within) / usual);
}

function nextOf(values: number[]): { low: number; high: number } {
  const reach =
    jStat.studentt.inv(0.95, values.length - 1) *
    sampleStandardDeviation(values) *
    Math.sqrt(1 + 1 / values.length);
  return { low: mean(values) - reach, high: mean(values) + reach };
}
