import {
  conditionsOfPlan,
  normalDraw,
  summariseReadings,
  type BrewConditions,
  type BrewPlan,
  type MeasuredBrew,
} from '@vendu/core';
import type { SyntheticLot, TrueBrew } from './truth.js';

/** Instruments and a hand: a third worse than core believes of readings. TDS: what all of a sample share, and each one's own. */
export const NOISE = {
  grindShare: 0.02,
  kettleC: 1,
  doseG: 0.1,
  pourG: 1.5,
  pourS: 1.5,
  paperShare: 0.03,
  drawdownS: 4,
  sampleTdsPercent: 0.012,
  readingTdsPercent: 0.02,
  readings: 3,
  beverageG: 1,
  traceG: 0.5,
} as const;

/** A brew of a plan by a human hand: what a scale saw of it, and what it really was. */
export function pouredByHand(
  lot: SyntheticLot,
  plan: BrewPlan,
  random: () => number,
  slowed = 1,
): { done: BrewPlan; seen: BrewConditions; real: TrueBrew } {
  const draw = (sd: number) => normalDraw(random, { mean: 0, sd });
  const done: BrewPlan = {
    ...plan,
    pours: plan.pours.map((pour, index) => ({
      ...pour,
      startS: index === 0 ? 0 : pour.startS + draw(NOISE.pourS),
      amountG: pour.amountG + draw(NOISE.pourG),
    })),
  };
  const seen = conditionsOfPlan({ plan: done, kit: lot.kit });
  const handled = {
    ...seen,
    doseG: seen.doseG + draw(NOISE.doseG),
    grind: { d50Um: plan.grindUm * (1 + draw(NOISE.grindShare)) },
    kettleC: seen.kettleC + draw(NOISE.kettleC),
    paperPerM: seen.paperPerM * (1 + draw(NOISE.paperShare)),
  };
  return { done, seen, real: lot.trueBrew(handled, slowed) };
}

/** One brew of a plan by a human hand, as instruments and eyes told of it. */
export interface ByHand {
  /** As it was poured. */
  done: BrewPlan;
  seen: BrewConditions;
  /** What no instrument tells. */
  real: TrueBrew;
  drawdownS: number;
  readingsPercent: number[];
  beverageG: number;
  trace: { atS: number; beverageG: number }[];
}

/** A brew by a hand, and all that is measured of it. */
export function measuredByHand(lot: SyntheticLot, plan: BrewPlan, random: () => number): ByHand {
  const draw = (sd: number) => normalDraw(random, { mean: 0, sd });
  const { done, seen, real } = pouredByHand(lot, plan, random);
  const sampled = real.tdsPercent + draw(NOISE.sampleTdsPercent);
  const readingsPercent = Array.from(
    { length: NOISE.readings },
    () => sampled + draw(NOISE.readingTdsPercent),
  );
  return {
    done,
    seen,
    real,
    readingsPercent,
    drawdownS: real.drawdownS + draw(NOISE.drawdownS),
    beverageG: real.beverageG + draw(NOISE.beverageG),
    trace: real.trace.map(({ atS, beverageG }) => ({ atS, beverageG: beverageG + draw(NOISE.traceG) })),
  };
}

/** The same, weighed up as the page does. The scale tells what was poured when; nobody logs the rest. */
export function brewByHand(lot: SyntheticLot, plan: BrewPlan, random: () => number): MeasuredBrew {
  const { seen, drawdownS, readingsPercent, beverageG, trace } = measuredByHand(lot, plan, random);
  const summary = summariseReadings(readingsPercent);
  if (!summary) throw new Error('a brew without a reading');
  return {
    brew: seen,
    drawdownS,
    tdsPercent: summary.meanPercent,
    beverageG,
    standard: { tdsPercent: summary.comparablePercent },
    trace,
  };
}
