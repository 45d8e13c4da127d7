import type { LotCalibration } from '../calibration/calibrateLot.js';
import { NINE_OF_TEN } from '../statistics/nineOfTen.js';
import { brewAsDone, DEPARTURES, type BrewDone, type Departure } from '../calibration/brewAsDone.js';
import type { BrewKit } from '../calibration/conditions.js';
import { conditionsFault } from '../calibration/evidence.js';
import {
  forecasterOf,
  sensitivityOf,
  type CalibratedForecast,
  type Expected,
} from '../calibration/forecastBrew.js';
import type { BrewInputFailure } from '../brewModel/checkBrew.js';
import { success, type Result } from '../result.js';

/** What a forecast and a result are laid side by side in. */
export const OUTCOMES = ['drawdownS', 'tdsPercent', 'yieldPercent'] as const;
export type OutcomeOf = (typeof OUTCOMES)[number];

/** A figure as it was measured, with its standard uncertainty; `null` where nobody measured it. */
export type Measured = Record<OutcomeOf, { value: number; sd: number } | null>;

/** One departure from the plan and what the model says it did, one after the other in the order of DEPARTURES. */
export interface DepartureEffect {
  departure: Departure;
  by: Record<OutcomeOf, number>;
}

/** What the way of the brew does not account for. */
interface Remainder {
  /** Measured less the forecast of what was done. */
  missedBy: number;
  /** Within what the forecast and the instruments leave open nine times of ten. */
  isWithinBand: boolean;
}

export interface BrewOutcome {
  /** Of the plan, from the brews before this one. */
  planned: CalibratedForecast;
  /** Of the brew as it was done. */
  asDone: CalibratedForecast;
  /** Those that moved anything; the rest of what was done was as planned, or nobody wrote it down. */
  effects: DepartureEffect[];
  remainder: Record<OutcomeOf, Remainder | null>;
}

/** Effects smaller than these are no reason for anything: s, % TDS, points. */
const WORTH_SAYING: Record<OutcomeOf, number> = { drawdownS: 1, tdsPercent: 0.005, yieldPercent: 0.05 };

/**
 * Why a brew came out as it did: its forecast, what followed from doing it otherwise than planned, and what remains.
 *
 * What each departure did depends a little on the order in which they are followed, since they act on one another;
 * their sum, the forecast of what was done less that of the plan, does not.
 *
 * @param calibration - of the lot without this brew, else the brew would be held against itself
 */
export function brewOutcome({
  calibration,
  done,
  kit,
  measured,
}: {
  calibration: LotCalibration;
  done: BrewDone;
  kit: BrewKit;
  measured: Measured;
}): Result<BrewOutcome, BrewInputFailure> {
  const stages = [0, ...DEPARTURES.map((_, index) => index + 1)].map((count) =>
    brewAsDone(done, kit, DEPARTURES.slice(0, count)),
  );
  for (const stage of stages) {
    const fault = conditionsFault(stage, calibration.factors);
    if (fault) return fault;
  }
  const forecaster = forecasterOf(calibration);
  const forecasts = stages.map((stage) => forecaster.forecast(stage, sensitivityOf(calibration, stage)));
  const [planned, asDone] = [forecasts[0], forecasts.at(-1)];
  if (!planned || !asDone) throw new Error('a brew has at least its plan to forecast');
  const effects = DEPARTURES.map((departure, index): DepartureEffect => {
    const of = (outcome: OutcomeOf) =>
      (forecasts[index + 1]?.[outcome].value ?? 0) - (forecasts[index]?.[outcome].value ?? 0);
    return {
      departure,
      by: {
        drawdownS: of('drawdownS'),
        tdsPercent: of('tdsPercent'),
        yieldPercent: of('yieldPercent'),
      },
    };
  }).filter(({ by }) => OUTCOMES.some((outcome) => Math.abs(by[outcome]) >= WORTH_SAYING[outcome]));
  return success({
    planned,
    asDone,
    effects,
    remainder: {
      drawdownS: remainderOf(asDone.drawdownS, measured.drawdownS),
      tdsPercent: remainderOf(asDone.tdsPercent, measured.tdsPercent),
      yieldPercent: remainderOf(asDone.yieldPercent, measured.yieldPercent),
    },
  });
}

function remainderOf(expected: Expected, measured: { value: number; sd: number } | null): Remainder | null {
  if (!measured) return null;
  const missedBy = measured.value - expected.value;
  return { missedBy, isWithinBand: Math.abs(missedBy) <= NINE_OF_TEN * Math.hypot(expected.sd, measured.sd) };
}
