import { Matrix } from 'ml-matrix';

/** A column for each of some rows, with a one in it: what is solved for them is their part of an inverse. */
export function unitColumns(rowCount: number, rows: readonly number[]): Matrix {
  const columns = Matrix.zeros(rowCount, rows.length);
  for (const [at, row] of rows.entries()) columns.set(row, at, 1);
  return columns;
}
