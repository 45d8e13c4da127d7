import jStat from 'jstat';
import type { CalibratedForecast } from '../calibration/forecastBrew.js';

/** What a recipe is meant to reach, and how near is near enough. A figure left out is not aimed at. */
export interface Targets {
  tdsPercent?: number;
  yieldPercent?: number;
  drawdownS?: number;
  within?: Partial<TargetWindow>;
}

export interface TargetWindow {
  tdsPercent: number;
  yieldPercent: number;
  drawdownS: number;
}

/** Half widths inside which a brew has reached its target: what repeated brews of one recipe scatter over. */
export const NEAR_ENOUGH: TargetWindow = { tdsPercent: 0.05, yieldPercent: 0.5, drawdownS: 12 };

/** How far a forecast lies from its targets: 1 where one figure is just at the edge of its window. */
export function distanceOf(forecast: CalibratedForecast, targets: Targets): number {
  const window = { ...NEAR_ENOUGH, ...targets.within };
  const off = (value: number, target: number | undefined, half: number) =>
    target === undefined ? 0 : ((value - target) / half) ** 2;
  return (
    off(forecast.tdsPercent.value, targets.tdsPercent, window.tdsPercent) +
    off(forecast.yieldPercent.value, targets.yieldPercent, window.yieldPercent) +
    off(forecast.drawdownS.value, targets.drawdownS, window.drawdownS)
  );
}

const NODES = 15;
const REACH = 2.8;

/**
 * Probability that a brew comes out within every window aimed at. Strength and yield err together, since the
 * beverage is known well: the sum runs over the error of the strength, with what it makes of the yield.
 */
export function chanceOfTarget(forecast: CalibratedForecast, targets: Targets): number {
  const window = { ...NEAR_ENOUGH, ...targets.within };
  const { tdsPercent: tds, yieldPercent, drawdownS, tdsYieldCorrelation } = forecast;
  const inTime =
    targets.drawdownS === undefined
      ? 1
      : within(drawdownS.value - targets.drawdownS, drawdownS.sd, window.drawdownS);
  const ownYieldSd = yieldPercent.sd * Math.sqrt(Math.max(0, 1 - tdsYieldCorrelation ** 2));
  let inCup = 0;
  let weights = 0;
  for (let node = 0; node < NODES; node++) {
    const deviation = REACH * ((2 * node) / (NODES - 1) - 1);
    const weight = Math.exp(-(deviation ** 2) / 2);
    weights += weight;
    const tdsOff = tds.value + deviation * tds.sd - (targets.tdsPercent ?? tds.value + deviation * tds.sd);
    if (Math.abs(tdsOff) > window.tdsPercent) continue;
    const yieldAt = yieldPercent.value + deviation * tdsYieldCorrelation * yieldPercent.sd;
    inCup +=
      weight *
      (targets.yieldPercent === undefined
        ? 1
        : within(yieldAt - targets.yieldPercent, ownYieldSd, window.yieldPercent));
  }
  return inTime * (inCup / weights);
}

/** Probability that a normal error about `off` stays inside +-half. */
function within(off: number, sd: number, half: number): number {
  if (sd < 1e-9) return Math.abs(off) <= half ? 1 : 0;
  return jStat.normal.cdf((half - off) / sd, 0, 1) - jStat.normal.cdf((-half - off) / sd, 0, 1);
}
