import type { CalibratedForecast } from '../calibration/forecastBrew.js';
import { normalCdf } from '../statistics/normalCdf.js';
import { TARGETS, type Targets, type Window } from './aim.js';

/** Standard deviations and windows narrower than this are none: % TDS, points, s. */
const TINY = 1e-9;

/**
 * How far a forecast lies from the middle of its windows, squared and added: 1 where one figure is just at the edge
 * of its window and the others are in the middle.
 */
export function distanceFromAim(forecast: CalibratedForecast, targets: Targets): number {
  return TARGETS.reduce((sum, figure) => {
    const window = targets[figure];
    if (window === undefined) return sum;
    const half = Math.max(TINY, (window.high - window.low) / 2);
    return sum + ((forecast[figure].value - window.low - half) / half) ** 2;
  }, 0);
}

/** Beyond so many standard deviations less than one brew in a million lies. */
const REACH = 5;
/** Pieces of the sum on each side of a place where the inside begins or ends. */
const PIECES = 3;
/** Nodes and weights of Gauss and Legendre's rule of five points on -1 to 1 (Abramowitz and Stegun 25.4.30, table 25.4). */
const GAUSS: readonly (readonly [number, number])[] = [
  [0, 0.568888888888889],
  [0.538469310105683, 0.478628670499366],
  [-0.538469310105683, 0.478628670499366],
  [0.906179845938664, 0.236926885056189],
  [-0.906179845938664, 0.236926885056189],
];

/**
 * Probability that a brew comes out inside every window aimed at. Strength and yield err together, since the
 * beverage is known well: the sum runs over the error of the strength, with what it makes of the yield, and is cut
 * where either enters or leaves its window, so that narrow errors and narrow windows are summed as well as wide ones.
 *
 * @returns 0 to 1, within 0.005
 */
export function chanceOnAim(forecast: CalibratedForecast, targets: Targets): number {
  const { tdsPercent: tds, yieldPercent, drawdownS, tdsYieldCorrelation } = forecast;
  const inTime = within(targets.drawdownS, drawdownS.value, drawdownS.sd);
  if (inTime === 0) return 0;
  if (targets.tdsPercent === undefined || tds.sd < TINY) {
    const inStrength = within(targets.tdsPercent, tds.value, tds.sd);
    return inTime * inStrength * within(targets.yieldPercent, yieldPercent.value, yieldPercent.sd);
  }
  const low = Math.max(-REACH, (targets.tdsPercent.low - tds.value) / tds.sd);
  const high = Math.min(REACH, (targets.tdsPercent.high - tds.value) / tds.sd);
  if (low >= high) return 0;
  const slope = tdsYieldCorrelation * yieldPercent.sd;
  const ownYieldSd = yieldPercent.sd * Math.sqrt(Math.max(0, 1 - tdsYieldCorrelation ** 2));
  const inYield = (deviation: number) =>
    within(targets.yieldPercent, yieldPercent.value + deviation * slope, ownYieldSd);
  const sum = pieces(low, high, edges(targets.yieldPercent, yieldPercent.value, slope, ownYieldSd)).reduce(
    (total, [from, to]) => {
      const half = (to - from) / 2;
      const piece = GAUSS.reduce((all, [node, weight]) => {
        const deviation = from + half * (1 + node);
        return all + weight * density(deviation) * inYield(deviation);
      }, 0);
      return total + half * piece;
    },
    0,
  );
  return Math.min(1, inTime * sum);
}

function density(deviation: number): number {
  return Math.exp(-(deviation ** 2) / 2) / Math.sqrt(2 * Math.PI);
}

/** Probability that a normal figure lies in its window; 1 where there is none. */
function within(window: Window | undefined, mean: number, sd: number): number {
  if (window === undefined) return 1;
  if (sd < TINY) return mean >= window.low && mean <= window.high ? 1 : 0;
  return normalCdf((window.high - mean) / sd) - normalCdf((window.low - mean) / sd);
}

/** Where along the error of the strength the yield begins and ends to be inside. */
function edges(window: Window | undefined, mean: number, slope: number, ownSd: number): number[] {
  if (window === undefined || Math.abs(slope) < TINY) return [];
  const width = Math.abs(ownSd / slope);
  return [window.low, window.high].flatMap((edge) => {
    const at = (edge - mean) / slope;
    return [at - 3 * width, at - width, at, at + width, at + 3 * width];
  });
}

/** An interval cut at the places inside it, and each part into a few. */
function pieces(low: number, high: number, cuts: readonly number[]): [number, number][] {
  const places = [low, ...cuts.filter((cut) => cut > low && cut < high).sort((a, b) => a - b), high];
  return places.slice(1).flatMap((to, index) => {
    const from = places[index] ?? low;
    const step = (to - from) / PIECES;
    return Array.from({ length: PIECES }, (_, piece): [number, number] => [
      from + piece * step,
      from + (piece + 1) * step,
    ]);
  });
}
