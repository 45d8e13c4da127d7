import { Matrix } from 'ml-matrix';
import { apart, dot, lowerOf, matrixOf, unit } from './triangular.js';
import type { MeasuredBrew, Observation } from './evidence.js';
import type { LotPrior } from './priors.js';

/** A brew's figure that does not fit the others, and by how many standard deviations it is off. */
export interface Disagreement {
  brewIndex: number;
  output: 'drawdown' | 'tds' | 'beverage';
  deviations: number;
}

/** Fewest brews of which one can be said to disagree with the rest. */
const FEWEST_BREWS = 3;
/** Beyond so many standard deviations a figure disagrees: one in four hundred does so by chance. */
const DISAGREES = 3;

/**
 * Which figures the rest of the brews would not have forecast: each against the forecast from all others,
 * all at once by the linear form of the fit.
 *
 * Source: leave-one-out residuals of a linear Gaussian model are [C^-1 r]_i / [C^-1]_ii, Rasmussen and
 * Williams, Gaussian Processes for Machine Learning (2006), 5.4.2 (from memory).
 */
export function disagreements({
  misses,
  brews,
  covariance: ofErrors,
  prior,
  lnFactors,
}: {
  misses: readonly (Observation & { miss: number; sensitivity: number[] })[];
  brews: readonly MeasuredBrew[];
  /** Of the errors of the figures. */
  covariance: Matrix;
  prior: LotPrior;
  lnFactors: readonly number[];
}): Disagreement[] {
  if (brews.length < FEWEST_BREWS) return [];
  const sensitivity = new Matrix(misses.map((each) => each.sensitivity));
  const throughPrior = sensitivity.mmul(matrixOf(lowerOf(new Matrix(prior.lnCovariance))));
  const covariance = Matrix.add(ofErrors, throughPrior.mmul(throughPrior.transpose()));
  const shift = lnFactors.map((ln, at) => ln - (prior.lnMean[at] ?? 0));
  // What each figure is more than the prior made it, by straight lines.
  const fromPrior = misses.map(({ miss, sensitivity: slopes }) =>
    slopes.reduce((sum, slope, at) => sum + slope * (shift[at] ?? 0), miss),
  );
  const lower = lowerOf(covariance);
  const pulled = apart(lower, fromPrior);
  return misses.flatMap(({ brewIndex, output }, row) => {
    if (output === 'trace') return [];
    const alone = apart(lower, unit(misses.length, row));
    const deviations = dot(alone, pulled) / Math.sqrt(dot(alone, alone));
    return Math.abs(deviations) < DISAGREES ? [] : [{ brewIndex, output, deviations }];
  });
}
