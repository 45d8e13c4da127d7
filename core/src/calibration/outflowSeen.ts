import { CholeskyDecomposition, Matrix } from 'ml-matrix';
import type { LotCalibration } from './calibrateLot.js';
import { AMISS, withVarianceOfFlow } from './bedSeen.js';
import { FLOWS_FROM_G_PER_G, wanderSdG, wandersTogether } from './course.js';
import { FACTORS, type BrewConditions } from './conditions.js';
import { MODEL_ERROR } from './discrepancy.js';
import type { TracePoint } from './evidence.js';
import { modelledOutflowG } from './modelled.js';

/** No bed is slower or faster than the lot's by more (assumed). */
const FARTHEST_LN = Math.log(6);
/** Beds the model is asked for, and points in between, where the beverage is laid through by straight lines. */
const NODES = 13;
const FINE_PER_NODE = 12;
/** Of the curve so many points are taken, evenly over what has run; more of them say the same again. */
const POINTS = 6;
/**
 * What the beverage misses the model by although the bed is right: an amount that stays (retained water, assumed), and
 * what its course wanders by (the false alarms they leave are printed by `./vendu bench warnings`).
 */
const STAYS_G = 4;
/** Water that the bed keeps, g for each g of dose (common practice: 1.8 to 2). */
const KEPT_G_PER_G = 1.9;
/** A scale under a dripping brewer, g. */
const SCALE_G = 0.5;

const FLOW = FACTORS.indexOf('flow');

/**
 * The calibration of a lot with the outflow of the running brew: what has run into the server by now tells the flow
 * of this bed long before it has drained. Either the brew is as its lot, or something is amiss, as with what is seen
 * of the bed; the posterior of the flow is summed over beds from a sixth to six times the lot's.
 *
 * @param outflow - on the brew clock, from 0 g before the first drip; may be empty
 */
export function withOutflow({
  calibration,
  brew,
  outflow,
}: {
  calibration: LotCalibration;
  brew: BrewConditions;
  outflow: readonly TracePoint[];
}): LotCalibration {
  const dueG = modelledOutflowG(
    brew,
    calibration.factors,
    outflow.map(({ atS }) => atS),
  );
  const points = spread(
    outflow
      .map((point, index) => ({ ...point, dueG: dueG[index] ?? 0 }))
      .filter((point) => point.dueG >= FLOWS_FROM_G_PER_G * brew.doseG),
  );
  if (points.length === 0) return calibration;
  const startLn = Math.log(calibration.factors.flow);
  const missed = missedOf(points, brew);
  const usualVar = (calibration.lnCovariance[FLOW]?.[FLOW] ?? 0) + MODEL_ERROR.drawdown ** 2;
  const times = points.map(({ atS }) => atS);
  const curves = Array.from({ length: NODES }, (_, node) => {
    const offLn = ((2 * node) / (NODES - 1) - 1) * FARTHEST_LN;
    const flow = Math.exp(startLn + offLn);
    return modelledOutflowG(brew, { ...calibration.factors, flow }, times);
  });
  let [total, sum, squares] = [0, 0, 0];
  for (const { offLn, traceG } of between(curves)) {
    const weight =
      Math.exp(-missed(traceG) / 2) *
      ((1 - AMISS.probability) * density(offLn, usualVar) +
        AMISS.probability * density(offLn, usualVar + AMISS.lnSd ** 2));
    total += weight;
    sum += weight * offLn;
    squares += weight * offLn ** 2;
  }
  // What no bed explains is no outflow of this brew: a server taken off, a scale that was moved.
  if (!(total > 0)) return calibration;
  const offLn = sum / total;
  return {
    ...calibration,
    factors: { ...calibration.factors, flow: Math.exp(startLn + offLn) },
    lnCovariance: withVarianceOfFlow(calibration.lnCovariance, squares / total - offLn ** 2),
  };
}

/** The last point, and others evenly before it. */
function spread<T>(points: readonly T[]): T[] {
  if (points.length <= POINTS) return [...points];
  const every = (points.length - 1) / (POINTS - 1);
  return Array.from({ length: POINTS }, (_, index) => points[Math.round(index * every)]).filter(
    (point) => point !== undefined,
  );
}

function density(offLn: number, variance: number): number {
  return Math.exp(-(offLn ** 2) / (2 * variance)) / Math.sqrt(variance);
}

/** How far a modelled curve is from the one that was read: squared, in standard deviations of what they share. */
function missedOf(
  points: readonly (TracePoint & { dueG: number })[],
  { doseG, pours }: BrewConditions,
): (traceG: readonly number[]) => number {
  const wholeG = Math.max(1, pours.reduce((sum, { amountG }) => sum + amountG, 0) - KEPT_G_PER_G * doseG);
  const wandersG = points.map(({ dueG }) => wanderSdG(doseG, dueG / wholeG));
  const covariance = new Matrix(
    points.map(({ atS }, row) =>
      points.map(
        (other, column) =>
          STAYS_G ** 2 +
          (wandersG[row] ?? 0) * (wandersG[column] ?? 0) * wandersTogether(atS, other.atS) +
          (row === column ? SCALE_G ** 2 : 0),
      ),
    ),
  );
  const inverse = new CholeskyDecomposition(covariance).solve(Matrix.eye(points.length));
  return (traceG) => {
    const off = Matrix.columnVector(points.map(({ beverageG }, index) => beverageG - (traceG[index] ?? 0)));
    return off.transpose().mmul(inverse).mmul(off).get(0, 0);
  };
}

/** The curves of beds between those that were simulated. */
function between(curves: readonly (readonly number[])[]): { offLn: number; traceG: number[] }[] {
  const steps = (curves.length - 1) * FINE_PER_NODE;
  return Array.from({ length: steps + 1 }, (_, at) => {
    const node = Math.min(curves.length - 2, Math.floor(at / FINE_PER_NODE));
    const share = at / FINE_PER_NODE - node;
    const [slower, faster] = [curves[node] ?? [], curves[node + 1] ?? []];
    return {
      offLn: ((2 * at) / steps - 1) * FARTHEST_LN,
      traceG: slower.map((grams, index) => grams * (1 - share) + (faster[index] ?? 0) * share),
    };
  });
}
