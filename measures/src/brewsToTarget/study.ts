import {
  calibrateLot,
  conditionsOfPlan,
  forecastBrew,
  lotPrior,
  valueOf,
  type CalibratedForecast,
  type EarlierLot,
} from '@vendu/core';
import { fixedSteps, proportional, proposing, type History, type Strategy } from './strategies.js';
import { handOf, isThere, taskOf, type Setting, type Task } from './task.js';
import { brewByHand, syntheticLab } from './truth.js';

/** One way of choosing the next brew. */
export interface Arm {
  name: string;
  strategy: Strategy;
  /** Whether what the lab's earlier lots taught is believed of the next. */
  remembers: boolean;
}

export const ARMS: readonly Arm[] = [
  { name: 'fixed 50 µm', strategy: fixedSteps, remembers: false },
  { name: 'proportional rule', strategy: proportional, remembers: false },
  {
    name: 'proposeChange, one variable',
    strategy: proposing({ pairs: false, serverScale: false }),
    remembers: false,
  },
  {
    name: 'proposeChange, two variables',
    strategy: proposing({ pairs: true, serverScale: false }),
    remembers: false,
  },
  {
    name: '… with a scale under the server',
    strategy: proposing({ pairs: true, serverScale: true }),
    remembers: false,
  },
  {
    name: 'one variable, earlier lots',
    strategy: proposing({ pairs: false, serverScale: false }),
    remembers: true,
  },
  {
    name: 'two variables, earlier lots',
    strategy: proposing({ pairs: true, serverScale: false }),
    remembers: true,
  },
];

/** How far a forecast was from the brew without any error, and whether its band held it. */
export interface Miss {
  brewsBefore: number;
  drawdownS: number;
  tdsPercent: number;
  yieldPercent: number;
  held: { drawdownS: boolean; tdsPercent: boolean; yieldPercent: boolean };
}

export interface LotOutcome {
  /** Brews until the target, the first included; one more than the most where it was not reached. */
  brews: number;
  misses: Miss[];
}

/** Lots that one lab takes in one after the other. */
export const LOTS_A_LAB = 10;
export const MOST_BREWS = 8;

/** One lab's lots in order, each dialled in by one arm. */
export function labOutcomes(arm: Arm, labIndex: number, setting: Setting): LotOutcome[] {
  const lab = syntheticLab(labIndex);
  const finished: (Omit<EarlierLot, 'likeness'> & { shape: string })[] = [];
  return Array.from({ length: LOTS_A_LAB }, (_, index) => {
    const seed = labIndex * LOTS_A_LAB + index;
    const task = taskOf(lab, seed, setting);
    const prior = lotPrior({
      earlierLots: arm.remembers
        ? finished.map(({ evidence, shape }) => ({ evidence, likeness: shape === task.lot.shape ? 1 : 0.5 }))
        : [],
    });
    const { outcome, history } = dialIn(arm.strategy, task, prior, seed);
    if (arm.remembers) {
      // What was learned of this lot by itself, whatever was believed before.
      const { evidence } = valueOf(
        calibrateLot({ brews: history.measured.map((brew) => ({ ...brew, trace: [] })) }),
      );
      finished.push({ evidence, shape: task.lot.shape });
    }
    return outcome;
  });
}

function dialIn(strategy: Strategy, task: Task, prior: History['prior'], seed: number) {
  const random = handOf(seed);
  const misses = [firstMiss(task, prior)];
  const history: History = {
    plans: [task.start],
    measured: [brewByHand(task.lot, task.start, random)],
    prior,
  };
  let brews = MOST_BREWS + 1;
  for (let brew = 2; brew <= MOST_BREWS; brew++) {
    const next = strategy(task, history);
    if (next.forecast) misses.push(missOf(task, next.plan, next.forecast, brew - 1));
    history.plans.push(next.plan);
    history.measured.push(brewByHand(task.lot, next.plan, random));
    if (isThere(task, next.plan)) {
      brews = brew;
      break;
    }
  }
  return { outcome: { brews, misses }, history };
}

/** The forecast of the starting recipe, before anything was brewed. */
function firstMiss(task: Task, prior: History['prior']): Miss {
  const calibration = valueOf(calibrateLot({ brews: [], prior }));
  const brew = conditionsOfPlan({ plan: task.start, kit: task.lot.kit });
  return missOf(task, task.start, valueOf(forecastBrew({ calibration, brew })), 0);
}

function missOf({ lot }: Task, plan: Task['start'], forecast: CalibratedForecast, brewsBefore: number): Miss {
  const real = lot.trueBrew(conditionsOfPlan({ plan, kit: lot.kit }));
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
