import { forecasterOf, sensitivityOf } from '../calibration/forecastBrew.js';
import type { LotCalibration } from '../calibration/calibrateLot.js';
import { AMISS, withBedSeen, type BedSeen } from '../calibration/bedSeen.js';
import { FACTORS, type BrewConditions } from '../calibration/conditions.js';
import { conditionsFault, type TracePoint } from '../calibration/evidence.js';
import { withOutflow } from '../calibration/outflowSeen.js';
import type { BrewInputFailure } from '../brewModel/checkBrew.js';
import { success, type Result } from '../result.js';
import { normalCdf } from '../statistics/normalCdf.js';

/**
 * When a running brew will drain, as the logarithm of its time has it: as its lot, or with something amiss in it.
 * The second is rare and wide, and what is left once the first has passed.
 */
export interface DrainBelief {
  valueS: number;
  lnSd: number;
  amissLnSd: number;
  /** No brew of the lot was measured yet. */
  isRough: boolean;
}

const FLOW = FACTORS.indexOf('flow');

/**
 * What is believed of the drain of a brew as it is going, from its lot, from what was seen of its bed, and from
 * what has run into the server.
 *
 * @param outflow - where a scale stands under the server alone
 * @returns the belief, or which figure of the brew cannot be
 */
export function drainBelief({
  calibration,
  brew,
  seen,
  outflow = [],
}: {
  calibration: LotCalibration;
  brew: BrewConditions;
  seen: readonly BedSeen[];
  outflow?: readonly TracePoint[];
}): Result<DrainBelief, BrewInputFailure> {
  const fault = conditionsFault(brew, calibration.factors);
  if (fault) return fault;
  const looked = seen.length === 0 ? calibration : withBedSeen({ calibration, brew, seen });
  const learned = withOutflow({ calibration: looked, brew, outflow });
  const slopes = sensitivityOf(learned, brew);
  const { drawdownS, isRough } = forecasterOf(learned).forecast(brew, slopes);
  const lnSd = drawdownS.sd / drawdownS.value;
  const perFlow = Math.abs(slopes.drawdown[FLOW] ?? 0);
  return success({
    valueS: drawdownS.value,
    lnSd,
    amissLnSd: Math.hypot(lnSd, perFlow * AMISS.lnSd),
    isRough,
  });
}

/** Further out than this no probability is left to divide by; the tail keeps its shape from there, in sds. */
const FARTHEST_SDS = 6;
const HALVINGS = 50;

/** The drain of a brew that has not drained yet: what was believed, less all of it that is past. */
export interface DrainToCome {
  valueS: number;
  lowS: number;
  highS: number;
  /** How probable it is that the brew drains after a moment on its clock, 0 to 1. */
  laterThan: (atS: number) => number;
}

export function drainToCome(
  { valueS, lnSd, amissLnSd }: Omit<DrainBelief, 'isRough'>,
  elapsedS: number,
): DrainToCome {
  const share = AMISS.probability;
  const beyond = (atS: number) => {
    const ln = Math.log(atS / valueS);
    return (1 - share) * normalCdf(-ln / lnSd) + share * normalCdf(-ln / amissLnSd);
  };
  const farS = valueS * Math.exp(FARTHEST_SDS * amissLnSd);
  // A clock far past every belief moves the tail along with it.
  const stretched = Math.max(1, elapsedS / farS);
  const left = elapsedS > 0 ? beyond(elapsedS / stretched) : 1;
  const quantile = (probability: number) => {
    const wanted = left * (1 - probability);
    let [low, high] = [Math.max(elapsedS / stretched, 1e-3), farS * Math.exp(FARTHEST_SDS * amissLnSd)];
    for (let halving = 0; halving < HALVINGS; halving++) {
      const middle = Math.sqrt(low * high);
      if (beyond(middle) > wanted) low = middle;
      else high = middle;
    }
    return low * stretched;
  };
  return {
    valueS: quantile(0.5),
    lowS: quantile(0.05),
    highS: quantile(0.95),
    laterThan: (atS) => (atS <= elapsedS ? 1 : Math.min(1, beyond(atS / stretched) / left)),
  };
}
