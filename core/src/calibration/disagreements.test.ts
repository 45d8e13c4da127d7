import { inverse, Matrix } from 'ml-matrix';
import { describe, expect, it } from 'vitest';
import { CONE_KIT, PLAN } from '../testing/brews.js';
import { conditionsOfPlan } from './conditions.js';
import { disagreements } from './disagreements.js';
import type { Observation } from './evidence.js';

const brew = conditionsOfPlan({ plan: PLAN, kit: CONE_KIT });
const measured = { brew, drawdownS: 170, tdsPercent: 1.35, beverageG: 205 };

const SENSITIVITY = [
  [0, 0.1, 0.9, 0, 0],
  [1.1, 0.4, 0.2, 0.1, 0.3],
  [0.1, 0, 0.8, 0.2, 0],
  [0.9, 0.5, 0.3, 0, 0.2],
  [0, 0.2, 1, 0.1, 0.1],
];
const OUTPUTS = ['drawdown', 'tds', 'trace', 'tds', 'drawdown'] as const;
const MISSES = [0.6, -0.4, 0.2, 0.3, -0.3];
const misses = SENSITIVITY.map((sensitivity, row): Observation & { miss: number; sensitivity: number[] } => ({
  brewIndex: row,
  output: OUTPUTS[row] ?? 'tds',
  atS: null,
  value: 0,
  variance: 0,
  miss: MISSES[row] ?? 0,
  sensitivity,
}));
const prior = {
  lnMean: [0.1, -0.2, 0.3, 0, 0.05],
  lnCovariance: [0.01, 0.16, 0.09, 0.02, 0.04].map((variance, at, all) =>
    all.map((_, column) => (column === at ? variance : 0.002)),
  ),
  lnShift: [0, 0, 0, 0, 0],
};
const lnFactors = [0.2, 0.1, 0.5, -0.1, 0];
const covariance = new Matrix(
  SENSITIVITY.map((_, row) => SENSITIVITY.map((__, column) => (row === column ? 0.04 : 0.01))),
);
const asked = { misses, brews: [measured, measured, measured], covariance, prior, lnFactors };

/** The same by the definition: each figure against what all others make of it, left out one by one. */
function leftOut(): number[] {
  const slopes = new Matrix(SENSITIVITY);
  const shift = Matrix.columnVector(lnFactors.map((ln, at) => ln - (prior.lnMean[at] ?? 0)));
  const fromPrior = Matrix.add(Matrix.columnVector(MISSES), slopes.mmul(shift));
  const whole = Matrix.add(covariance, slopes.mmul(new Matrix(prior.lnCovariance)).mmul(slopes.transpose()));
  return MISSES.map((_, row) => {
    const others = MISSES.flatMap((__, each) => (each === row ? [] : [each]));
    const across = whole.subMatrixRow([row]).subMatrixColumn(others);
    const gain = across.mmul(inverse(whole.selection(others, others)));
    const expected = gain.mmul(fromPrior.subMatrixRow(others)).get(0, 0);
    const variance = whole.get(row, row) - gain.mmul(across.transpose()).get(0, 0);
    return (fromPrior.get(row, 0) - expected) / Math.sqrt(variance);
  });
}

describe('figures that the other brews would not have forecast', () => {
  // The definition of a leave-one-out residual, worked out by the matrices of ml-matrix.
  it('are those that lie three deviations off what all the others say, and no trace', () => {
    const byDefinition = leftOut();
    const off = byDefinition.flatMap((deviations, row) =>
      Math.abs(deviations) >= 3 && OUTPUTS[row] !== 'trace' ? [{ row, deviations }] : [],
    );
    const found = disagreements(asked);
    // Or it would be of nothing: some are off, and some are not.
    expect(off.length).toBeGreaterThan(0);
    expect(off.length).toBeLessThan(4);
    expect(found.map(({ brewIndex }) => brewIndex)).toEqual(off.map(({ row }) => row));
    for (const [at, { deviations }] of found.entries()) {
      expect(deviations).toBeCloseTo(off[at]?.deviations ?? NaN, 8);
    }
  });

  it('are told from three brews on', () => {
    expect(disagreements({ ...asked, brews: [measured, measured] })).toEqual([]);
    expect(disagreements(asked)).not.toEqual([]);
  });

  it('say which figure of which brew it is', () => {
    for (const { brewIndex, output } of disagreements(asked)) expect(output).toBe(OUTPUTS[brewIndex]);
  });
});
