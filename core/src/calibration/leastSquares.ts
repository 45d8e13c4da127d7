import { Matrix, solve } from 'ml-matrix';

export interface LeastSquaresFit {
  parameters: number[];
  residuals: number[];
  /** Change of each residual with each parameter at the optimum: rows are residuals. */
  jacobian: number[][];
  evaluations: number;
}

const MOST_STEPS = 12;
const DIFFERENCE = 0.1;
/**
 * A step that gains less than this share of the cost is the last, or one that loses where no more was foreseen: what is
 * computed in steps is itself so rough (computed: half a percent on lots of sixteen traced brews).
 */
const ENOUGH_GAIN = 5e-3;

/**
 * Least squares by Levenberg and Marquardt for few parameters of order one and a function that is nearly smooth.
 * Differences are central: those to one side are so far off near the optimum that most steps lead away from it. A general
 * package found the same optimum in fifty times the time.
 *
 * Source: Marquardt, J. SIAM 11 (1963) 431.
 *
 * @param farthest - no parameter leaves +-farthest
 */
export function leastSquares({
  residualsAt,
  start,
  farthest,
}: {
  residualsAt: (parameters: readonly number[]) => number[];
  start: readonly number[];
  farthest: number;
}): LeastSquaresFit {
  let evaluations = 0;
  const evaluate = (parameters: readonly number[]) => {
    evaluations += 1;
    return residualsAt(parameters);
  };
  const movedBy = (parameters: readonly number[], index: number, by: number) =>
    evaluate(parameters.map((value, at) => (at === index ? value + by : value)));
  const central = (parameters: readonly number[]) =>
    columns(parameters, (index) =>
      slopes(movedBy(parameters, index, DIFFERENCE), movedBy(parameters, index, -DIFFERENCE), 2 * DIFFERENCE),
    );

  let parameters = [...start];
  let residuals = evaluate(parameters);
  let jacobian = central(parameters);
  let damping = 1e-2;
  for (let attempt = 0; attempt < MOST_STEPS; attempt++) {
    const normal = jacobian.transpose().mmul(jacobian);
    for (let index = 0; index < parameters.length; index++) {
      normal.set(index, index, normal.get(index, index) * (1 + damping));
    }
    const step = solve(normal, jacobian.transpose().mmul(Matrix.columnVector(residuals))).to1DArray();
    const tried = parameters.map((value, index) => {
      return Math.min(farthest, Math.max(-farthest, value - (step[index] ?? 0)));
    });
    const triedResiduals = evaluate(tried);
    const [before, after] = [squares(residuals), squares(triedResiduals)];
    if (after >= before) {
      const moved = Matrix.columnVector(tried.map((value, index) => value - (parameters[index] ?? 0)));
      const foreseen = Matrix.add(jacobian.mmul(moved), Matrix.columnVector(residuals)).to1DArray();
      if (before - squares(foreseen) < ENOUGH_GAIN * before) break;
      damping *= 4;
      continue;
    }
    parameters = tried;
    residuals = triedResiduals;
    // So near the optimum the slopes are those of the step before it.
    if (before - after < ENOUGH_GAIN * before) break;
    damping /= 5;
    jacobian = central(parameters);
  }
  return { parameters, residuals, jacobian: jacobian.to2DArray(), evaluations };
}

function columns(parameters: readonly number[], column: (index: number) => number[]): Matrix {
  return new Matrix(parameters.map((_, index) => column(index))).transpose();
}

function slopes(up: readonly number[], down: readonly number[], width: number): number[] {
  return up.map((value, row) => (value - (down[row] ?? 0)) / width);
}

function squares(values: readonly number[]): number {
  return values.reduce((sum, value) => sum + value * value, 0);
}
