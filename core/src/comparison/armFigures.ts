import { mean } from 'simple-statistics';
import { DRAIN_BY_EYE_SD_S, HAND } from '../calibration/evidence.js';
import { REPEATABILITY_PERCENT, SAMPLE_PERCENT } from '../extraction/instruments.js';
import type { ComparedArm } from './arms.js';

export const COMPARED_FIGURES = ['tdsPercent', 'yieldPercent', 'drainS'] as const;
export type ComparedFigure = (typeof COMPARED_FIGURES)[number];

/** What a figure came to in one arm. */
export interface ArmFigure {
  mean: number;
  brews: number;
  /** Standard uncertainty of the mean, of hands and instruments. */
  sd: number;
}

/** Two arms by one figure. */
export interface FigureApart {
  /** The second less the first. */
  difference: number;
  /** 95 % of the time it lies within this of the difference. */
  reach: number;
  isApart: boolean;
}

/** Normal distribution, 95 %. */
const MOST_OF_THE_TIME = 1.96;

/**
 * How far one brew scatters about its recipe, read on one meter by one house: what a meter is off by moves all arms alike and
 * is left out.
 */
function brewScatter(figure: ComparedFigure, value: number): number {
  const strengthSd = Math.hypot(HAND.tds, REPEATABILITY_PERCENT, SAMPLE_PERCENT);
  switch (figure) {
    case 'tdsPercent':
      return strengthSd;
    case 'yieldPercent':
      return strengthSd * POINTS_PER_PERCENT;
    case 'drainS':
      return Math.hypot(DRAIN_BY_EYE_SD_S, HAND.drawdown * value);
  }
}

/** Yield points that go with one percent of strength: g of beverage per g of dose, of a brew at 1:16 (common practice). */
const POINTS_PER_PERCENT = 14;

/** The mean of a figure over the brews of an arm; `null` where it was measured in none. */
export function armFigure({ brews }: ComparedArm, figure: ComparedFigure): ArmFigure | null {
  const known = brews.map((brew) => brew[figure]).filter((value) => value !== null);
  if (known.length === 0) return null;
  const centre = mean(known);
  return { mean: centre, brews: known.length, sd: brewScatter(figure, centre) / Math.sqrt(known.length) };
}

/** How far a figure lies apart in two arms; `null` where one of them has none. */
export function figureApart(from: ComparedArm, to: ComparedArm, figure: ComparedFigure): FigureApart | null {
  const [first, second] = [armFigure(from, figure), armFigure(to, figure)];
  if (!first || !second) return null;
  const difference = second.mean - first.mean;
  const reach = MOST_OF_THE_TIME * Math.hypot(first.sd, second.sd);
  return { difference, reach, isApart: Math.abs(difference) > reach };
}

/** What 8 of 10 such comparisons find of a figure, with so many brews of each arm: the smallest difference. */
export function smallestFound(
  figure: ComparedFigure,
  { value, rounds }: { value: number; rounds: number },
): number {
  return (MOST_OF_THE_TIME + EIGHT_OF_TEN) * brewScatter(figure, value) * Math.sqrt(2 / rounds);
}

/** Standard normal quantile of 0.8. */
const EIGHT_OF_TEN = 0.8416;
