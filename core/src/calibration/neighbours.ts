import { FACTORS } from './conditions.js';
import type { LotCalibration } from './calibrateLot.js';
import type { Output } from './discrepancy.js';
import { errorCovariance } from './errorCovariance.js';
import { kitParts, sharedByKitParts, type OfKit } from './otherKit.js';
import { apart, dot, lowerOf, unit } from './triangular.js';

/** What measured figures say of one that is forecast, through the errors that they share. */
interface Told {
  /** What their misses add to it. */
  pull: number;
  /** Variance of it that they explain. */
  explained: number;
  /** How the correction follows each factor, in the order of FACTORS. */
  followed: number[];
}

type Neighbours = (output: Output, kit: OfKit, sharedWith: readonly number[]) => Told;

/** Of one calibration a page asks for many plans, and a running brew for many moments. */
const known = new WeakMap<LotCalibration['misses'], Neighbours>();

/**
 * The measured figures of a lot as neighbours of a forecast. A forecast shares its error with figures of its own output,
 * brew by brew, and with those of its kit; of the many figures of a trace it asks nothing one by one. So all that takes
 * the inverse of the covariance is worked out once, for a column to each figure and two to the kit.
 *
 * Source: regression on correlated errors, Rasmussen and Williams, Gaussian Processes for Machine Learning (2006), 2.2 and
 * 2.7 (from memory).
 */
export function neighboursOf(calibration: Pick<LotCalibration, 'brews' | 'misses'>): Neighbours {
  const neighbours = known.get(calibration.misses) ?? solved(calibration);
  known.set(calibration.misses, neighbours);
  return neighbours;
}

function solved({ brews, misses }: Pick<LotCalibration, 'brews' | 'misses'>): Neighbours {
  if (misses.length === 0) return () => ({ pull: 0, explained: 0, followed: FACTORS.map(() => 0) });
  const figures = misses.flatMap(({ output, brewIndex }, row) =>
    output === 'trace' ? [] : [{ output, brewIndex, row }],
  );
  const lower = lowerOf(errorCovariance(misses, brews));
  const kits = kitParts(misses, brews).transpose();
  const columns = [...figures.map(({ row }) => unit(misses.length, row)), ...kits.to2DArray()].map((column) =>
    apart(lower, column),
  );
  const missed = apart(
    lower,
    misses.map(({ miss }) => miss),
  );
  const pulls = columns.map((column) => dot(column, missed));
  const follows = FACTORS.map((_, factor) => {
    const slopes = apart(
      lower,
      misses.map(({ sensitivity }) => sensitivity[factor] ?? 0),
    );
    return columns.map((column) => dot(column, slopes));
  });
  const explains = columns.map((one) => columns.map((other) => dot(one, other)));

  return (output, kit, sharedWith) => {
    // Only what is shared at all: a few columns of many.
    const shared = [
      ...figures.map((figure) => (figure.output === output ? (sharedWith[figure.brewIndex] ?? 0) : 0)),
      ...sharedByKitParts(kit),
    ].flatMap((by, column) => (by === 0 ? [] : [{ by, column }]));
    const along = (row: readonly number[]) =>
      shared.reduce((sum, { by, column }) => sum + by * (row[column] ?? 0), 0);
    return {
      pull: along(pulls),
      explained: shared.reduce((sum, { by, column }) => sum + by * along(explains[column] ?? []), 0),
      followed: follows.map(along),
    };
  };
}
