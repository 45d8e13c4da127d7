import { CholeskyDecomposition, Matrix } from 'ml-matrix';

/** The rows of a lower triangle. */
export type Lower = readonly Float64Array[];

/** @returns L of a covariance L L^T; no rows of none */
export function lowerOf(covariance: Matrix): Lower {
  if (covariance.rows === 0) return [];
  const lower = new CholeskyDecomposition(covariance).lowerTriangularMatrix;
  return Array.from({ length: lower.rows }, (_, row) => Float64Array.from(lower.getRow(row)));
}

/** Solves L x = values: errors that go together become errors that do not. */
export function apart(lower: Lower, values: readonly number[]): Float64Array {
  const solved = new Float64Array(values.length);
  for (const [row, of] of lower.entries()) {
    let known = 0;
    for (let column = 0; column < row; column++) known += (of[column] ?? 0) * (solved[column] ?? 0);
    solved[row] = ((values[row] ?? 0) - known) / (of[row] ?? 1);
  }
  return solved;
}

/** @returns u^T C^-1 v, of two that were solved by {@link apart} */
export function dot(u: Float64Array, v: Float64Array): number {
  let sum = 0;
  for (let row = 0; row < u.length; row++) sum += (u[row] ?? 0) * (v[row] ?? 0);
  return sum;
}

export function matrixOf(lower: Lower): Matrix {
  return new Matrix(lower.map((row) => [...row]));
}

/** One figure alone. */
export function unit(length: number, at: number): number[] {
  return Array.from({ length }, (_, row) => (row === at ? 1 : 0));
}
