import { drainToCome, type DrainBelief } from './drainBelief.js';

/** What the drain of a running brew looks like. */
export type DrainOutlook = 'on-plan' | 'late' | 'stall' | 'early' | 'rush';

/** Past its plan by a fifth a brew is late, by half it stalls; the same before it (common practice, shares assumed). */
const OFF_SHARE = 0.2;
const FAR_SHARE = 0.5;
/**
 * A warning is given once it is likelier than not; of a lot that was never measured it has to be surer: at four fifths
 * one ordinary brew in twelve was warned of (`./vendu bench warnings` prints what is left).
 */
const SURE_ENOUGH = { known: 0.5, rough: 0.9 };
/** A drain this much past the plan counts as stalled whatever was forecast, as a share of the plan (assumed). */
const STALLED_SHARE = 0.25;

/** From when a brew that has not drained has stalled, s: its plan and a quarter, or the upper end of the forecast. */
export function stalledAfterS({
  drawdownS,
  forecastHighS,
}: {
  drawdownS: number;
  forecastHighS?: number;
}): number {
  return Math.round(Math.max(drawdownS * (1 + STALLED_SHARE), forecastHighS ?? 0));
}

/**
 * What a drain that has not come yet means for the brew. Nothing is said while the plan lies inside the band of what
 * is believed; beyond it a word is said as soon as it is sure enough.
 *
 * @param belief - of the drain, or `null` where nothing is believed of it: then only the clock speaks
 */
export function drainOutlook({
  plannedS,
  belief,
  elapsedS,
}: {
  plannedS: number;
  belief: DrainBelief | null;
  elapsedS: number;
}): DrainOutlook {
  if (belief === null) {
    if (elapsedS > plannedS * (1 + FAR_SHARE)) return 'stall';
    return elapsedS > plannedS * (1 + OFF_SHARE) ? 'late' : 'on-plan';
  }
  const { lowS, highS, laterThan } = drainToCome(belief, elapsedS);
  if (lowS <= plannedS && plannedS <= highS) return 'on-plan';
  const sure = belief.isRough ? SURE_ENOUGH.rough : SURE_ENOUGH.known;
  const later = (share: number) => laterThan(plannedS * share);
  if (later(1 + FAR_SHARE) > sure) return 'stall';
  if (later(1 + OFF_SHARE) > sure) return 'late';
  if (later(1 - FAR_SHARE) < 1 - sure) return 'rush';
  return later(1 - OFF_SHARE) < 1 - sure ? 'early' : 'on-plan';
}
