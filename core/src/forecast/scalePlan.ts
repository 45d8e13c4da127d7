import type { BrewInputFailure } from '../brewModel/checkBrew.js';
import { conditionsOfPlan, type BrewKit, type LearnedFactors } from '../calibration/conditions.js';
import { conditionsFault } from '../calibration/evidence.js';
import { modelledBrew } from '../calibration/modelled.js';
import { outOfRange, type OutOfRange } from '../input/ranges.js';
import { scaledCups } from '../plan/cupSchedule.js';
import { withGrind } from '../plan/grinding.js';
import { pourEndS, roundToTenth, type BrewPlan } from '../plan/plan.js';
import { planFaults } from '../plan/planFaults.js';
import { asItWaits, brewAsItWaits } from './asItWaits.js';
import { failure, success, type Failure, type Result } from '../result.js';

export interface ScaledPlan {
  plan: BrewPlan;
  /** What the deeper or shallower bed asks of the grind, um; coarser above 0. */
  grindShiftUm: number;
  /** What is left between the two cups after that, yield points. */
  yieldShiftPoints: number;
}

/** A hand pours no faster, g/s (common practice: about 10, a wide spout more). */
const FASTEST_POUR_GPS = 15;
/** Grinds looked at: the model's reach, um. */
const FINEST_UM = 450;
const COARSEST_UM = 1400;
const GRIND_STEP_UM = 10;
const HALVINGS = 12;
const NOTHING_KNOWN: LearnedFactors = { solubility: 1, rate: 1, flow: 1, retained: 1, steepness: 1 };

/**
 * The same recipe at another dose, or in another brewer: all water and cups by mass in proportion, the clock
 * unchanged. A deeper bed drains slower and extracts more, so the grind is moved until the yield is the same
 * again, and the drain time follows from the model.
 *
 * Pours are poured faster in proportion where the clock leaves no time for them otherwise.
 *
 * @param toKit - the brewer and paper to scale into; the same ones unless given
 */
export function scalePlan({
  plan,
  kit,
  toKit = kit,
  doseG,
  factors = NOTHING_KNOWN,
}: {
  plan: BrewPlan;
  kit: BrewKit;
  toKit?: BrewKit;
  doseG: number;
  factors?: LearnedFactors;
}): Result<ScaledPlan, OutOfRange | BrewInputFailure | Failure<'pours-do-not-fit' | 'brewer-too-small'>> {
  const fault =
    outOfRange('doseG', doseG, { low: 5, high: 120, unit: 'g' }) ??
    conditionsFault(conditionsOfPlan({ plan, kit }), factors);
  if (fault) return fault;
  const scaled = proportional(plan, doseG);
  const [planFault] = planFaults({ plan: scaled });
  if (planFault) {
    return failure(
      'pours-do-not-fit',
      `At these times the larger pours run into each other. ${planFault.message}`,
    );
  }
  const meant = modelledBrew(brewAsItWaits({ plan, kit, factors }), factors);
  const brewed = (grindUm: number) =>
    modelledBrew(brewAsItWaits({ plan: withGrind(scaled, grindUm), kit: toKit, factors }), factors);
  if (brewed(plan.grindUm).overflows) {
    return failure('brewer-too-small', `${doseG} g with its water runs over this brewer; take a larger one.`);
  }
  const grindUm = sameYield(plan.grindUm, meant.yieldPercent, (at) => brewed(at).yieldPercent);
  const result = brewed(grindUm);
  const timed = asItWaits({ plan: withGrind(scaled, grindUm), kit: toKit, factors });
  const lastEndS = Math.max(...timed.pours.map(pourEndS));
  return success({
    plan: {
      ...timed,
      drawdownS: Math.max(Math.round(result.drawdownS), Math.ceil(lastEndS) + 1),
    },
    grindShiftUm: grindUm - plan.grindUm,
    yieldShiftPoints: result.yieldPercent - meant.yieldPercent,
  });
}

function proportional(plan: BrewPlan, doseG: number): BrewPlan {
  const by = doseG / plan.doseG;
  return {
    ...plan,
    doseG,
    drawdownS: 3600,
    ...(plan.bypassG === undefined ? {} : { bypassG: Math.round(plan.bypassG * by) }),
    ...(plan.cups === undefined ? {} : { cups: scaledCups(plan.cups, by) }),
    pours: plan.pours.map((pour, index) => {
      const amountG = roundToTenth(Math.round(pour.amountG * by));
      const nextS = plan.pours[index + 1]?.startS ?? Infinity;
      const neededGps = amountG / (nextS - pour.startS);
      const flowGps = Math.max(pour.flowGps, Math.min(FASTEST_POUR_GPS, neededGps * 1.1));
      return { ...pour, amountG, flowGps: roundToTenth(flowGps) };
    }),
  };
}

/** The grind of the wanted yield by halving, on steps a grinder can take: finer extracts more in this span. */
function sameYield(startUm: number, wanted: number, yieldAt: (grindUm: number) => number): number {
  let [fine, coarse] = [Math.min(FINEST_UM, startUm), Math.max(COARSEST_UM, startUm)];
  for (let halving = 0; halving < HALVINGS; halving++) {
    const middle = (fine + coarse) / 2;
    if (yieldAt(middle) > wanted) fine = middle;
    else coarse = middle;
  }
  return Math.round((fine + coarse) / 2 / GRIND_STEP_UM) * GRIND_STEP_UM;
}
