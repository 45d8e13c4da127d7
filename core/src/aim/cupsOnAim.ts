import { HAND } from '../calibration/evidence.js';
import type { CalibratedForecast, Expected } from '../calibration/forecastBrew.js';
import type { Targets } from './aim.js';
import { chanceOnAim } from './chanceOnAim.js';

/**
 * Probability that the next cup of a recipe, brewed by hand, comes out inside every window aimed at: what is not known of
 * the recipe, and what no two brews of it have alike.
 *
 * @returns 0 to 1, within 0.005
 */
export function cupsOnAim(forecast: CalibratedForecast, targets: Targets): number {
  const { tdsPercent, yieldPercent, drawdownS } = forecast;
  const yieldPerTds = tdsPercent.value > 0 ? yieldPercent.value / tdsPercent.value : 0;
  const fromTds = yieldPerTds * HAND.tds;
  const wider = (expected: Expected, sd: number): Expected => ({
    ...expected,
    sd: Math.hypot(expected.sd, sd),
  });
  const [tds, yielded] = [wider(tdsPercent, HAND.tds), wider(yieldPercent, fromTds)];
  // Strength's scatter goes whole into the yield; what of the yield is the beverage's own stays as it was.
  const together = forecast.tdsYieldCorrelation * tdsPercent.sd * yieldPercent.sd + HAND.tds * fromTds;
  return chanceOnAim(
    {
      ...forecast,
      tdsPercent: tds,
      yieldPercent: yielded,
      drawdownS: wider(drawdownS, HAND.drawdown * drawdownS.value),
      tdsYieldCorrelation: tds.sd * yielded.sd > 0 ? Math.min(1, together / (tds.sd * yielded.sd)) : 1,
    },
    targets,
  );
}
