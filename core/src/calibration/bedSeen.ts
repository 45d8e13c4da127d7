import { valueOf } from '../result.js';
import { simulateBrew } from '../brewModel/simulateBrew.js';
import type { BenchEvent } from '../bench/benchEvents.js';
import type { LotCalibration } from './calibrateLot.js';
import { FACTORS, lotFactorsOf, type BrewConditions, type LearnedFactors } from './conditions.js';
import { normalAbove } from '../statistics/normalAbove.js';
import { MODEL_ERROR } from './discrepancy.js';

/** What somebody saw of the water above the bed: that the bed shows, or that water still stands on it. */
export interface BedSeen {
  atS: number;
  shows: boolean;
}

/** What the events of a brew say of its bed, in order of time. */
export function bedSeenIn(events: readonly BenchEvent[]): BedSeen[] {
  return events
    .filter(({ kind }) => kind === 'bed-shows' || kind === 'water-stands')
    .map(({ kind, atS }) => ({ atS, shows: kind === 'bed-shows' }))
    .sort((a, b) => a.atS - b.atS);
}

/** An eye on the bed, as a share of the time from the end of the pour (assumed). */
const EYE_SD = 0.12;
/** How often something is amiss in a brew - paper sealed, wrong setting, fines - and how far it goes (assumed). */
export const AMISS = { probability: 0.1, lnSd: 0.6 };
/** Less than this above the bed is a wet bed, g. */
const WET_BED_G = 0.5;
/** Water that the bed drinks up sooner, as most blooms, tells nothing of its flow, s (assumed). */
const LEAST_DRAIN_S = 10;
/** Step of the slope, as a logarithm, and how often the line is laid anew. */
const DIFFERENCE = 0.05;
const ROUNDS = 3;
/** No bed is slower or faster than the lot's by more (assumed). */
const FARTHEST_LN = Math.log(6);
const LONGEST_S = 900;
const LEAST_VARIANCE = 1e-12;

/**
 * The calibration of a lot with what was seen of the running brew: when the water of a pour was gone, or that it still
 * stood, tells the flow of this bed before it has drained. Either the brew is as its lot, or something is amiss;
 * how likely is which follows from how far off it is (two hypotheses by Bayes' rule, the drain time linear in the
 * flow near each, as in an iterated extended Kalman filter).
 *
 * Water that stands past its time says that the end is still to come, and no more: the later it stands, the more that
 * is. A bed that shows may have shown for long: later than its time it is news only where somebody saw the water of
 * that pour stand before. What was seen while a pour still ran, or of water that the bed drinks up at once, says nothing.
 */
export function withBedSeen({
  calibration,
  brew,
  seen,
}: {
  calibration: LotCalibration;
  brew: BrewConditions;
  seen: readonly BedSeen[];
}): LotCalibration {
  return seen.reduce((learned, each, index) => {
    const before = seen.slice(0, index);
    return learnedFrom(learned, brew, each, before);
  }, calibration);
}

const FLOW = FACTORS.indexOf('flow');

function learnedFrom(
  calibration: LotCalibration,
  brew: BrewConditions,
  seen: BedSeen,
  before: readonly BedSeen[],
): LotCalibration {
  const last = brew.pours.findLast(({ startS }) => startS < seen.atS);
  if (!last) return calibration;
  const pouredS = last.startS + last.amountG / last.flowGps;
  const seenAfterS = seen.atS - pouredS;
  if (seenAfterS <= 0) return calibration;
  const lnInterval = (lnFlow: number) =>
    Math.log(showsAtS(brew, { ...calibration.factors, flow: Math.exp(lnFlow) }, seen.atS, pouredS) - pouredS);
  const startLn = Math.log(calibration.factors.flow);
  const modelled = lnInterval(startLn);
  const modelledS = Math.exp(modelled);
  if (modelledS < LEAST_DRAIN_S) return calibration;
  const wasWatched = before.some(({ atS, shows }) => !shows && atS > pouredS);
  const isNews = seen.shows ? seenAfterS < modelledS || wasWatched : seenAfterS > modelledS;
  if (!isNews) return calibration;
  const usualVar = (calibration.lnCovariance[FLOW]?.[FLOW] ?? 0) + MODEL_ERROR.drawdown ** 2;
  const look = seen.shows ? shownAt(Math.log(seenAfterS)) : standingAt(Math.log(seenAfterS));
  const asLot = filtered({ lnInterval, startLn, look, variance: usualVar });
  const amiss = filtered({ lnInterval, startLn, look, variance: usualVar + AMISS.lnSd ** 2 });
  const [wLot, wAmiss] = [asLot.likelihood * (1 - AMISS.probability), amiss.likelihood * AMISS.probability];
  // What neither can explain is amiss.
  const share = wLot + wAmiss > 0 ? wAmiss / (wLot + wAmiss) : 1;
  const lnFlow = asLot.mean * (1 - share) + amiss.mean * share;
  const variance =
    (asLot.variance + (asLot.mean - lnFlow) ** 2) * (1 - share) +
    (amiss.variance + (amiss.mean - lnFlow) ** 2) * share;
  return {
    ...calibration,
    factors: { ...calibration.factors, flow: Math.exp(lnFlow) },
    lnCovariance: withVarianceOfFlow(calibration.lnCovariance, variance),
  };
}

