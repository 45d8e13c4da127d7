import type { WatchedFigure } from './watchedBrew.js';

/** What a recipe that is public is held to. */
export interface WatchLimits {
  /** It is brewed again after so long, days. */
  everyDays: number;
  /** And once its roast is so much older than any that it was brewed with, days. */
  olderByDays: number;
  /** So far from what was proven a cup is another one. */
  strengthPercent: number;
  yieldPoints: number;
  drainS: number;
  likingPoints: number;
}

/**
 * Until somebody sets others. Every two weeks a roast has changed (common practice); the rest is assumed: as far as a
 * house's usual checklist lets repeats lie apart, and two points of nine in liking.
 */
export const USUAL_WATCH_LIMITS: WatchLimits = {
  everyDays: 14,
  olderByDays: 10,
  strengthPercent: 0.12,
  yieldPoints: 1.5,
  drainS: 30,
  likingPoints: 2,
};

export function limitOf(limits: WatchLimits, figure: WatchedFigure): number {
  const by: Record<WatchedFigure, number> = {
    strength: limits.strengthPercent,
    yield: limits.yieldPoints,
    drain: limits.drainS,
    liking: limits.likingPoints,
  };
  return by[figure];
}

/**
 * How brews of one recipe by several people usually spread, as a standard deviation, until a recipe has brews enough to
 * tell its own (assumed: hand 0.03 to 0.05 % in strength, the eye 5 s in the end of the drip, half a point and more in liking).
 */
export const USUAL_SPREAD: Record<WatchedFigure, number> = {
  strength: 0.035,
  yield: 0.5,
  drain: 9,
  liking: 0.6,
};
