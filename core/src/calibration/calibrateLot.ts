import { NINE_OF_TEN } from '../statistics/nineOfTen.js';
import { inverse, Matrix } from 'ml-matrix';
import type { BrewInputFailure } from '../brewModel/checkBrew.js';
import { success, type Result } from '../result.js';
import { FACTORS, type LearnedFactors } from './conditions.js';
import {
  paperFromDrainTest,
  withMeasuredPaper,
  type DrainTest,
  type DrainTestFailure,
  type MeasuredPaper,
} from './drainTest.js';
import { disagreements, type Disagreement } from './disagreements.js';
import { errorCovariance } from './errorCovariance.js';
import {
  conditionsFault,
  evidenceFault,
  observationsOf,
  type MeasuredBrew,
  type Observation,
} from './evidence.js';
import { leastSquares } from './leastSquares.js';
import { modelledOutput, remembering } from './modelled.js';
import { withKitSlopes } from './otherKit.js';
import { apart, dot, lowerOf, matrixOf, type Lower } from './triangular.js';
import { lotPrior, perFactor, priorFault, type LotEvidence, type LotPrior } from './priors.js';

/** How much the brews have taught, for words on a screen. */
export type Knowledge = 'nothing' | 'little' | 'some' | 'much';

export interface LotCalibration {
  factors: LearnedFactors;
  /** Each factor's band that holds nine times of ten. */
  band: Record<keyof LearnedFactors, { low: number; high: number }>;
  /** Spread left of what was believed before: 1 nothing learned, 0 all. */
  spreadLeft: LearnedFactors;
  knowledge: Knowledge;
  disagreeing: Disagreement[];
  /** What the brews say by themselves, to believe of the house's next lots. */
  evidence: LotEvidence;
  prior: LotPrior;
  /** Covariance of the factors' logarithms, in the order of FACTORS. */
  lnCovariance: number[][];
  /** Papers that a drain test measured: their brews are modelled with what was measured. */
  papers: readonly MeasuredPaper[];
  /** The brews learned from, and what forecasts of like recipes are corrected by. */
  brews: readonly MeasuredBrew[];
  misses: (Observation & { miss: number; sensitivity: number[] })[];
}

/** Steps are kept within so many prior spreads. */
const FARTHEST = 3.5;

/**
 * Learns a lot's solubility, rate, flow, retained water and steepness from its brews: the most probable factors
 * given what was believed before, with the model's own error shared between like recipes.
 *
 * Solubility and rate are hardly told apart by any set of brews: read them as what makes the forecasts
 * right, not as properties of the coffee. Without a brew the prior comes back, and forecasts are rough ranges.
 *
 * @param brews - in any order; any figure may be missing. A server's scale adds the trace of its beverage. Those in
 *   another kit teach the lot, and nothing of the flow through the kit asked about
 * @param drainTests - plain water timed through a paper, which then is no longer assumed
 * @param near - factors that are expected, as of the same brews but one: the fit is there sooner
 * @returns the calibration, or which figure of which brew cannot be
 */
