import jStat from 'jstat';
import { describe, expect, it } from 'vitest';
import type { CalibratedForecast } from '../calibration/forecastBrew.js';
import { seededRandom } from '../random/seededRandom.js';
import { isOnAim, standingOf, targetsOf, type Targets } from './aim.js';
import { chanceOnAim, distanceFromAim } from './chanceOnAim.js';

const expected = (value: number, sd: number) => ({ value, sd, low: value - sd, high: value + sd });
const forecastOf = (
  tds: [number, number],
  yielded: [number, number],
  drained: [number, number],
  tdsYieldCorrelation: number,
): CalibratedForecast => ({
  tdsPercent: expected(...tds),
  yieldPercent: expected(...yielded),
  drawdownS: expected(...drained),
  beverageG: expected(220, 2),
  tdsYieldCorrelation,
  drains: true,
  overflows: false,
  isRough: false,
});

/** The same probability as a plain sum over 20,000 strengths: slow, and exact to far below what is asked. */
function fineSum(
  { tdsPercent: tds, yieldPercent, drawdownS, tdsYieldCorrelation }: CalibratedForecast,
  aim: Targets,
) {
  const cdf = (x: number) => jStat.normal.cdf(x, 0, 1);
  const between = (low: number, high: number, mean: number, sd: number) =>
    cdf((high - mean) / sd) - cdf((low - mean) / sd);
  const COUNT = 20_000;
  const own = yieldPercent.sd * Math.sqrt(1 - tdsYieldCorrelation ** 2);
  let sum = 0;
  for (let index = 0; index < COUNT; index++) {
    const z = -7 + (14 * (index + 0.5)) / COUNT;
    const strength = tds.value + z * tds.sd;
    if (aim.tdsPercent && standingOf(strength, aim.tdsPercent) !== 'on-aim') continue;
    const mean = yieldPercent.value + z * tdsYieldCorrelation * yieldPercent.sd;
    const inYield = aim.yieldPercent ? between(aim.yieldPercent.low, aim.yieldPercent.high, mean, own) : 1;
    sum += ((Math.exp(-(z ** 2) / 2) / Math.sqrt(2 * Math.PI)) * inYield * 14) / COUNT;
  }
  const inTime = aim.drawdownS
    ? between(aim.drawdownS.low, aim.drawdownS.high, drawdownS.value, drawdownS.sd)
    : 1;
  return sum * inTime;
}

// Computed: against a fine sum of the same integral.
describe('the chance of coming out on aim', () => {
  const random = seededRandom(20_261_128);
  const between = (low: number, high: number) => low + random() * (high - low);
  it('is exact to half a point for narrow and wide windows, sure and unsure forecasts', () => {
    for (let draw = 0; draw < 300; draw++) {
      const tdsLow = between(1.1, 1.4);
      const yieldLow = between(17, 21);
      const drainLow = between(100, 200);
      const aim: Targets = {
        tdsPercent: { low: tdsLow, high: tdsLow + between(0.03, 0.3) },
        yieldPercent: { low: yieldLow, high: yieldLow + between(0.4, 5) },
        ...(random() < 0.3 ? { drawdownS: { low: drainLow, high: drainLow + between(5, 60) } } : {}),
      };
      const forecast = forecastOf(
        [between(1.1, 1.5), between(0.004, 0.2)],
        [between(17, 23), between(0.1, 3)],
        [between(120, 220), between(2, 40)],
        between(0, 0.99999),
      );
      expect(Math.abs(chanceOnAim(forecast, aim) - fineSum(forecast, aim))).toBeLessThan(0.005);
    }
  });

  it('is that of the one figure aimed at', () => {
    const forecast = forecastOf([1.25, 0.05], [20, 1], [150, 10], 0.95);
    const inside = jStat.normal.cdf(1, 0, 1) - jStat.normal.cdf(-1, 0, 1);
    expect(chanceOnAim(forecast, { tdsPercent: { low: 1.2, high: 1.3 } })).toBeCloseTo(inside, 6);
    expect(chanceOnAim(forecast, { yieldPercent: { low: 19, high: 21 } })).toBeCloseTo(inside, 6);
    expect(chanceOnAim(forecast, { drawdownS: { low: 140, high: 160 } })).toBeCloseTo(inside, 6);
    expect(chanceOnAim(forecast, {})).toBe(1);
  });

  it('is sure of a brew that is known without error', () => {
    const sure = forecastOf([1.25, 0], [20, 0], [150, 0], 1);
    const aim = targetsOf({
      tdsLowPercent: 1.2,
      tdsHighPercent: 1.3,
      yieldLowPercent: 19,
      yieldHighPercent: 21,
    });
    expect(chanceOnAim(sure, aim)).toBe(1);
    expect(chanceOnAim(sure, { ...aim, drawdownS: { low: 100, high: 140 } })).toBe(0);
  });
});

describe('the distance from an aim', () => {
  it('is a number for a window without width too', () => {
    const forecast = forecastOf([1.25, 0.05], [20, 1], [150, 10], 0.9);
    for (const at of [1.25, 1.3]) {
      expect(Number.isFinite(distanceFromAim(forecast, { tdsPercent: { low: at, high: at } }))).toBe(true);
    }
  });
});

describe('the aim', () => {
  const window = { tdsLowPercent: 1.2, tdsHighPercent: 1.4, yieldLowPercent: 19, yieldHighPercent: 21 };
  it('has a drain time only where one is set', () => {
    expect(targetsOf(window).drawdownS).toBeUndefined();
    expect(targetsOf({ ...window, drainLowS: 140, drainHighS: 160 }).drawdownS).toEqual({
      low: 140,
      high: 160,
    });
  });

  it('is met by what lies inside every window, ends included, and not by what was not measured', () => {
    const targets = targetsOf(window);
    expect(isOnAim(targets, { tdsPercent: 1.2, yieldPercent: 21 })).toBe(true);
    expect(isOnAim(targets, { tdsPercent: 1.41, yieldPercent: 20 })).toBe(false);
    expect(isOnAim(targets, { tdsPercent: 1.3, yieldPercent: null })).toBe(false);
    expect(
      isOnAim(
        { ...targets, drawdownS: { low: 140, high: 160 } },
        { tdsPercent: 1.3, yieldPercent: 20, drawdownS: 170 },
      ),
    ).toBe(false);
  });
});
