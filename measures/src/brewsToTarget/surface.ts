import { planRatio, type BrewPlan } from '@vendu/core';
import { inverse, Matrix } from 'ml-matrix';
import { measuredOf, movedTo } from './moves.js';
import { isInside, middleOf, trueCup, type Task } from './task.js';
import { lastOf, type History, type Strategy } from './strategies.js';

/**
 * A yield that is a straight line in grind, ratio and kettle, learned by Bayes' rule, and water retained as it was
 * last measured: forty lines that know nothing of brewing but the usual size of a step (50 um 0.7 points, a ratio
 * step 0.9, a degree 0.08; common practice, give or take a third).
 */
const PRIOR = { mean: [20, -9.8, 0.9, 0.08], sd: [2, 3, 0.4, 0.08] };
/** Hand and readings together, yield points. */
const NOISE = 0.4;

export const linearSurface: Strategy = (task, history) => {
  const { plan, cup } = lastOf(history);
  if (isInside(task, cup)) return { isFinished: true, plan, forecast: null };
  const first = history.plans[0] ?? plan;
  const rows = new Matrix(history.plans.map((each) => features(each, first)));
  const yields = Matrix.columnVector(history.measured.map((brew) => measuredOf(brew).yieldPercent));
  const precision = Matrix.diag(PRIOR.sd.map((sd) => 1 / sd ** 2));
  const right = Matrix.add(
    precision.mmul(Matrix.columnVector(PRIOR.mean)),
    rows
      .transpose()
      .mmul(yields)
      .div(NOISE ** 2),
  );
  const learned = inverse(
    Matrix.add(
      precision,
      rows
        .transpose()
        .mmul(rows)
        .div(NOISE ** 2),
    ),
  )
    .mmul(right)
    .to1DArray();
  const yieldOf = (each: BrewPlan) =>
    features(each, first).reduce((sum, feature, at) => sum + feature * (learned[at] ?? 0), 0);
  return { isFinished: false, plan: toMiddle(task, history, yieldOf, learned[1] ?? -9.8), forecast: null };
};

function features(plan: BrewPlan, first: BrewPlan): number[] {
  return [
    1,
    Math.log(plan.grindUm / first.grindUm),
    planRatio(plan) - planRatio(first),
    plan.kettleC - first.kettleC,
  ];
}

/**
 * The limit of what measuring allows: the slope of yield with the grind is the lot's own, read off the truth, and so
 * is what the bed keeps; only the readings and the hand are in error.
 */
export const trueSlopes: Strategy = (task, history) => {
  const { plan, cup } = lastOf(history);
  if (isInside(task, cup)) return { isFinished: true, plan, forecast: null };
  const finer = movedTo(plan, { grindUm: plan.grindUm - 60 });
  const weaker = movedTo(plan, { ratioBy: 1 });
  const [here, there, wider] = [plan, finer, weaker].map((each) => trueCup(task, each).yieldPercent);
  const byGrind = ((there ?? 0) - (here ?? 0)) / Math.log(finer.grindUm / plan.grindUm);
  const byRatio = (wider ?? 0) - (here ?? 0);
  const moved = (each: BrewPlan, from: BrewPlan) =>
    byGrind * Math.log(each.grindUm / from.grindUm) + byRatio * (planRatio(each) - planRatio(from));
  const yields = history.measured.map((brew) => measuredOf(brew).yieldPercent);
  // Every brew says what the last plan gives, less the way between them.
  const offsets = history.plans.map((each, at) => (yields[at] ?? 0) + moved(plan, each));
  const base = offsets.reduce((sum, each) => sum + each, 0) / offsets.length;
  return {
    isFinished: false,
    plan: toMiddle(task, history, (each) => base + moved(each, plan), byGrind),
    forecast: null,
  };
};

/** Water for the strength, then the grind for the yield. */
function toMiddle(
  { aim }: Task,
  history: History,
  yieldOf: (plan: BrewPlan) => number,
  yieldPerLnGrind: number,
): BrewPlan {
  const { plan } = lastOf(history);
  const middle = middleOf(aim);
  const kept = history.measured.map((brew) => measuredOf(brew).retainedGPerG);
  const retained = kept.reduce((sum, each) => sum + each, 0) / kept.length;
  const watered = movedTo(plan, {
    ratioBy: retained + middle.yieldPercent / middle.tdsPercent - planRatio(plan),
  });
  const lnStep = (middle.yieldPercent - yieldOf(watered)) / yieldPerLnGrind;
  return movedTo(watered, {
    grindUm: watered.grindUm * Math.exp(Math.max(-0.35, Math.min(0.35, lnStep))),
  });
}
