import { Matrix } from 'ml-matrix';
import { wandersTogether } from './course.js';
import { likenessTo, modelErrorOf } from './discrepancy.js';
import { sharedByKit } from './otherKit.js';
import type { MeasuredBrew, Observation } from './evidence.js';

/**
 * Covariance of what figures miss the model by, when its factors are right: each figure's own error, the
 * model's, which like recipes share, and that of a kit, which all of its brews do.
 */
export function errorCovariance(
  observations: readonly Observation[],
  brews: readonly MeasuredBrew[],
): Matrix {
  const toBrews = likenessTo(brews.map(({ brew }) => brew));
  const alike = brews.map(({ brew }) => toBrews(brew));
  const covariance = Matrix.zeros(observations.length, observations.length);
  for (const [row, a] of observations.entries()) {
    for (const [column, b] of observations.slice(0, row).entries()) {
      const shared = sharedError(a, b, brews, alike);
      covariance.set(row, column, shared);
      covariance.set(column, row, shared);
    }
    covariance.set(row, row, a.variance + sharedError(a, a, brews, alike));
  }
  return covariance;
}

function sharedError(
  a: Observation,
  b: Observation,
  brews: readonly MeasuredBrew[],
  alikeBy: readonly (readonly number[])[],
): number {
  const [first, second] = [brews[a.brewIndex], brews[b.brewIndex]];
  if (!first || !second) return 0;
  const ofKit = first.otherKit === second.otherKit ? sharedByKit(a, b) : 0;
  if (a.output !== b.output) return ofKit;
  const alike = alikeBy[a.brewIndex]?.[b.brewIndex] ?? 0;
  if (a.output !== 'trace')
    return modelErrorOf(a.output, first.brew) * modelErrorOf(a.output, second.brew) * alike + ofKit;
  return (a.wanderSd ?? 0) * (b.wanderSd ?? 0) * wandersTogether(a.atS ?? 0, b.atS ?? 0) * alike + ofKit;
}
