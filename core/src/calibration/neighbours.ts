import { CholeskyDecomposition, Matrix } from 'ml-matrix';
import { FACTORS } from './conditions.js';
import type { LotCalibration } from './calibrateLot.js';
import type { Output } from './discrepancy.js';
import { errorCovariance } from './errorCovariance.js';
import { kitParts, sharedByKitParts, type OfKit } from './otherKit.js';
import { unitColumns } from './unitColumns.js';

/** What measured figures say of one that is forecast, through the errors that they share. */
interface Told {
  /** What their misses add to it. */
  pull: number;
  /** Variance of it that they explain. */
  explained: number;
  /** How the correction follows each factor, in the order of FACTORS. */
  followed: number[];
}

/**
 * The measured figures of a lot as neighbours of a forecast. A forecast shares its error with figures of its own output,
 * brew by brew, and with those of its kit; of the many figures of a trace it asks nothing one by one. So all that takes
 * the inverse of the covariance is worked out once, for a column to each figure and two to the kit.
 *
 * Source: regression on correlated errors, Rasmussen and Williams, Gaussian Processes for Machine Learning (2006), 2.2 and
 * 2.7 (from memory).
 */
export function neighboursOf({
  brews,
  misses,
}: Pick<LotCalibration, 'brews' | 'misses'>): (
  output: Output,
  kit: OfKit,
  sharedWith: readonly number[],
) => Told {
  if (misses.length === 0) return () => ({ pull: 0, explained: 0, followed: FACTORS.map(() => 0) });
  const figures = misses.flatMap(({ output, brewIndex }, row) =>
    output === 'trace' ? [] : [{ output, brewIndex, row }],
  );
  const columns = joined(
    unitColumns(
      misses.length,
      figures.map(({ row }) => row),
    ),
    kitParts(misses, brews),
  );
  const solved = new CholeskyDecomposition(errorCovariance(misses, brews)).solve(columns);
  const explains = columns.transpose().mmul(solved).to2DArray();
  const pulls = solved
    .transpose()
    .mmul(Matrix.columnVector(misses.map(({ miss }) => miss)))
    .to1DArray();
  const follows = new Matrix(misses.map(({ sensitivity }) => sensitivity))
    .transpose()
    .mmul(solved)
    .to2DArray();

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

function joined(first: Matrix, second: Matrix): Matrix {
  return new Matrix(first.to2DArray().map((row, index) => [...row, ...second.getRow(index)]));
}
