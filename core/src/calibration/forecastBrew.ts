import type { BrewInputFailure } from '../brewModel/checkBrew.js';
import { success, type Result } from '../result.js';
import { NINE_OF_TEN } from '../statistics/nineOfTen.js';
import type { LotCalibration } from './calibrateLot.js';
import { FACTORS, type BrewConditions } from './conditions.js';
import { withMeasuredPaper } from './drainTest.js';
import { likenessTo, modelErrorOf, OUTPUTS, type Output } from './discrepancy.js';
import { conditionsFault } from './evidence.js';
import { neighboursOf } from './neighbours.js';
import { forecastOfKit, hasOtherKit, sharedByKit } from './otherKit.js';
import { modelledBrew, modelledOutput, remembering, steepnessSlope } from './modelled.js';
import { perFactor } from './priors.js';

/** A figure not yet measured: what to expect, and the band that holds nine times of ten. */
export interface Expected {
  value: number;
  sd: number;
  low: number;
  high: number;
}

export interface CalibratedForecast {
  drawdownS: Expected;
  tdsPercent: Expected;
  yieldPercent: Expected;
  beverageG: Expected;
  /** How strength and yield err together, -1 to 1: nearly 1, since the beverage is known well. */
  tdsYieldCorrelation: number;
  drains: boolean;
  overflows: boolean;
  /** True until a brew of the lot has been measured: the bands are then rough ranges. */
  isRough: boolean;
}

/** Slope of each output of a brew with the logarithm of each factor, in the order of FACTORS. */
export type BrewSlopes = Record<Output, number[]>;

/**
 * What the next brew of a calibrated lot will be, with bands.
 *
 * @param slopes - of a brew near by, from `brewSlopes`, while a plan is being drawn: the bands follow a
 *   little late and the answer comes ten times as fast; worked out anew if left out
 */
export function forecastBrew({
  calibration,
  brew,
  slopes,
}: {
  calibration: LotCalibration;
  brew: BrewConditions;
  slopes?: BrewSlopes;
}): Result<CalibratedForecast, BrewInputFailure> {
  const fault = conditionsFault(brew);
  if (fault) return fault;
  return success(forecasterOf(calibration).forecast(brew, slopes ?? sensitivityOf(calibration, brew)));
}

/** How strongly a brew follows each factor of its lot: most of the work of a forecast. */
export function brewSlopes({
  calibration,
  brew,
}: {
  calibration: LotCalibration;
  brew: BrewConditions;
}): Result<BrewSlopes, BrewInputFailure> {
  return conditionsFault(brew) ?? success(sensitivityOf(calibration, brew));
}

const DIFFERENCE = 0.03;

export function sensitivityOf({ factors, papers }: LotCalibration, asked: BrewConditions): BrewSlopes {
  const brew = withMeasuredPaper(asked, papers);
  const slopes: Record<Output, number[]> = { drawdown: [], tds: [], beverage: [] };
  const modelled = remembering(brew, []);
  for (const moved of FACTORS) {
    const at = (by: number) =>
      modelled(perFactor((factor) => factors[factor] * (factor === moved ? Math.exp(by) : 1)));
    const [up, down] = [at(DIFFERENCE), at(-DIFFERENCE)];
    for (const output of OUTPUTS) {
      slopes[output].push((modelledOutput(up, output) - modelledOutput(down, output)) / (2 * DIFFERENCE));
    }
  }
  return slopes;
}

/**
 * Forecasts of many brews from one calibration, with what they share worked out once. Slopes with the factors
 * may be those of a brew near by, but for the steepness, whose whole effect is the distance.
 */
export function forecasterOf(calibration: LotCalibration) {
  const { brews, lnCovariance, factors, papers } = calibration;
  const hasOthers = hasOtherKit(brews);
  const toBrews = likenessTo(brews.map(({ brew }) => brew));
  const neighbours = neighboursOf(calibration);

  /** Of one output: what its neighbours' misses add, and the variance that remains. */
  function corrected(
    output: Output,
    brew: BrewConditions,
    alike: readonly number[],
    slopes: readonly number[],
  ) {
    const ownError = modelErrorOf(output, brew);
    const kit = forecastOfKit(output, slopes, hasOthers);
    const { pull, explained, followed } = neighbours(
      output,
      kit,
      brews.map((measured, index) => ownError * modelErrorOf(output, measured.brew) * (alike[index] ?? 0)),
    );
    // What the correction already follows the factors by is no longer uncertain through them.
    const effective = FACTORS.map((_, at) => (slopes[at] ?? 0) - (followed[at] ?? 0));
    const throughFactors = effective.reduce(
      (total, a, row) =>
        total + effective.reduce((sum, b, column) => sum + a * b * (lnCovariance[row]?.[column] ?? 0), 0),
      0,
    );
    return {
      correction: pull,
      sd: Math.sqrt(Math.max(0, throughFactors + ownError ** 2 + sharedByKit(kit, kit) - explained)),
    };
  }

  return {
    forecast(brew: BrewConditions, slopes: Record<Output, number[]>): CalibratedForecast {
      const modelled = modelledBrew(withMeasuredPaper(brew, papers), factors);
      const alike = toBrews(brew);
      const time = corrected('drawdown', brew, alike, slopes.drawdown);
      const tds = corrected(
        'tds',
        brew,
        alike,
        slopes.tds.map((slope, at) =>
          FACTORS[at] === 'steepness' ? steepnessSlope(brew, modelled.tdsPercent) : slope,
        ),
      );
      const beverage = corrected('beverage', brew, alike, slopes.beverage);
      const tdsPercent = Math.max(0, modelled.tdsPercent + tds.correction);
      const beverageG = modelled.beverageG + beverage.correction;
      const drawdownS = modelled.drawdownS * Math.exp(time.correction);
      const fromTds = (tds.sd * beverageG) / brew.doseG;
      const yieldSd = Math.hypot(fromTds, (tdsPercent * beverage.sd) / brew.doseG);
      return {
        drawdownS: {
          value: drawdownS,
          sd: drawdownS * time.sd,
          low: drawdownS * Math.exp(-NINE_OF_TEN * time.sd),
          high: drawdownS * Math.exp(NINE_OF_TEN * time.sd),
        },
        tdsPercent: expected(tdsPercent, tds.sd),
        yieldPercent: expected((tdsPercent * beverageG) / brew.doseG, yieldSd),
        beverageG: expected(beverageG, beverage.sd),
        tdsYieldCorrelation: yieldSd > 0 ? fromTds / yieldSd : 1,
        drains: modelled.drained,
        overflows: modelled.overflows,
        isRough: calibration.misses.length === 0,
      };
    },
  };
}

function expected(value: number, sd: number): Expected {
  return { value, sd, low: value - NINE_OF_TEN * sd, high: value + NINE_OF_TEN * sd };
}
