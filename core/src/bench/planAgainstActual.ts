import { benchSteps, latenessS, type BenchStep } from './benchSteps.js';
import type { BrewPlan } from '../plan/plan.js';
import type { StaircasePoint } from '../plan/staircase.js';

/** What was done at one step of a brew, on the brew clock. */
export interface StepDone {
  stepIndex: number;
  atS: number;
  skipped: boolean;
  /** What the scale showed when the pour was in, g; `null` where nobody wrote it down. */
  totalG: number | null;
}

/** One step, planned beside done. */
export interface StepComparison {
  step: BenchStep;
  doneS: number | null;
  /** Late is positive; `null` where the step was left out or never reached, and of a pour that did not go by the clock. */
  lateByS: number | null;
  skipped: boolean;
  doneTotalG: number | null;
  /** Over is positive; `null` where no total was written down. */
  overByG: number | null;
}

/** The plan and the brew, step by step. The record is what was done; the plan stays the plan. */
export function planAgainstActual({
  plan,
  done,
}: {
  plan: BrewPlan;
  done: readonly StepDone[];
}): StepComparison[] {
  return benchSteps(plan).map((step, index) => {
    const mark = done.find(({ stepIndex }) => stepIndex === index);
    const doneS = mark && !mark.skipped ? mark.atS : null;
    const doneTotalG = step.kind === 'pour' ? (mark?.totalG ?? null) : null;
    return {
      step,
      doneS,
      lateByS: doneS === null ? null : latenessS(step, doneS),
      skipped: mark?.skipped ?? false,
      doneTotalG,
      overByG: step.kind === 'pour' && doneTotalG !== null ? doneTotalG - step.totalG : null,
    };
  });
}

/** When the bed was marked as drained, or the brewer as lifted, s; `null` where nobody marked it. */
export function markedDrainS({ plan, steps }: { plan: BrewPlan; steps: readonly StepDone[] }): number | null {
  // The last step of every plan.
  return planAgainstActual({ plan, done: steps }).at(-1)?.doneS ?? null;
}

/** Water actually poured, g: the last total written down, else the plan's last total, marked as such. */
export function pouredWaterG({ plan, done }: { plan: BrewPlan; done: readonly StepDone[] }): {
  waterG: number;
  basis: 'as-weighed' | 'as-planned';
} {
  const pours = planAgainstActual({ plan, done }).filter(({ step }) => step.kind === 'pour');
  const last = pours.at(-1);
  if (last?.doneTotalG != null) return { waterG: last.doneTotalG, basis: 'as-weighed' };
  return { waterG: last?.step.kind === 'pour' ? last.step.totalG : 0, basis: 'as-planned' };
}

/**
 * The staircase of what was done: each pour from its marked start to the total written down, at the
 * planned flow since marks do not tell it. Pours never reached or left out add nothing.
 */
export function actualStaircase({
  plan,
  done,
  untilS,
}: {
  plan: BrewPlan;
  done: readonly StepDone[];
  untilS: number;
}): StaircasePoint[] {
  const points: StaircasePoint[] = [];
  let totalG = 0;
  for (const { step, doneS, doneTotalG } of planAgainstActual({ plan, done })) {
    if (step.kind !== 'pour' || doneS === null) continue;
    const reachedG = doneTotalG ?? step.totalG;
    const flowGps = step.amountG / (step.endS - step.plannedS);
    const endS = doneS + Math.max(0, reachedG - totalG) / flowGps;
    points.push({ atS: doneS, totalG });
    if (endS > untilS) {
      points.push({ atS: untilS, totalG: totalG + (untilS - doneS) * flowGps });
      return points;
    }
    points.push({ atS: endS, totalG: reachedG });
    totalG = reachedG;
  }
  const last = points.at(-1);
  if (last && untilS > last.atS) points.push({ atS: untilS, totalG });
  return points;
}
