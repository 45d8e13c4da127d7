import { calibrateLot } from '../calibration/calibrateLot.js';
import { conditionsOfPlan, type BrewKit } from '../calibration/conditions.js';
import { forecastBrew, type CalibratedForecast } from '../calibration/forecastBrew.js';
import { lotPrior } from '../calibration/priors.js';
import type { ExtractionWindow } from '../extraction/extractionMap.js';
import { valueOf } from '../result.js';
import type { StartingFacts } from './facts.js';
import { aimOf } from '../aim/aimOf.js';
import { fitGrind, type GrindFit } from './fitGrind.js';
import type { SimilarLot } from './similarLots.js';
import { startingRecipe, type StartingReasons, type StartingRecipe } from './startingRecipe.js';

export interface FittedStart extends StartingRecipe {
  reasons: StartingReasons & { grindFit: GrindFit };
  /** What to expect of it: rough ranges, since the lot was never brewed. */
  forecast: CalibratedForecast;
}

/**
 * The first recipe for a lot: rules and schools move the house recipe, then the model sets the grind for the
 * drain time and the yield, from what process, elevation and roast say of the lot and from what lots like it
 * turned out to be.
 *
 * @param aim - what this recipe aims at; `null` for what its school of aims makes of the house's window
 * @param reach - finest and coarsest size of the grinder, um
 * @param similar - finished lots of the house, as `similarLots` chose them
 */
export function fittedStart({
  facts,
  switchedOff,
  kit,
  houseWindow,
  aim,
  reach,
  similar,
}: {
  facts: StartingFacts;
  switchedOff: readonly string[];
  kit: BrewKit;
  houseWindow: ExtractionWindow;
  aim: ExtractionWindow | null;
  reach: { finestUm: number; coarsestUm: number };
  similar: readonly SimilarLot[];
}): FittedStart {
  const { plan: byRules, reasons } = startingRecipe(facts, { switchedOff });
  const prior = lotPrior({
    process: facts.process,
    ...(facts.elevation ? { elevationM: (facts.elevation.fromM + facts.elevation.toM) / 2 } : {}),
    ...(facts.roastLevel ? { roastLevel: facts.roastLevel } : {}),
    earlierLots: similar.flatMap(({ evidence, likeness }) => (evidence ? [{ evidence, likeness }] : [])),
  });
  const calibration = valueOf(calibrateLot({ brews: [], prior }));
  const { roastAgeDays } = facts;
  const grindFit = fitGrind({
    plan: byRules,
    kit,
    factors: calibration.factors,
    aim: aimOf(houseWindow, facts.schools, aim),
    roastAgeDays,
    reach,
  });
  const plan = { ...byRules, grindUm: grindFit.grindUm };
  const brew = conditionsOfPlan({ plan, kit, roastAgeDays });
  return {
    plan,
    reasons: { ...reasons, grindFit },
    forecast: valueOf(forecastBrew({ calibration, brew })),
  };
}
