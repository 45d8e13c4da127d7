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
} from '@vendu/core';
import { fixed, percentile, table } from './report.js';
import { handOf, taskOf } from './brewsToTarget/task.js';
import { brewByHand, pouredByHand, syntheticLab, type SyntheticLot } from './brewsToTarget/truth.js';

const ORDINARY = 500;
const STALLS = 100;
/** A brew that drains in this share more or less than planned is off its plan; a word in any other is a false alarm. */
const OFF_PLAN = 0.2;
/** The stall that has to be told: twice the planned time. */
const STALL_FACTOR = 2;
/** An eye takes so long to see that the bed shows, s; and looks so long after the water is in whether it still stands. */
const EYE_S = { mean: 1.5, sd: 1 };
const LOOKS_AFTER_S = [12, 24, 36, 50, 65, 80, 100, 130];
const CLOCK_STEP_S = 5;

interface Watched {
  plannedS: number;
  drainedS: number;
  /** The first word said, and when. */
  first: { outlook: DrainOutlook; atS: number } | null;
}

/** How early a stall is told and how often a word is said wrongly, with the clock and with what an eye sees. */
export function liveWarnings(): string {
  const rows: string[][] = [];
  for (const brews of [0, 3]) {
    for (const hasEyes of [false, true]) {
      const ordinary = Array.from({ length: ORDINARY }, (_, seed) =>
        watch({ seed, brews, hasEyes, isStall: false }),
      );
      const stalls = Array.from({ length: STALLS }, (_, seed) =>
        watch({ seed, brews, hasEyes, isStall: true }),
      );
      const wrong = ordinary.filter(
        ({ first, drainedS, plannedS }) => first !== null && Math.abs(drainedS / plannedS - 1) < OFF_PLAN,
      );
      const told = stalls.flatMap(({ first, plannedS }) =>
        first && (first.outlook === 'late' || first.outlook === 'stall') ? [first.atS / plannedS] : [],
      );
      rows.push([
        brews === 0 ? 'never brewed' : `${brews} brews known`,
        hasEyes ? 'clock and eye' : 'clock alone',
        `${fixed((wrong.length / ORDINARY) * 100, 1)} %`,
        `${fixed((told.filter((share) => share < 0.6).length / STALLS) * 100, 0)} %`,
        `${fixed((told.filter((share) => share < 1).length / STALLS) * 100, 0)} %`,
        told.length === 0 ? 'never' : `${fixed(percentile(told, 0.5) * 100, 0)} % of the plan`,
      ]);
    }
  }
  return [
    '## Warnings while a brew runs',
    '',
    `${ORDINARY} ordinary brews and ${STALLS} that drain in twice the planned time, of synthetic lots and hands as above. The plan's drain time is the forecast's before the brew. The eye says when the bed shows (${EYE_S.mean} ± ${EYE_S.sd} s late) and, ${LOOKS_AFTER_S.slice(0, 3).join(', ')} ... s after each pour but the bloom, that water still stands. A word in a brew that drains within ${OFF_PLAN * 100} % of its plan is a false alarm.`,
    '',
    table(
      [
        'lot',
        'watched by',
        'false alarms',
        'stall told before 60 % of the plan',
        'before the plan is over',
        'median',
      ],
      rows,
    ),
  ].join('\n');
}

function watch({
  seed,
  brews,
  hasEyes,
  isStall,
}: {
  seed: number;
  brews: number;
  hasEyes: boolean;
  isStall: boolean;
}): Watched {
  const task = taskOf(syntheticLab(seed % 30), seed, 'grind');
  const { lot, start } = task;
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
  const looks = hasEyes ? looksAt(done, real.aboveBedG, real.drawdownS, seed) : [];
  return {
    plannedS,
    drainedS: real.drawdownS,
    first: firstWord({ calibration, lot, done, looks, plannedS, drainedS: real.drawdownS }),
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

function firstWord({
  calibration,
  lot,
  done,
  looks,
  plannedS,
  drainedS,
}: {
  calibration: LotCalibration;
  lot: SyntheticLot;
  done: BrewPlan;
  looks: readonly BedSeen[];
  plannedS: number;
  drainedS: number;
}): Watched['first'] {
  const brew = conditionsOfPlan({ plan: done, kit: lot.kit });
  const beliefs = new Map<number, DrainBelief>();
  const beliefAt = (atS: number) => {
    const seen = looks.filter((look) => look.atS <= atS);
    const known = beliefs.get(seen.length) ?? valueOf(drainBelief({ calibration, brew, seen }));
    beliefs.set(seen.length, known);
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
