import { describe, expect, it } from 'vitest';
import { HAND } from '../calibration/evidence.js';
import type { CalibratedForecast } from '../calibration/forecastBrew.js';
import { normalDraw, seededRandom } from '../random/seededRandom.js';
import { isOnAim, targetsOf } from './aim.js';
import { chanceOnAim } from './chanceOnAim.js';
import { cupsOnAim } from './cupsOnAim.js';

const expected = (value: number, sd: number) => ({ value, sd, low: value - sd, high: value + sd });
const FORECAST: CalibratedForecast = {
  tdsPercent: expected(1.31, 0.02),
  yieldPercent: expected(20.2, 0.35),
  drawdownS: expected(170, 5),
  beverageG: expected(231, 1),
  tdsYieldCorrelation: 0.9,
  drains: true,
  overflows: false,
  isRough: false,
};
const AIM = targetsOf({
  tdsLowPercent: 1.25,
  tdsHighPercent: 1.35,
  yieldLowPercent: 19.5,
  yieldHighPercent: 20.5,
});

describe('cups on aim', () => {
  // Computed by drawing: the recipe from its forecast, then a cup of it by hand.
  it('is the share of cups that hands brew of a recipe known no better than its forecast', () => {
    const random = seededRandom(4);
    const draw = () => normalDraw(random, { mean: 0, sd: 1 });
    const { tdsPercent: tds, yieldPercent, tdsYieldCorrelation: together } = FORECAST;
    const COUNT = 40_000;
    let inside = 0;
    for (let cup = 0; cup < COUNT; cup++) {
      const [shared, own, hand] = [draw(), draw(), draw()];
      const handTds = HAND.tds * hand;
      const strength = tds.value + tds.sd * shared + handTds;
      const yielded =
        yieldPercent.value +
        yieldPercent.sd * (together * shared + Math.sqrt(1 - together ** 2) * own) +
        (handTds * yieldPercent.value) / tds.value;
      if (isOnAim(AIM, { tdsPercent: strength, yieldPercent: yielded })) inside += 1;
    }
    expect(Math.abs(cupsOnAim(FORECAST, AIM) - inside / COUNT)).toBeLessThan(0.012);
  });

  it('is never surer than of the recipe itself, well inside its window', () => {
    expect(cupsOnAim(FORECAST, AIM)).toBeLessThan(chanceOnAim(FORECAST, AIM));
  });
});
