import jStat from 'jstat';

/** From here on the tail is too thin to be divided by, and its series is good to six digits. */
const FAR_SDS = 6;

/**
 * What is left of a normal figure that is known to lie above a bound.
 *
 * Source: moments of the truncated normal distribution; Johnson, Kotz and Balakrishnan, Continuous Univariate
 * Distributions, volume 1, 2nd edition (1994), 13.10 (from memory); far out Mills' ratio by its series.
 *
 * @param sd - above 0
 * @returns its mean, variance and quantiles now, and how probable it was to lie there
 */
export function normalAbove({ mean, sd, bound }: { mean: number; sd: number; bound: number }): {
  mean: number;
  variance: number;
  probability: number;
  quantile: (share: number) => number;
} {
  const alpha = (bound - mean) / sd;
  const probability = jStat.normal.cdf(-alpha, 0, 1);
  const density = Math.exp(-(alpha ** 2) / 2) / Math.sqrt(2 * Math.PI);
  if (alpha > FAR_SDS) {
    const beyond = 1 / alpha - 2 / alpha ** 3;
    return {
      mean: bound + beyond * sd,
      variance: (beyond * sd) ** 2,
      probability,
      // Out there the tail falls off as an exponential does.
      quantile: (share) => bound - Math.log(1 - share) * beyond * sd,
    };
  }
  const pull = density / probability;
  return {
    mean: mean + pull * sd,
    variance: sd ** 2 * (1 - pull * (pull - alpha)),
    probability,
    quantile: (share) => mean - sd * jStat.normal.inv((1 - share) * probability, 0, 1),
  };
}
