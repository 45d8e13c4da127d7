import {
  calibrateLot,
  conditionsOfPlan,
  forecastBrew,
  seededRandom,
  valueOf,
  type BrewPlan,
} from '@vendu/core';
import { fixed, percentile, table } from '../report.js';
import { brewByHand } from '../truths/hand.js';
import type { TruthName } from '../truths/truth.js';
import { TRUTHS } from './brewsToTarget.js';
import { movedTo } from './moves.js';
import { handOf, taskOf, trueCup } from './task.js';

const LOTS = 60;
const LEARNED_FROM = [24, 16, 12, 8, 6];
const MOST = Math.max(...LEARNED_FROM);
/** A version is brewed so often before it becomes another. */
const BREWS_A_VERSION = 3;

interface Forecast {
  timeS: number;
  tdsPercent: number;
  yieldPercent: number;
  isHeld: boolean;
  learnedMs: number;
}

/** How many of a recipe's brews are worth learning from: the next version forecast from the newest so many. */
export function manyBrews(): string {
  return [
    '## How many brews are learned from',
    '',
    `${LOTS} lots against each truth, ${MOST} brews of each in versions of ${BREWS_A_VERSION} that move grind and ratio; the next version (40 µm away) forecast from the newest so many of them.`,
    '',
    table(
      [
        'truth',
        'learned from',
        'time rms, s',
        'TDS rms, %',
        'yield rms',
        'band of TDS holds',
        'learned in, ms',
      ],
      TRUTHS.flatMap(({ truth, title }) => {
        const lots = Array.from({ length: LOTS }, (_, seed) => forecastsOf(truth, seed));
        return LEARNED_FROM.map((count, at) => {
          const made = lots.map((forecasts) => forecasts[at]).filter((each) => each !== undefined);
          const rms = (figure: 'timeS' | 'tdsPercent' | 'yieldPercent') =>
            Math.sqrt(made.reduce((sum, each) => sum + each[figure] ** 2, 0) / made.length);
          return [
            title,
            String(count),
            fixed(rms('timeS'), 1),
            fixed(rms('tdsPercent'), 4),
            fixed(rms('yieldPercent'), 3),
            `${fixed((made.filter(({ isHeld }) => isHeld).length / made.length) * 100, 0)} %`,
            fixed(
              percentile(
                made.map(({ learnedMs }) => learnedMs),
                0.5,
              ),
              0,
            ),
          ];
        });
      }),
    ),
  ].join('\n');
}

/** Of one lot: the same next brew, forecast from fewer and fewer of its brews. */
function forecastsOf(truth: TruthName, seed: number): Forecast[] {
  const task = taskOf(truth, seed);
  const random = seededRandom(seed + 5);
  const hand = handOf(seed);
  let plan: BrewPlan = task.start;
  const brews = Array.from({ length: MOST }, (_, index) => {
    if (index % BREWS_A_VERSION === 0) {
      const byUm = Math.round((random() - 0.5) * 16) * 10;
      plan = movedTo(plan, { grindUm: plan.grindUm + byUm, ratioBy: random() - 0.5 });
    }
    return { ...brewByHand(task.lot, plan, hand), trace: [] };
  });
  const next = movedTo(plan, { grindUm: plan.grindUm + (random() < 0.5 ? -40 : 40) });
  const real = trueCup(task, next);
  const brew = conditionsOfPlan({
    plan: next,
    kit: task.lot.kit,
    roastAgeDays: task.lot.facts.roastAgeDays,
  });
  return LEARNED_FROM.map((count) => {
    const startMs = performance.now();
    const calibration = valueOf(calibrateLot({ brews: brews.slice(-count) }));
    const learnedMs = performance.now() - startMs;
    const { drawdownS, tdsPercent, yieldPercent } = valueOf(forecastBrew({ calibration, brew }));
    return {
      timeS: real.drawdownS - drawdownS.value,
      tdsPercent: real.tdsPercent - tdsPercent.value,
      yieldPercent: real.yieldPercent - yieldPercent.value,
      isHeld: real.tdsPercent >= tdsPercent.low && real.tdsPercent <= tdsPercent.high,
      learnedMs,
    };
  });
}
