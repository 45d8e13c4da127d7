import {
  calibrateLot,
  LEVERS,
  proposeChange,
  valueOf,
  type BrewPlan,
  type CalibratedForecast,
  type Lever,
  type LotCalibration,
  type LotPrior,
  type MeasuredBrew,
} from '@vendu/core';
import { isInside, LIMITS, middleOf, type Task } from './task.js';
import { movedTo, measuredOf } from './moves.js';

/** What a strategy sees: the plans brewed so far, what was measured of each, and what it believed before. */
export interface History {
  plans: BrewPlan[];
  measured: MeasuredBrew[];
  prior: LotPrior;
}

/** The next plan to brew; `isFinished` where the last one is taken as the recipe. */
interface Decision {
  isFinished: boolean;
  plan: BrewPlan;
  forecast: CalibratedForecast | null;
  /** Stated of the plan as it is. */
  chance?: number;
}

export type Strategy = (task: Task, history: History) => Decision;

/** Those without a forecast stop at the first measured cup inside, as people do. */
function byMeasuredCup(next: (task: Task, history: History) => BrewPlan): Strategy {
  return (task, history) => {
    const { plan, cup } = lastOf(history);
    const isFinished = isInside(task, cup);
    return { isFinished, plan: isFinished ? plan : next(task, history), forecast: null };
  };
}

export function lastOf({ plans, measured }: History) {
  const [plan, brew] = [plans.at(-1), measured.at(-1)];
  if (!plan || !brew) throw new Error('a strategy needs a first brew');
  return { plan, cup: measuredOf(brew) };
}

/** 50 um in the direction of the yield's error; half a ratio step where the yield is there. */
export const fixedSteps = byMeasuredCup(({ aim }, history) => {
  const { plan, cup } = lastOf(history);
  const middle = middleOf(aim);
  const yieldOff = middle.yieldPercent - cup.yieldPercent;
  if (Math.abs(yieldOff) > 0.5) return movedTo(plan, { grindUm: plan.grindUm + (yieldOff > 0 ? -50 : 50) });
  return movedTo(plan, { ratioBy: middle.tdsPercent > cup.tdsPercent ? -0.5 : 0.5 });
});

/** 50 um for each 0.7 points of yield, and a ratio step for each 0.09 % of strength that the yield leaves open. */
export const proportional = byMeasuredCup(({ aim }, history) => {
  const { plan, cup } = lastOf(history);
  const middle = middleOf(aim);
  const yieldOff = middle.yieldPercent - cup.yieldPercent;
  const byUm = Math.max(-150, Math.min(150, (-yieldOff / 0.7) * 50));
  const strengthOff = middle.tdsPercent - cup.tdsPercent - 0.07 * yieldOff;
  return movedTo(plan, {
    grindUm: plan.grindUm + byUm,
    ratioBy: Math.abs(strengthOff) > 0.03 ? -strengthOff / 0.09 : 0,
  });
});

/** What is learned of a lot from its brews; a part of it may be taken away, to see what it is worth. */
export type Learning = (brews: MeasuredBrew[], prior: LotPrior) => LotCalibration;

const learned: Learning = (brews, prior) => valueOf(calibrateLot({ brews, prior }));

/** What the lot page does: the calibration, the first change proposed, and its own word for when to stop. */
export function page({
  levers = LEVERS,
  pairs = true,
  trace = false,
  learning = learned,
}: { levers?: readonly Lever[]; pairs?: boolean; trace?: boolean; learning?: Learning } = {}): Strategy {
  return ({ lot, targets }, history) => {
    const brews = trace ? history.measured : history.measured.map((brew) => ({ ...brew, trace: [] }));
    const calibration = learning(brews, history.prior);
    const { plan, cup } = lastOf(history);
    const advice = valueOf(
      proposeChange({
        plan,
        kit: lot.kit,
        calibration,
        targets,
        limits: LIMITS,
        last: {
          ...cup,
          uncertainty: {
            tdsPercent: history.measured.at(-1)?.standard?.tdsPercent ?? 0.03,
            yieldPercent: 0.45,
            drawdownS: 4,
          },
        },
        levers,
        roastAgeDays: lot.facts.roastAgeDays,
      }),
    );
    const first = advice.changes.find(({ kind }) => pairs || kind === 'one-variable');
    if (advice.isThere || !first) {
      const { expected, chance } = advice.asItIs;
      return { isFinished: advice.isThere, plan, forecast: expected, chance };
    }
    return { isFinished: false, plan: first.plan, forecast: first.expected };
  };
}
