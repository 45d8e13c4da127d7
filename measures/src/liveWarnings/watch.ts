import {
  calibrateLot,
  conditionsOfPlan,
  drainBelief,
  drainOutlook,
  forecastBrew,
  normalDraw,
  pourEndS,
  seededRandom,
  valueOf,
  type BedSeen,
  type BrewPlan,
  type DrainBelief,
  type DrainOutlook,
  type LotCalibration,
  type TracePoint,
} from '@vendu/core';
import { handOf, taskOf } from '../brewsToTarget/task.js';
import { brewByHand, pouredByHand } from '../truths/hand.js';
import type { SyntheticLot, TruthName } from '../truths/truth.js';

/** The stall that has to be told: twice the planned time. */
const STALL_FACTOR = 2;
/** An eye takes so long to see that the bed shows, s; and looks so long after the water is in whether it still stands. */
export const EYE_S = { mean: 1.5, sd: 1 };
export const LOOKS_AFTER_S = [12, 24, 36, 50, 65, 80, 100, 130];
const CLOCK_STEP_S = 5;
/** A scale under the server is asked so often, s; its noise under a dripping brewer, g. */
export const OUTFLOW_EVERY_S = 10;
const SCALE_G = 0.5;

export const WATCHED_BY = [
  'clock alone',
  'clock and eye',
  'clock and scale under the server',
  'all of them',
] as const;
type WatchedBy = (typeof WATCHED_BY)[number];
const hasEyes = (by: WatchedBy) => by === 'clock and eye' || by === 'all of them';
const hasScale = (by: WatchedBy) => by === 'clock and scale under the server' || by === 'all of them';

export interface Watched {
  plannedS: number;
  drainedS: number;
  /** The first word said, and when. */
  first: { outlook: DrainOutlook; atS: number } | null;
}

/** One brew to watch. */
export interface WatchTask {
  seed: number;
  /** Measured brews of the lot before it. */
  brews: number;
  by: WatchedBy;
  isStall: boolean;
  truth: TruthName;
}

/** Brews a brew of a synthetic lot by hand, and notes the first word that is said of its drain. */
export function watch({ seed, brews, by, isStall, truth }: WatchTask): Watched {
  const { lot, start } = taskOf(truth, seed);
  const hand = handOf(seed);
  const calibration = valueOf(
    calibrateLot({
      brews: Array.from({ length: brews }, () => ({ ...brewByHand(lot, start, hand), trace: [] })),
    }),
  );
  const forecast = valueOf(
    forecastBrew({ calibration, brew: conditionsOfPlan({ plan: start, kit: lot.kit }) }),
  );
  const plannedS = Math.round(forecast.drawdownS.value);
  const plan = { ...start, drawdownS: plannedS };
  const slowed = isStall ? slowedTo(lot, plan, STALL_FACTOR * plannedS) : 1;
  const { done, real } = pouredByHand(lot, plan, hand, slowed);
  const looks = hasEyes(by) ? looksAt(done, real.aboveBedG, real.drawdownS, seed) : [];
  return {
    plannedS,
    drainedS: real.drawdownS,
    first: firstWord({
      calibration,
      lot,
      done,
      looks,
      outflow: hasScale(by) ? outflowOf(real.trace, seed) : [],
      plannedS,
      drainedS: real.drawdownS,
    }),
  };
}

/** How much harder a bed has to let water through for a brew to drain at a given time. */
function slowedTo(lot: SyntheticLot, plan: BrewPlan, drainS: number): number {
  const brew = conditionsOfPlan({ plan, kit: lot.kit });
  let [low, high] = [0.2, 40];
  for (let halving = 0; halving < 14; halving++) {
    const middle = Math.sqrt(low * high);
    if (lot.trueBrew(brew, middle).drawdownS < drainS) low = middle;
    else high = middle;
  }
  return low;
}

/** What an eye says of the bed, at the moments when it says it. */
function looksAt(
  { pours }: BrewPlan,
  aboveBedG: readonly { atS: number; aboveG: number }[],
  drainedS: number,
  seed: number,
): BedSeen[] {
  const random = seededRandom(seed + 5);
  return pours.flatMap((pour, index) => {
    if (pour.isBloom) return [];
    const endS = pourEndS(pour);
    const untilS = Math.min(pours[index + 1]?.startS ?? Infinity, drainedS);
    const dry = aboveBedG.find(({ atS, aboveG }) => atS > endS && aboveG < 0.5)?.atS ?? Infinity;
    const standing = LOOKS_AFTER_S.map((after) => endS + after)
      .filter((atS) => atS < Math.min(dry, untilS))
      .map((atS) => ({ atS, shows: false }));
    const showsS = dry + Math.max(0, normalDraw(random, EYE_S));
    return showsS < untilS ? [...standing, { atS: showsS, shows: true }] : standing;
  });
}

/** What a scale under the server shows. */
function outflowOf(trace: readonly TracePoint[], seed: number): TracePoint[] {
  const random = seededRandom(seed + 11);
  return trace
    .filter(({ atS }) => Math.round(atS) % OUTFLOW_EVERY_S === 0)
    .map(({ atS, beverageG }) => ({
      atS,
      beverageG: beverageG + normalDraw(random, { mean: 0, sd: SCALE_G }),
    }));
}

function firstWord({
  calibration,
  lot,
  done,
  looks,
  outflow,
  plannedS,
  drainedS,
}: {
  calibration: LotCalibration;
  lot: SyntheticLot;
  done: BrewPlan;
  looks: readonly BedSeen[];
  outflow: readonly TracePoint[];
  plannedS: number;
  drainedS: number;
}): Watched['first'] {
  const brew = conditionsOfPlan({ plan: done, kit: lot.kit });
  const beliefs = new Map<number, DrainBelief>();
  const beliefAt = (atS: number) => {
    const seen = looks.filter((look) => look.atS <= atS);
    const run = outflow.filter((point) => point.atS <= atS);
    const learned = seen.length + run.length * 1000;
    const known = beliefs.get(learned) ?? valueOf(drainBelief({ calibration, brew, seen, outflow: run }));
    beliefs.set(learned, known);
    return known;
  };
  const clock = Array.from({ length: Math.floor(drainedS / CLOCK_STEP_S) }, (_, step) => step * CLOCK_STEP_S);
  const moments = [...clock, ...looks.map(({ atS }) => atS)].sort((a, b) => a - b);
  for (const elapsedS of moments) {
    const outlook = drainOutlook({ plannedS, belief: beliefAt(elapsedS), elapsedS });
    if (outlook !== 'on-plan') return { outlook, atS: elapsedS };
  }
  return null;
}