export function calibrateLot({
  brews: brewed,
  prior = lotPrior({}),
  drainTests = [],
  near,
}: {
  brews: readonly MeasuredBrew[];
  prior?: LotPrior;
  drainTests?: readonly DrainTest[];
  near?: LearnedFactors;
}): Result<LotCalibration, BrewInputFailure | DrainTestFailure> {
  const [first] = brewed;
  const fault =
    evidenceFault(brewed) ?? priorFault(prior) ?? (near && first ? conditionsFault(first.brew, near) : null);
  if (fault) return fault;
  const papers: MeasuredPaper[] = [];
  for (const [index, test] of drainTests.entries()) {
    const paper = paperFromDrainTest(test);
    if (!paper.ok) {
      return 'field' in paper ? { ...paper, field: `drainTests.${index}.${paper.field}` } : paper;
    }
    papers.push(paper.value);
  }
  const brews = brewed.map((each) => ({ ...each, brew: withMeasuredPaper(each.brew, papers) }));
  const believed = perFactor((_, at) => Math.exp(prior.lnMean[at] ?? 0));
  const observations = withKitSlopes(observationsOf(brews), brews, believed);
  const covariance = errorCovariance(observations, brews);
  const lower = lowerOf(covariance);
  const missesAt = missesOf(brews, observations);
  // Steps of one prior spread each, as if the factors had nothing to do with one another.
  const oneSpread = lowerOf(new Matrix(prior.lnCovariance));
  const spread = matrixOf(oneSpread);
  const factorsAt = (steps: readonly number[]) => {
    const moved = spread.mmul(Matrix.columnVector([...steps])).to1DArray();
    return perFactor((_, at) => Math.exp((prior.lnMean[at] ?? 0) + (moved[at] ?? 0)));
  };
  const fit = leastSquares({
    start: near
      ? [
          ...apart(
            oneSpread,
            FACTORS.map((factor, at) => Math.log(near[factor]) - (prior.lnMean[at] ?? 0)),
          ),
        ]
      : FACTORS.map(() => 0),
    farthest: FARTHEST,
    residualsAt: (steps) => [...apart(lower, missesAt(factorsAt(steps))), ...steps],
  });

  const factors = factorsAt(fit.parameters);
  const lnFactors = FACTORS.map((factor) => Math.log(factors[factor]));
  const jacobian = new Matrix(fit.jacobian);
  const lnCovariance = spread
    .mmul(inverse(jacobian.transpose().mmul(jacobian)))
    .mmul(spread.transpose())
    .to2DArray();
  const finalMisses = missesAt(factors);
  const slopes = observations.length > 0 ? slopesOf(lower, jacobian, spread) : null;
  const misses = observations.map((observation, row) => ({
    ...observation,
    miss: finalMisses[row] ?? 0,
    sensitivity: slopes ? slopes.getRow(row) : [],
  }));
  const sdOf = (at: number) => Math.sqrt(lnCovariance[at]?.[at] ?? 0);
  const spreadLeft = perFactor((_, at) => sdOf(at) / Math.sqrt(prior.lnCovariance[at]?.[at] ?? 1));
  return success({
    factors,
    band: perFactor((factor, at) => {
      const wide = Math.exp(NINE_OF_TEN * sdOf(at));
      return { low: factors[factor] / wide, high: factors[factor] * wide };
    }),
    spreadLeft,
    knowledge: knowledgeOf(observations, spreadLeft),
    disagreeing: disagreements({ misses, brews, covariance, prior, lnFactors }),
    evidence: evidenceOf({ misses, lower, lnFactors, lnShift: prior.lnShift }),
    prior,
    lnCovariance,
    papers,
    brews,
    misses,
  });
}

/** Slope of each figure with the logarithm of each factor, from the slopes of the fit's errors with its steps. */
function slopesOf(lower: Lower, jacobian: Matrix, spread: Matrix): Matrix {
  const ofErrors = jacobian.subMatrix(0, lower.length - 1, 0, FACTORS.length - 1);
  return matrixOf(lower).mmul(ofErrors).mmul(inverse(spread)).mul(-1);
}

/** What these brews say by themselves, for the prior of lots to come. */
function evidenceOf({
  misses,
  lower,
  lnFactors,
  lnShift,
}: {
  misses: LotCalibration['misses'];
  lower: Lower;
  lnFactors: readonly number[];
  lnShift: readonly number[];
}): LotEvidence {
  const missed = apart(
    lower,
    misses.map(({ miss }) => miss),
  );
  const slopes = FACTORS.map((_, at) =>
    apart(
      lower,
      misses.map(({ sensitivity }) => sensitivity[at] ?? 0),
    ),
  );
  const information = slopes.map((one) => slopes.map((other) => dot(one, other)));
  const fromShift = lnFactors.map((ln, at) => ln - (lnShift[at] ?? 0));
  return {
    information,
    informationVector: slopes.map((slope, row) =>
      fromShift.reduce((sum, ln, at) => sum + (information[row]?.[at] ?? 0) * ln, dot(slope, missed)),
    ),
  };
}

/** What each figure is more than the model makes it, for any factors. */
function missesOf(
  brews: readonly MeasuredBrew[],
  observations: readonly Observation[],
): (factors: LearnedFactors) => number[] {
  const modelled = brews.map(({ brew }, index) =>
    remembering(
      brew,
      observations.flatMap(({ brewIndex, atS }) => (brewIndex === index && atS !== null ? [atS] : [])),
    ),
  );
  return (factors) => {
    const now = modelled.map((brewed) => brewed(factors));
    const nextPoint = brews.map(() => 0);
    return observations.map(({ brewIndex, output, value }) => {
      const brew = now[brewIndex];
      if (!brew) return 0;
      if (output !== 'trace') return value - modelledOutput(brew, output);
      const point = nextPoint[brewIndex] ?? 0;
      nextPoint[brewIndex] = point + 1;
      return value - (brew.traceG[point] ?? 0);
    });
  };
}

/** Flow and strength are what brews teach; the rest keeps its prior whatever one does. */
function knowledgeOf(observations: readonly Observation[], spreadLeft: LearnedFactors): Knowledge {
  const brews = new Set(observations.map(({ brewIndex }) => brewIndex)).size;
  if (brews === 0) return 'nothing';
  const read = observations.some(({ output }) => output === 'tds');
  if (!read || spreadLeft.flow > 0.4) return 'little';
  return brews >= 3 && spreadLeft.flow < 0.2 ? 'much' : 'some';
}
