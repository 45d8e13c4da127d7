import { cupsTogether, normalDraw, type BrewPlan, type MeasuredBrew, type SplitCup } from '@vendu/core';
import { measuredByHand, NOISE } from '../truths/hand.js';
import type { SyntheticLot } from '../truths/truth.js';
import { page } from './strategies.js';
import type { Arm } from './study.js';
import { handOf } from './task.js';

const CUPS = 4;
/** Cups have errors of their own: the hand of the whole brew stays what it is beside them. */
const OWN = 7919;

/**
 * The first brew of a lot in four cups of like mass, each weighed and read once, weighed up as the page does. The truths
 * do not follow strength over time: each cup is given that of the whole with its own errors, which is all that cups
 * poured together ask.
 */
function brewInCups(lot: SyntheticLot, plan: BrewPlan, random: () => number, seed: number): MeasuredBrew {
  const { seen, real, drawdownS } = measuredByHand(lot, plan, random);
  const own = handOf(seed * OWN + 1);
  const draw = (sd: number) => normalDraw(own, { mean: 0, sd });
  const ends = Array.from({ length: CUPS }, (_, cup) =>
    reachedAt(real.trace, ((cup + 1) / CUPS) * real.beverageG),
  );
  const cups = ends.map(({ endS, beverageG }, cup): SplitCup => ({
    endS,
    beverageG: beverageG - (ends[cup - 1]?.beverageG ?? 0) + draw(NOISE.beverageG),
    tdsPercent: real.tdsPercent + draw(NOISE.sampleTdsPercent) + draw(NOISE.readingTdsPercent),
  }));
  const { trace, read } = cupsTogether(cups);
  if (!read) throw new Error('a split brew whose cups say nothing');
  return {
    brew: seen,
    drawdownS,
    tdsPercent: read.tdsPercent,
    beverageG: read.beverageG,
    standard: { tdsPercent: read.comparablePercent },
    trace,
  };
}

/** When the server has so much in it, and how much that is: the last there is where it never has. */
function reachedAt(trace: readonly { atS: number; beverageG: number }[], massG: number) {
  const at = trace.find(({ beverageG }) => beverageG >= massG) ?? trace.at(-1);
  return { endS: at?.atS ?? 0, beverageG: at?.beverageG ?? 0 };
}

export const SPLIT_FIRST: Arm = {
  name: '… the first brew split into four cups',
  // Later brews have no scale under the server: only the cups tell a course.
  strategy: page({ trace: true }),
  firstBrew: brewInCups,
  tracesLater: false,
};
