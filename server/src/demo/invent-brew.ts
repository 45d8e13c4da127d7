import { benchSteps, normalDraw, planWaterG, roundToTenth, type BrewPlan, type StepDone } from '@vendu/core';
import type { DemoBrew } from './scenario.js';

/** What hands and instruments add to the truth of an invented brew: ordinary errors, as standard deviations. */
const HAND = { lateS: 1.4, overG: 1.3 };
const INSTRUMENT = { readingPercent: 0.011, beverageG: 0.6 };

export interface InventedBrew {
  steps: StepDone[];
  waterG: number;
  beverageG: number | null;
  readingsPercent: number[];
}

/**
 * Figures of a demo brew that hang together: hands miss the plan a little, the bed keeps its water, the
 * beverage is the rest, and the readings scatter about the strength that the true yield implies.
 */
export function inventBrew({
  plan,
  brew,
  random,
}: {
  plan: BrewPlan;
  brew: DemoBrew;
  random: () => number;
}): InventedBrew {
  const steps = benchSteps(plan).map((step, stepIndex): StepDone => {
    const late = stepIndex === 0 ? 0 : Math.abs(normalDraw(random, { mean: 0.8, sd: HAND.lateS }));
    if (step.kind === 'drawdown') return { stepIndex, atS: brew.trueDrawdownS, skipped: false, totalG: null };
    const skipped = step.kind === 'agitate' && brew.skippedAgitation === true;
    const totalG =
      step.kind === 'pour'
        ? Math.round(step.totalG + normalDraw(random, { mean: 0.5, sd: HAND.overG }))
        : null;
    return { stepIndex, atS: roundToTenth(step.plannedS + late), skipped, totalG };
  });
  const waterG = steps.reduce((last, { totalG }) => totalG ?? last, planWaterG(plan));
  const trueBeverageG = waterG - brew.trueRetainedGPerG * plan.doseG;
  const trueTdsPercent = (brew.trueYieldPercent * plan.doseG) / trueBeverageG;
  const readingsPercent = [0, 1, 2].map(
    () => Math.round(normalDraw(random, { mean: trueTdsPercent, sd: INSTRUMENT.readingPercent }) * 100) / 100,
  );
  const weighedG = roundToTenth(normalDraw(random, { mean: trueBeverageG, sd: INSTRUMENT.beverageG }));
  return { steps, waterG, beverageG: brew.unweighed ? null : weighedG, readingsPercent };
}
