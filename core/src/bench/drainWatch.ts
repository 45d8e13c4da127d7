import { normalAbove } from '../statistics/normalAbove.js';

/** What the drain of a running brew looks like. */
export type DrainOutlook = 'on-plan' | 'late' | 'stall' | 'early' | 'rush';

/** Past its plan by a fifth a brew is late, by half it stalls; the same before it (common practice, shares assumed). */
const OFF_SHARE = 0.2;
const FAR_SHARE = 0.5;
/** A drain this much past the plan is worth worrying about, as a share of the plan (assumed). */
const WORRY_SHARE = 0.25;

/** When to begin to worry that a brew has not drained, s: its plan and a quarter, or the upper end of the forecast. */
export function worryAtS({
  drawdownS,
  forecastHighS,
}: {
  drawdownS: number;
  forecastHighS?: number;
}): number {
  return Math.round(Math.max(drawdownS * (1 + WORRY_SHARE), forecastHighS ?? 0));
}

/**
 * What a drain that is forecast, or that has not come yet, means for the brew.
 *
 * @param expectedS - the forecast, or `null` where it does not drain at all
 */
export function drainOutlook({
  plannedS,
  expectedS,
  elapsedS,
}: {
  plannedS: number;
  expectedS: number | null;
  elapsedS: number;
}): DrainOutlook {
  if (expectedS === null) return 'stall';
  // The clock overtakes any forecast.
  const share = Math.max(expectedS, elapsedS) / plannedS - 1;
  if (share > FAR_SHARE) return 'stall';
  if (share > OFF_SHARE) return 'late';
  if (share < -FAR_SHARE) return 'rush';
  return share < -OFF_SHARE ? 'early' : 'on-plan';
}

/**
 * When a brew that has not drained yet will: what was forecast, less all of it that is past.
 *
 * @param expected - when it drains and how surely, s, by what was known when it was forecast
 * @param elapsedS - on the clock of the brew now
 */
export function drainToCome({ value, sd }: { value: number; sd: number }, elapsedS: number) {
  const left = normalAbove({ mean: value, sd, bound: elapsedS });
  return { value: left.mean, low: left.quantile(0.05), high: left.quantile(0.95) };
}
