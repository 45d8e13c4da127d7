import {
  benchSteps,
  conditionsOfPlan,
  normalDraw,
  planWaterG,
  roundToTenth,
  type BrewKit,
  type BrewPlan,
  type Pour,
  type StepDone,
} from '@vendu/core';
import { brewInLayers, PHYSICS, type LayeredBrew, type LayeredLot } from '@vendu/measures/secondTruth';
import type { DemoBrew } from './scenario.js';

/** What hands and instruments add to the truth of an invented brew: ordinary errors, as standard deviations. */
const HAND = { lateS: 1.4, overG: 1.3, grindUm: 8, kettleC: 0.5 };
const INSTRUMENT = { readingPercent: 0.011, beverageG: 0.6, drawdownS: 2 };
/** The kit is what its makers say; how the lab's brews differ from the model's is the physics' own. */
const AS_STATED = { grinderOff: 1, drainOff: 1, paperOff: 1 };

export interface InventedBrew {
  steps: StepDone[];
  waterG: number;
  beverageG: number | null;
  readingsPercent: number[];
  /** What an instrument without error would have found. */
  trueYieldPercent: number;
  /** How it ran, without any error. */
  cup: LayeredBrew['cup'];
}

/**
 * Figures of a demo brew that hang together: hands miss the plan a little, another physics than the brew model's brews
 * what they did with what the lot truly is, and the instruments scatter about the result. So the demo's forecasts miss
 * as forecasts of a real lab do.
 */
export function inventBrew({
  plan,
  brew,
  truth,
  kit,
  roastAgeDays,
  random,
}: {
  plan: BrewPlan;
  brew: Pick<DemoBrew, 'skippedAgitation' | 'unweighed' | 'coarserByUm'>;
  truth: LayeredLot;
  kit: BrewKit;
  roastAgeDays: number;
  random: () => number;
}): InventedBrew {
  const scattered = (mean: number, sd: number) => normalDraw(random, { mean, sd });
  const marked = benchSteps(plan).map((step, stepIndex): StepDone => {
    const late = stepIndex === 0 ? 0 : Math.abs(scattered(0.8, HAND.lateS));
    const skipped = step.kind === 'agitate' && brew.skippedAgitation === true;
    const totalG = step.kind === 'pour' ? Math.round(scattered(step.totalG + 0.5, HAND.overG)) : null;
    return { stepIndex, atS: roundToTenth(step.plannedS + late), skipped, totalG };
  });
  const asBrewed = asDone({ ...plan, grindUm: plan.grindUm + (brew.coarserByUm ?? 0) }, marked, scattered);
  const conditions = conditionsOfPlan({ plan: asBrewed, kit, roastAgeDays });
  const done = brewInLayers(conditions, truth, PHYSICS, AS_STATED);
  const drainedS = roundToTenth(scattered(done.drawdownS, INSTRUMENT.drawdownS));
  const steps = marked.map((mark, index) =>
    index === marked.length - 1 ? { ...mark, atS: drainedS } : mark,
  );
  const weighedG = roundToTenth(scattered(done.beverageG, INSTRUMENT.beverageG));
  return {
    steps,
    waterG: steps.reduce((last, { totalG }) => totalG ?? last, planWaterG(plan)),
    beverageG: brew.unweighed ? null : weighedG,
    readingsPercent: [0, 1, 2].map(
      () => Math.round(scattered(done.tdsPercent, INSTRUMENT.readingPercent) * 100) / 100,
    ),
    trueYieldPercent: done.yieldPercent,
    cup: done.cup,
  };
}

/** The plan as the hands brewed it. */
function asDone(
  plan: BrewPlan,
  marked: readonly StepDone[],
  scattered: (mean: number, sd: number) => number,
): BrewPlan {
  let beforeG = 0;
  const steps = benchSteps(plan);
  const pours = plan.pours.map((pour, index): Pour => {
    const at = steps.findIndex((step) => step.kind === 'pour' && step.pourNumber === index + 1);
    const agitatedAt = steps.findIndex((step) => step.kind === 'agitate' && step.pourNumber === index + 1);
    const totalG = marked[at]?.totalG ?? beforeG + pour.amountG;
    const amountG = totalG - beforeG;
    beforeG = totalG;
    return {
      ...pour,
      startS: marked[at]?.atS ?? pour.startS,
      amountG,
      agitation: marked[agitatedAt]?.skipped ? 'none' : pour.agitation,
    };
  });
  return {
    ...plan,
    pours,
    grindUm: scattered(plan.grindUm, HAND.grindUm),
    kettleC: scattered(plan.kettleC, HAND.kettleC),
    // The drain follows from the brew; the plan's own must not forbid it.
    drawdownS: 3600,
  };
}
