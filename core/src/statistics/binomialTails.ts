import jStat from 'jstat';

/**
 * Probability of this many successes or more: the upper tail, exact.
 *
 * @param successes - 0 to `trials`
 * @param probability - of each, 0 to 1
 */
export function atLeast(successes: number, trials: number, probability: number): number {
  if (successes <= 0) return 1;
  if (successes > trials) return 0;
  // Summed from its own end: one minus the other tail loses what is small.
  let tail = 0;
  for (let count = trials; count >= successes; count--)
    tail += jStat.binomial.pdf(count, trials, probability);
  return Math.min(1, tail);
}

/**
 * Fewest successes that are reached with probability `alpha` or less.
 *
 * @returns `null` where even all of them are likelier than that
 */
export function fewestUnlikely(trials: number, probability: number, alpha: number): number | null {
  let tail = 0;
  for (let count = trials; count >= 0; count--) {
    tail += jStat.binomial.pdf(count, trials, probability);
    if (tail > alpha) return count === trials ? null : count + 1;
  }
  return 0;
}

/**
 * Probability that a fair coin splits so unevenly or more, whichever way: both tails, exact. Of a preference that nobody
 * foretold (ISO 5495, two-sided).
 */
export function unevenSplit(successes: number, trials: number): number {
  return Math.min(1, 2 * atLeast(Math.max(successes, trials - successes), trials, 0.5));
}

/**
 * Where the true share lies, 95 % of the time or more: the exact interval.
 *
 * Source: Clopper and Pearson, Biometrika 26 (1934) 404, by beta quantiles.
 */
export function shareInterval(successes: number, trials: number): { low: number; high: number } {
  return {
    low: successes === 0 ? 0 : jStat.beta.inv(0.025, successes, trials - successes + 1),
    high: successes === trials ? 1 : jStat.beta.inv(0.975, successes + 1, trials - successes),
  };
}