/** What a look tells of the interval it was taken in: where it lies now, and how probable the look was. */
type Look = (expected: { mean: number; variance: number }) => {
  mean: number;
  variance: number;
  likelihood: number;
};

/** The bed shows: the interval is over about now. */
function shownAt(lnSeen: number): Look {
  return ({ mean, variance }) => {
    const spread = variance + EYE_SD ** 2;
    const missed = lnSeen - mean;
    return {
      mean: mean + (variance / spread) * missed,
      variance: (variance * EYE_SD ** 2) / spread,
      likelihood: Math.exp(-(missed ** 2) / (2 * spread)) / Math.sqrt(spread),
    };
  };
}

/** Water stands: the interval is longer than this. */
function standingAt(lnSeen: number): Look {
  return ({ mean, variance }) => {
    const left = normalAbove({ mean, sd: Math.sqrt(variance), bound: lnSeen });
    return { mean: left.mean, variance: left.variance, likelihood: left.probability };
  };
}

/** One hypothesis: where the flow is, how surely, and how well it explains what was seen. */
function filtered({
  lnInterval,
  startLn,
  look,
  variance,
}: {
  lnInterval: (lnFlow: number) => number;
  startLn: number;
  look: Look;
  variance: number;
}) {
  let mean = startLn;
  let varianceLeft = variance;
  let likelihood = 0;
  for (let round = 0; round < ROUNDS; round++) {
    const slope = (lnInterval(mean + DIFFERENCE) - lnInterval(mean - DIFFERENCE)) / (2 * DIFFERENCE);
    const expected = {
      mean: lnInterval(mean) + slope * (startLn - mean),
      // A bed that no flow moves tells nothing of it.
      variance: Math.max(LEAST_VARIANCE, slope ** 2 * variance),
    };
    const looked = look(expected);
    const perInterval = (variance * slope) / expected.variance;
    mean = startLn + perInterval * (looked.mean - expected.mean);
    mean = Math.min(startLn + FARTHEST_LN, Math.max(startLn - FARTHEST_LN, mean));
    varianceLeft = variance - perInterval ** 2 * (expected.variance - looked.variance);
    ({ likelihood } = looked);
  }
  return { mean, variance: varianceLeft, likelihood };
}

/** When the water of the last pour before a moment is gone from above the bed, s. */
function showsAtS(brew: BrewConditions, factors: LearnedFactors, atS: number, pouredS: number): number {
  const { roastAgeDays, liftAtS: _, ...asked } = brew;
  const { series } = valueOf(
    simulateBrew({
      ...asked,
      pours: brew.pours.filter(({ startS }) => startS < atS),
      lot: lotFactorsOf(factors, roastAgeDays),
      longestS: LONGEST_S,
    }),
  );
  const row = series.atS.findIndex(
    (each, index) => each > pouredS && (series.aboveBedG[index] ?? 0) < WET_BED_G,
  );
  if (row === -1) return LONGEST_S;
  const [fromG, toG] = [series.aboveBedG[row - 1] ?? 0, series.aboveBedG[row] ?? 0];
  const [fromS, toS] = [series.atS[row - 1] ?? 0, series.atS[row] ?? 0];
  // Inside the step by a straight line, never before the pour was over.
  return Math.max(
    pouredS,
    toS - ((WET_BED_G - toG) / Math.max(WET_BED_G - toG, fromG - toG)) * (toS - fromS),
  );
}

/** Keeps how the flow hangs together with the other factors. */
export function withVarianceOfFlow(covariance: readonly (readonly number[])[], variance: number): number[][] {
  const shrink = Math.sqrt(variance / (covariance[FLOW]?.[FLOW] ?? variance));
  return covariance.map((row, at) =>
    row.map((each, column) => each * (at === FLOW ? shrink : 1) * (column === FLOW ? shrink : 1)),
  );
}
