import { isLow } from '../lot/grown.js';
import type { Elevation } from '../quantity/elevation.js';
import { inverse, Matrix } from 'ml-matrix';
import { mayHaveBase } from '../lot/process.js';
import type { BaseProcess, Process, RoastLevel } from '../vocabulary.js';
import { outOfRange, type OutOfRange } from '../input/ranges.js';
import { FACTORS, type LearnedFactors } from './conditions.js';

/** What is believed of a lot's factors before its first brew: normal in their logarithms. */
export interface LotPrior {
  /** In the order of FACTORS. */
  lnMean: number[];
  lnCovariance: number[][];
  /** What process, elevation and roast alone moved the means by. */
  lnShift: number[];
}

/**
 * Spread among lots of which nothing is known (assumed; after a study of synthetic lots).
 * It is shared between what a house's kit and the model's own faults do to every lot, and what is the lot's.
 */
const SPREAD: Record<keyof LearnedFactors, { lnSd: number; houseShare: number }> = {
  solubility: { lnSd: 0.1, houseShare: 0.5 },
  rate: { lnSd: 0.4, houseShare: 0.5 },
  flow: { lnSd: 0.5, houseShare: 0.5 },
  retained: { lnSd: 0.06, houseShare: 0.5 },
  steepness: { lnSd: 0.2, houseShare: 0.85 },
};

/**
 * What a process shifts, as logarithms: directions common practice (fermented and natural lots give more
 * easily, decaffeinated ones less), sizes assumed and small beside the spread.
 */
const BY_PROCESS: Record<Process, Partial<LearnedFactors>> = {
  washed: {},
  honey: { rate: 0.05 },
  natural: { rate: 0.1 },
  anaerobic: { rate: 0.15, solubility: 0.02 },
  'carbonic-maceration': { rate: 0.15, solubility: 0.02 },
  'long-fermentation': { rate: 0.15, solubility: 0.02 },
  'co-fermented': { rate: 0.15, solubility: 0.02 },
  decaffeinated: { solubility: -0.04, flow: 0.15 },
  'not-known': {},
};

/** Darker roasts are more soluble and more brittle (direction common practice, sizes assumed). */
const BY_ROAST: Record<RoastLevel, Partial<LearnedFactors>> = {
  light: { rate: -0.05, solubility: -0.01 },
  'medium-light': {},
  medium: { rate: 0.05, solubility: 0.01 },
  'medium-dark': { rate: 0.1, solubility: 0.02, flow: 0.1 },
};

/** Grown low, a lot is softer and drains fast (common practice; size assumed). */
const LOW_GROWN: Partial<LearnedFactors> = { flow: -0.15, rate: 0.05 };

/** What the brews of one lot say of its factors by themselves, without what was believed before. */
export interface LotEvidence {
  /** Information matrix and vector about the factors' logarithms less their shift, in the order of FACTORS. */
  information: number[][];
  informationVector: number[];
}

/** A finished lot of the house, and how alike it is to the new one: 1 the same kind, 0 nothing in common. */
export interface EarlierLot {
  evidence: LotEvidence;
  likeness: number;
}

/**
 * What to believe of a lot before it was brewed: from process, elevation and roast, and from what the house's
 * earlier lots turned out to be. Those weigh more the more alike and the better known they are, and never make
 * a new lot certain: what is the lot's own stays open.
 *
 * Source: two-level normal model, Gelman and others, Bayesian Data Analysis, 3rd edition (2013), 5.4 (from memory).
 */
export function lotPrior({
  process,
  baseProcess = null,
  additions = '',
  isDecaffeinated = false,
  elevation = null,
  roastLevel,
  earlierLots = [],
}: {
  process?: Process;
  baseProcess?: BaseProcess | null;
  additions?: string;
  isDecaffeinated?: boolean;
  elevation?: Elevation | null;
  roastLevel?: RoastLevel;
  earlierLots?: readonly EarlierLot[];
}): LotPrior {
  const shifts = [
    process ? BY_PROCESS[process] : {},
    process && baseProcess && mayHaveBase(process) ? BY_PROCESS[baseProcess] : {},
    additions.trim() !== '' && process !== 'co-fermented' ? BY_PROCESS['co-fermented'] : {},
    isDecaffeinated && process !== 'decaffeinated' ? BY_PROCESS.decaffeinated : {},
    roastLevel ? BY_ROAST[roastLevel] : {},
    elevation !== null && isLow(elevation) ? LOW_GROWN : {},
  ];
  const lnShift = FACTORS.map((factor) => shifts.reduce((total, shift) => total + (shift[factor] ?? 0), 0));
  const house = Matrix.diag(FACTORS.map((factor) => SPREAD[factor].lnSd ** 2 * SPREAD[factor].houseShare));
  const own = Matrix.diag(
    FACTORS.map((factor) => SPREAD[factor].lnSd ** 2 * (1 - SPREAD[factor].houseShare)),
  );
  const ownPrecision = inverse(own);
  let precision = inverse(house);
  let weighted = Matrix.zeros(FACTORS.length, 1);
  for (const { evidence, likeness } of earlierLots) {
    const information = new Matrix(evidence.information);
    const vector = Matrix.columnVector(evidence.informationVector);
    // What a lot says of the house is blurred by what is its own.
    const blurred = information.mmul(inverse(Matrix.add(ownPrecision, information)));
    precision = Matrix.add(precision, Matrix.sub(information, blurred.mmul(information)).mul(likeness));
    weighted = Matrix.add(weighted, Matrix.sub(vector, blurred.mmul(vector)).mul(likeness));
  }
  const houseCovariance = inverse(precision);
  const houseMean = houseCovariance.mmul(weighted).to1DArray();
  return {
    lnMean: lnShift.map((shift, at) => shift + (houseMean[at] ?? 0)),
    lnCovariance: symmetric(Matrix.add(houseCovariance, own)).to2DArray(),
    lnShift,
  };
}

/** @returns what of a prior is not of the factors, or `null`: one made by {@link lotPrior} always is */
export function priorFault({ lnMean, lnCovariance, lnShift }: LotPrior): OutOfRange | null {
  const count = { low: FACTORS.length, high: FACTORS.length, unit: 'factors' };
  return (
    outOfRange('prior.lnMean.length', lnMean.length, count) ??
    outOfRange('prior.lnShift.length', lnShift.length, count) ??
    outOfRange('prior.lnCovariance.length', lnCovariance.length, count) ??
    lnCovariance
      .map((row, at) => outOfRange(`prior.lnCovariance.${at}.length`, row.length, count))
      .find((fault) => fault !== null) ??
    null
  );
}

/** What inverting leaves lopsided by rounding. */
function symmetric(matrix: Matrix): Matrix {
  return Matrix.add(matrix, matrix.transpose()).mul(0.5);
}

export function perFactor<V>(
  of: (factor: keyof LearnedFactors, at: number) => V,
): Record<keyof LearnedFactors, V> {
  return Object.fromEntries(FACTORS.map((factor, at) => [factor, of(factor, at)])) as Record<
    keyof LearnedFactors,
    V
  >;
}
