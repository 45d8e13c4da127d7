import {
  calibrateLot,
  forecastBrew,
  conditionsOfPlan,
  lotPrior,
  earlierLots,
  valueOf,
  type Aim,
  type CalibratedForecast,
  type FinishedLot,
  type BrewPlan,
  type LotPrior,
  type EarlierLot,
  type MeasuredBrew,
} from '@vendu/core';
import type { SyntheticLot, TruthName } from '../truths/truth.js';
import { brewByHand } from '../truths/hand.js';
import { measuredOf } from './moves.js';
import { fixedSteps, page, proportional, type History, type Strategy } from './strategies.js';
import { linearSurface, trueSlopes } from './surface.js';
import { handOf, isInside, LOTS_A_LAB, taskOf, trueCup, type Task } from './task.js';

/** One way of choosing the next brew. */
export interface Arm {
  name: string;
  strategy: Strategy;
  /** Whether what the lab's earlier lots taught is believed of the next, from its starting recipe on. */
  remembers?: boolean;
  /** How the first brew of a lot is measured, where not as the others are. */
  firstBrew?: (lot: SyntheticLot, plan: BrewPlan, random: () => number, seed: number) => MeasuredBrew;
  /** No scale stands under the server after the first brew. */
  tracesLater?: boolean;
}

export const ARMS: readonly Arm[] = [
  { name: 'the lot page', strategy: page() },
  { name: '… one lever at a time', strategy: page({ pairs: false }) },
  { name: '… with a scale under the server', strategy: page({ trace: true }) },
  { name: '… after the house’s earlier lots', strategy: page(), remembers: true },
  { name: 'a linear surface', strategy: linearSurface },
  { name: 'proportional rule', strategy: proportional },
  { name: 'fixed 50 µm', strategy: fixedSteps },
  { name: 'true slopes (the limit)', strategy: trueSlopes },
];

/** How far a forecast was from the brew without any error, and whether its band held it. */
export interface Miss {
  brewsBefore: number;
  drawdownS: number;
  tdsPercent: number;
  yieldPercent: number;
  held: { drawdownS: boolean; tdsPercent: boolean; yieldPercent: boolean };
}

/** One brew of a lot's way to its recipe. */
interface BrewMade {
  /** The plan without any error, and the cup as it was measured. */
  isInside: boolean;
  isMeasuredInside: boolean;
}

export interface LotOutcome {
  seed: number;
  /** From the first; after the recipe was taken the last one stands. */
  brews: BrewMade[];
  /** The brew whose plan was taken as the recipe; `null` where none was. */
  finishedAt: number | null;
  /** The chance stated of the recipe that was taken. */
  statedChance: number | null;
  misses: Miss[];
}

export const MOST_BREWS = 5;

/** One lab's lots in order, each dialled in by one arm. */
export function labOutcomes(arm: Arm, truth: TruthName, labIndex: number, aim: Aim): LotOutcome[] {
  const finished: Pick<FinishedLot, 'lotId' | 'brewerShape' | 'evidence'>[] = [];
  return Array.from({ length: LOTS_A_LAB }, (_, index) => {
    const seed = labIndex * LOTS_A_LAB + index;
    const { shape: brewerShape } = taskOf(truth, seed, aim).lot;
    const earlier = arm.remembers ? earlierLots({ brewerShape }, finished) : [];
    const task = taskOf(truth, seed, aim, earlier);
    const prior = priorOf(task, earlier);
    const { outcome, history } = dialIn(arm, task, prior);
    if (arm.remembers) {
      // What was learned of this lot by itself, whatever was believed before.
      const { evidence } = valueOf(
        calibrateLot({ brews: history.measured.map((brew) => ({ ...brew, trace: [] })) }),
      );
      finished.push({ lotId: seed, brewerShape, evidence });
    }
    return outcome;
  });
}

function priorOf({ lot }: Task, earlier: readonly EarlierLot[]): LotPrior {
  const { process, elevationM, roastLevel } = lot.facts;
  return lotPrior({
    process,
    ...(elevationM === null ? {} : { elevationM }),
    ...(roastLevel === null ? {} : { roastLevel }),
    earlierLots: earlier,
  });
}

function dialIn(
  { strategy, firstBrew, tracesLater = true }: Arm,
  task: Task,
  prior: LotPrior,
): { outcome: LotOutcome; history: History } {
  const random = handOf(task.seed);
  const history: History = { plans: [], measured: [], prior };
  const misses = [firstMiss(task, prior)];
  const brews: BrewMade[] = [];
  const brew = (plan: Task['start']) => {
    const isFirst = history.plans.length === 0;
    const whole =
      isFirst && firstBrew
        ? firstBrew(task.lot, plan, random, task.seed)
        : brewByHand(task.lot, plan, random);
    const measured = isFirst || tracesLater ? whole : { ...whole, trace: [] };
    history.plans.push(plan);
    history.measured.push(measured);
    const cup = trueCup(task, plan);
    brews.push({
      isInside: isInside(task, cup),
      isMeasuredInside: isInside(task, measuredOf(measured)),
    });
  };
  brew(task.start);
  let finishedAt: number | null = null;
  let statedChance: number | null = null;
  for (let made = 1; made <= MOST_BREWS; made++) {
    const decision = strategy(task, history);
    if (decision.isFinished) {
      finishedAt = made;
      statedChance = decision.chance ?? null;
      break;
    }
    if (made === MOST_BREWS) break;
    if (decision.forecast) misses.push(missOf(task, decision.plan, decision.forecast, made));
    brew(decision.plan);
  }
  const last = brews.at(-1);
  while (last && brews.length < MOST_BREWS) brews.push(last);
  return { outcome: { seed: task.seed, brews, finishedAt, statedChance, misses }, history };
}

/** The forecast of the starting recipe, before anything was brewed. */
function firstMiss(task: Task, prior: LotPrior): Miss {
  const calibration = valueOf(calibrateLot({ brews: [], prior }));
  const { kit, facts } = task.lot;
  const brew = conditionsOfPlan({ plan: task.start, kit, roastAgeDays: facts.roastAgeDays });
  return missOf(task, task.start, valueOf(forecastBrew({ calibration, brew })), 0);
}

function missOf(task: Task, plan: Task['start'], forecast: CalibratedForecast, brewsBefore: number): Miss {
  const real = trueCup(task, plan);
  const held = (figure: 'drawdownS' | 'tdsPercent' | 'yieldPercent') =>
    real[figure] >= forecast[figure].low && real[figure] <= forecast[figure].high;
  return {
    brewsBefore,
    drawdownS: real.drawdownS - forecast.drawdownS.value,
    tdsPercent: real.tdsPercent - forecast.tdsPercent.value,
    yieldPercent: real.yieldPercent - forecast.yieldPercent.value,
    held: {
      drawdownS: held('drawdownS'),
      tdsPercent: held('tdsPercent'),
      yieldPercent: held('yieldPercent'),
    },
  };
}
