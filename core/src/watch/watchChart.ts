import { mean, sum } from 'simple-statistics';
import { runSignals, type RunRule } from '../statistics/runRules.js';
import { D2, D4 } from '../statistics/individualsChart.js';
import { figureOf, type WatchedBrew, type WatchedFigure } from './watchedBrew.js';
import { limitOf, USUAL_SPREAD, type WatchLimits } from './watchLimits.js';

/** How much the usual spread counts beside a recipe's own, in moving ranges (assumed). */
const USUAL_COUNTS_AS = 4;

/** Why a brew is out: drifted by a run rule, or further off than the recipe may be. */
export type WatchSignal = RunRule | 'beyond-limit';

export interface WatchPoint {
  brewId: number;
  value: number;
  /** From the brew before; `null` of the first. */
  movingRange: number | null;
  /** Made since the version was public. */
  isRecheck: boolean;
  /** Of rechecks only. */
  signals: WatchSignal[];
}

/** A figure of a public version, brew by brew, around what was proven. */
export interface WatchChart {
  figure: WatchedFigure;
  /** As proven. */
  centre: number;
  /** Own moving ranges and the usual spread together, as a standard deviation. */
  sd: number;
  /** Three of them on each side. */
  low: number;
  high: number;
  /** Above this two neighbours lie further apart than they should. */
  movingRangeLimit: number;
  /** How far it may lie from the centre whatever the spread. */
  limit: number;
  points: WatchPoint[];
}

/**
 * Individuals chart of a figure: its centre is the mean of the proof, its limits three standard deviations from moving
 * ranges. A proof has three brews or so, whose ranges alone would give limits by chance, so the usual spread counts
 * beside them. Without a proof the first recheck is the centre.
 *
 * @returns `null` where nobody measured it
 *
 * Source: limits as NIST/SEMATECH e-Handbook 6.3.2.2; that ranges are pooled with a prior's is our own.
 */
export function watchChart({
  figure,
  proof,
  rechecks,
  limits,
}: {
  figure: WatchedFigure;
  /** In the order brewed. */
  proof: readonly WatchedBrew[];
  rechecks: readonly WatchedBrew[];
  limits: WatchLimits;
}): WatchChart | null {
  const known = (brews: readonly WatchedBrew[], isRecheck: boolean) =>
    brews.flatMap((brew) => {
      const value = figureOf(brew, figure);
      return value === null ? [] : [{ brewId: brew.id, value, isRecheck }];
    });
  const proven = known(proof, false);
  const brewed = [...proven, ...known(rechecks, true)];
  const [first] = brewed;
  if (!first) return null;
  const centre = proven.length > 0 ? mean(proven.map(({ value }) => value)) : first.value;
  const ranges = brewed.map(({ value }, index) => {
    const before = brewed[index - 1];
    return before ? Math.abs(value - before.value) : null;
  });
  const own = ranges.slice(0, proven.length).filter((range) => range !== null);
  const sd = Math.sqrt(
    (USUAL_COUNTS_AS * USUAL_SPREAD[figure] ** 2 + sum(own.map((range) => (range / D2) ** 2))) /
      (USUAL_COUNTS_AS + own.length),
  );
  // The centre is itself a mean of few brews: what is told against it is told by both errors.
  const against = proven.length === 0 ? Math.SQRT2 * sd : sd * Math.sqrt(1 + 1 / proven.length);
  const since = brewed.filter(({ isRecheck }) => isRecheck).map(({ value }) => value);
  const limit = limitOf(limits, figure);
  const points = brewed.map((point, index): WatchPoint => {
    const recheck = index - proven.length;
    const rules =
      recheck < 0
        ? []
        : runSignals({ values: since, index: recheck, centre, sigma: against }).filter(
            (rule) =>
              rule !== 'nine-on-one-side' ||
              isShifted(since.slice(recheck - 8, recheck + 1), centre, sd, proven.length),
          );
    const isBeyond = recheck >= 0 && Math.abs(point.value - centre) > limit;
    return {
      ...point,
      movingRange: ranges[index] ?? null,
      signals: [...rules, ...(isBeyond ? (['beyond-limit'] as const) : [])],
    };
  });
  return {
    figure,
    centre,
    sd,
    low: centre - 3 * against,
    high: centre + 3 * against,
    movingRangeLimit: D4 * D2 * sd,
    limit,
    points,
  };
}

/** A centre that few brews put a little off has nine on one side by itself: their mean has to lie off by both errors. */
function isShifted(nine: readonly number[], centre: number, sd: number, proven: number): boolean {
  return Math.abs(mean([...nine]) - centre) > 3 * sd * Math.sqrt(1 / nine.length + 1 / Math.max(1, proven));
}
