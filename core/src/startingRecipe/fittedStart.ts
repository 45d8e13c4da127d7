import type { Aim } from '../aim/aim.js';
import { calibrateLot, type LotCalibration } from '../calibration/calibrateLot.js';
import { conditionsOfPlan, type BrewKit } from '../calibration/conditions.js';
import { forecastBrew, type CalibratedForecast } from '../calibration/forecastBrew.js';
import type { MeasuredBrew } from '../calibration/evidence.js';
import { modelledBrew } from '../calibration/modelled.js';
import { lotPrior, type EarlierLot } from '../calibration/priors.js';
import type { ExtractionWindow } from '../extraction/extractionMap.js';
import { retainedWaterGPerG } from '../extraction/retainedWater.js';
import { asItWaits } from '../forecast/asItWaits.js';
import { withGrind } from '../plan/grinding.js';
import { planRatio, planWaterG, pourEndS, type BrewPlan } from '../plan/plan.js';
import { valueOf } from '../result.js';
import { USUAL_SCHOOLS } from '../schools/schools.js';
import type { StartingFacts } from './facts.js';
import { aimOf } from '../aim/aimOf.js';
import { fitGrind, type GrindFit } from './fitGrind.js';
import type { OfferId } from './offers.js';
import { meetingPoint, ratioForAim } from './ratioForAim.js';
import { startingRecipe, type StartingReasons, type StartingRecipe } from './startingRecipe.js';

export interface FittedStart extends StartingRecipe {
  reasons: StartingReasons & { grindFit: GrindFit };
  /** What to expect of it: rough ranges, unless the lot was brewed in other kit. */
  forecast: CalibratedForecast;
}

/**
 * The first recipe for a lot: the ratio is the one at which strength and yield can both be on aim, rules and schools
 * move it and the rest of the house recipe, then the model sets the grind for the yield, from what process, elevation
 * and roast say of the lot and from what the house's earlier lots turned out to be. The drain time follows.
 *
 * @param aim - what this recipe aims at; `null` for what its school of aims makes of the house's window
 * @param reach - finest and coarsest size of the grinder, um
 * @param earlierLots - what the house's finished lots say, as the function of that name has it
 * @param brews - of the lot, in other kit: `lotBrews`
 */
export function fittedStart({
  facts,
  switchedOff,
  offersTaken = [],
  kit,
  houseWindow,
  aim,
  reach,
  earlierLots,
  brews = [],
}: {
  facts: StartingFacts;
  switchedOff: readonly string[];
  offersTaken?: readonly OfferId[];
  kit: BrewKit;
  houseWindow: ExtractionWindow;
  aim: Aim | null;
  reach: { finestUm: number; coarsestUm: number };
  earlierLots: readonly EarlierLot[];
  brews?: readonly MeasuredBrew[];
}): FittedStart {
  const prior = lotPrior({
    process: facts.process,
    baseProcess: facts.baseProcess ?? null,
    additions: facts.additions ?? '',
    isDecaffeinated: facts.isDecaffeinated ?? false,
    elevation: facts.elevation,
    ...(facts.roastLevel ? { roastLevel: facts.roastLevel } : {}),
    earlierLots,
  });
  const calibration = valueOf(calibrateLot({ brews, prior }));
  const { roastAgeDays } = facts;
  const aimed = aimOf(houseWindow, facts.schools, aim);
  const retained = (plan: BrewPlan) => retainedOf({ plan, kit, calibration, roastAgeDays });
  // Water that a lifted brewer still holds is no reason to pour more of it.
  const { lifts: _, ...drained } = startingRecipe(facts, { switchedOff, offersTaken }).plan;
  const { plan: byRules, reasons } = startingRecipe(facts, {
    switchedOff,
    offersTaken,
    forAim: ratioForAim(aimed, retained(drained)),
  });
  const met = meetingPoint(aimed, { ratio: planRatio(byRules), retainedGPerG: retained(byRules) });
  const grindFit = fitGrind({
    plan: byRules,
    kit,
    factors: calibration.factors,
    targetYieldPercent: met.yieldPercent,
    targetDrawdownS: drainWanted(aimed, facts, byRules),
    roastAgeDays,
    reach,
  });
  // What waits begins when it is expected to, so that the clock and the forecast say the same.
  const fitted = asItWaits({
    plan: withGrind(byRules, grindFit.grindUm),
    kit,
    factors: calibration.factors,
    roastAgeDays,
  });
  const brew = conditionsOfPlan({ plan: fitted, kit, roastAgeDays });
  const forecast = valueOf(forecastBrew({ calibration, brew }));
  return {
    plan: withDrainTime(fitted, fitted.lifts ? fitted.drawdownS : forecast.drawdownS.value),
    reasons: { ...reasons, grindFit },
    forecast,
  };
}

/** A drain time that a person set: in the aim, or as the house's position on length. Else it follows from the grind. */
function drainWanted(
  { drainLowS, drainHighS }: Aim,
  { schools = USUAL_SCHOOLS }: StartingFacts,
  byRules: BrewPlan,
): number | null {
  if (drainLowS != null && drainHighS != null) return (drainLowS + drainHighS) / 2;
  return schools.length === USUAL_SCHOOLS.length && schools.end === USUAL_SCHOOLS.end
    ? null
    : byRules.drawdownS;
}

/** Water that the bed will keep, by the model, g/g. */
function retainedOf({
  plan,
  kit,
  calibration,
  roastAgeDays,
}: {
  plan: BrewPlan;
  kit: BrewKit;
  calibration: LotCalibration;
  roastAgeDays: number;
}): number {
  const { beverageG } = modelledBrew(conditionsOfPlan({ plan, kit, roastAgeDays }), calibration.factors);
  return retainedWaterGPerG({
    waterG: planWaterG(plan),
    beverageG: beverageG - (plan.bypassG ?? 0),
    doseG: plan.doseG,
  });
}

/** The plan's time is what to expect, in whole five seconds: never before the last pour has had time to sink in. */
function withDrainTime(plan: BrewPlan, drawdownS: number): BrewPlan {
  const soonestS = Math.max(...plan.pours.map(pourEndS)) + 1;
  return { ...plan, drawdownS: Math.max(Math.ceil(soonestS), Math.round(drawdownS / 5) * 5) };
}
