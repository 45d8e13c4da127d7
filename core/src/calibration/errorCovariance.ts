import { Matrix } from 'ml-matrix';
import { likeness, MODEL_ERROR } from './discrepancy.js';
import type { MeasuredBrew, Observation } from './evidence.js';

/**
 * Covariance of what figures miss the model by, when its factors are right: each figure's own error, and the
 * model's, which like recipes share.
 */
export function errorCovariance(
  observations: readonly Observation[],
  brews: readonly MeasuredBrew[],
): Matrix {
  const covariance = Matrix.zeros(observations.length, observations.length);
  for (const [row, a] of observations.entries()) {
    covariance.set(row, row, a.variance);
    for (const [column, b] of observations.entries()) {
      const shared = sharedError(a, b, brews);
      covariance.set(row, column, covariance.get(row, column) + shared);
    }
  }
  return covariance;
}

function sharedError(a: Observation, b: Observation, brews: readonly MeasuredBrew[]): number {
  const [first, second] = [brews[a.brewIndex], brews[b.brewIndex]];
  if (a.output === 'trace' || a.output !== b.output || !first || !second) return 0;
  return MODEL_ERROR[a.output] ** 2 * likeness(first.brew, second.brew);
}
