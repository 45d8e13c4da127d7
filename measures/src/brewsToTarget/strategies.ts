import {
  calibrateLot,
  planRatio,
  proposeChange,
  setWater,
  valueOf,
  type BrewPlan,
  type CalibratedForecast,
  type LotPrior,
  type MeasuredBrew,
} from '@vendu/core';
import type { Task } from './task.js';

/** What a strategy sees: the plans brewed so far, what was measured of each, and what it believed before. */
export interface History {
  plans: BrewPlan[];
  measured: MeasuredBrew[];
  prior: LotPrior;
}

interface NextPlan {
  plan: BrewPlan;
  forecast: CalibratedForecast | null;
}

export type Strategy = (task: Task, history: History) => NextPlan;

export const LIMITS = { finestUm: 300, coarsestUm: 1400, hottestC: 99, coolestC: 80 };

function last({ plans, measured }: History) {
  const [plan, brew] = [plans.at(-1), measured.at(-1)];
  if (!plan || !brew) throw new Error('a strategy needs a first brew');
  const yieldPercent = ((brew.tdsPercent ?? 0) * (brew.beverageG ?? 0)) / plan.doseG;
  return { plan, yieldPercent, tdsPercent: brew.tdsPercent ?? 0, drawdownS: brew.drawdownS ?? 0 };
}

const clampGrind = (grindUm: number) => Math.min(LIMITS.coarsestUm, Math.max(LIMITS.finestUm, grindUm));

/** 50 um in the direction of the yield's error, or of the time's where the yield is there. */
export const fixedSteps: Strategy = ({ targets }, history) => {
  const { plan, yieldPercent, drawdownS } = last(history);
  const yieldOff = targets.yieldPercent - yieldPercent;
  const finer = Math.abs(yieldOff) > 0.5 ? yieldOff > 0 : targets.drawdownS > drawdownS;
  return { plan: { ...plan, grindUm: clampGrind(plan.grindUm + (finer ? -50 : 50)) }, forecast: null };
};

/** 50 um for each 0.7 points of yield, and a ratio step for each 0.09 % of strength that the yield leaves open. */
export const proportional: Strategy = ({ targets }, history) => {
  const { plan, yieldPercent, tdsPercent } = last(history);
  const yieldOff = targets.yieldPercent - yieldPercent;
  const byUm = Math.max(-150, Math.min(150, (-yieldOff / 0.7) * 50));
  const strengthOff = targets.tdsPercent - tdsPercent - 0.07 * yieldOff;
  const ratio = planRatio(plan) - (Math.abs(strengthOff) > 0.03 ? strengthOff / 0.09 : 0);
  const pours = setWater({ pours: plan.pours, waterG: Math.round(plan.doseG * ratio) });
  return {
    plan: {
      ...plan,
      grindUm: clampGrind(Math.round((plan.grindUm + byUm) / 10) * 10),
      pours: pours.ok ? pours.value : plan.pours,
    },
    forecast: null,
  };
};

/** The first change proposed, unless brewing the same again is the likelier way to the target. */
export function proposing({ pairs, serverScale }: { pairs: boolean; serverScale: boolean }): Strategy {
  return ({ lot, aim }, history) => {
    const brews = serverScale ? history.measured : history.measured.map((brew) => ({ ...brew, trace: [] }));
    const calibration = valueOf(calibrateLot({ brews, prior: history.prior }));
    const { plan } = last(history);
    const { changes, asItIs } = valueOf(
      proposeChange({
        plan,
        kit: lot.kit,
        calibration,
        targets: aim,
        limits: LIMITS,
        levers: ['grind', 'ratio', 'kettle', 'bloom'],
      }),
    );
    const first = changes.find(({ kind }) => pairs || kind === 'one-variable');
    if (!first || first.chance < asItIs.chance) return { plan, forecast: asItIs.expected };
    return { plan: first.plan, forecast: first.expected };
  };
}
