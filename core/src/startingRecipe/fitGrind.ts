import { asItWaits } from '../forecast/asItWaits.js';
import { withGrind } from '../plan/grinding.js';
import { conditionsOfPlan, type BrewKit, type LearnedFactors } from '../calibration/conditions.js';
import { modelledBrew } from '../calibration/modelled.js';
import type { BrewPlan } from '../plan/plan.js';
import { FIGURE_LIMITS } from './figures.js';

/** What the model made of the grind the rules asked for. */
export interface GrindFit {
  /** What house recipe and rules asked for, um. */
  wantedUm: number;
  /** What the model chose, um. */
  grindUm: number;
  /** What the model expects of the chosen one. */
  drawdownS: number;
  yieldPercent: number;
  /** What was gone for; a drain time only where somebody set one. */
  targetDrawdownS: number | null;
  targetYieldPercent: number;
  /** The choice lies at the end of what this grinder can set. */
  atGrindersEnd: boolean;
}

/** One unit of regret each (assumed): a tenth of the time, a point of yield, and leaving the rules' grind by this much. */
const UNIT = { timeShare: 0.1, yieldPoints: 1, fromRulesUm: 70 };
/** First looked at in wide steps, then near the best of them. */
const WIDE_STEP_UM = 50;
const FINE_STEP_UM = 10;
/** A brew that runs over the rim or does not drain is worse than any miss. */
const CANNOT_BE_BREWED = 1000;

/**
 * Sets the grind of a starting recipe so that the yield, and the drain time where somebody set one, come as near as
 * they can to what is gone for, without leaving the grind that the rules asked for further than that is worth: before
 * the first brew the model is a rough guide too.
 *
 * @param targetDrawdownS - `null` where time is left to follow from the grind
 * @param reach - finest and coarsest size of the grinder, um
 */
export function fitGrind({
  plan,
  kit,
  factors,
  targetYieldPercent,
  targetDrawdownS,
  roastAgeDays,
  reach,
}: {
  plan: BrewPlan;
  kit: BrewKit;
  factors: LearnedFactors;
  targetYieldPercent: number;
  targetDrawdownS: number | null;
  roastAgeDays: number;
  reach: { finestUm: number; coarsestUm: number };
}): GrindFit {
  const finestUm =
    Math.ceil(Math.max(FIGURE_LIMITS.grindUm.low, reach.finestUm) / FINE_STEP_UM) * FINE_STEP_UM;
  const coarsestUm =
    Math.floor(Math.min(FIGURE_LIMITS.grindUm.high, reach.coarsestUm) / FINE_STEP_UM) * FINE_STEP_UM;
  const brewed = (grindUm: number) =>
    modelledBrew(
      conditionsOfPlan({
        plan: asItWaits({ plan: withGrind(plan, grindUm), kit, factors, roastAgeDays }),
        kit,
        roastAgeDays,
      }),
      factors,
    );
  const regret = (grindUm: number) => {
    const { drawdownS, yieldPercent, drained, overflows } = brewed(grindUm);
    return (
      (targetDrawdownS === null ? 0 : (Math.log(drawdownS / targetDrawdownS) / UNIT.timeShare) ** 2) +
      ((yieldPercent - targetYieldPercent) / UNIT.yieldPoints) ** 2 +
      ((grindUm - plan.grindUm) / UNIT.fromRulesUm) ** 2 +
      (drained && !overflows ? 0 : CANNOT_BE_BREWED)
    );
  };
  const best = (sizes: readonly number[]) =>
    sizes
      .map((grindUm) => ({ grindUm, regret: regret(grindUm) }))
      .reduce((a, b) => (b.regret < a.regret ? b : a)).grindUm;
  const nearUm = best(between(finestUm, coarsestUm, WIDE_STEP_UM));
  const grindUm = best(
    between(
      Math.max(finestUm, nearUm - WIDE_STEP_UM),
      Math.min(coarsestUm, nearUm + WIDE_STEP_UM),
      FINE_STEP_UM,
    ),
  );
  const { drawdownS, yieldPercent } = brewed(grindUm);
  return {
    wantedUm: plan.grindUm,
    grindUm,
    drawdownS: Math.round(drawdownS),
    yieldPercent: Math.round(yieldPercent * 10) / 10,
    targetDrawdownS,
    targetYieldPercent: Math.round(targetYieldPercent * 10) / 10,
    atGrindersEnd:
      (grindUm === finestUm && reach.finestUm > FIGURE_LIMITS.grindUm.low) ||
      (grindUm === coarsestUm && reach.coarsestUm < FIGURE_LIMITS.grindUm.high),
  };
}

function between(fromUm: number, toUm: number, stepUm: number): number[] {
  const count = Math.max(0, Math.floor((toUm - fromUm) / stepUm));
  return [
    ...Array.from({ length: count + 1 }, (_, index) => fromUm + index * stepUm),
    Math.max(fromUm, toUm),
  ];
}
