import { brewInputFault, type BrewInputFailure } from '../brewModel/checkBrew.js';
import { simulateBrew } from '../brewModel/simulateBrew.js';
import type { BrewForecast } from '../brewModel/types.js';
import {
  conditionsOfPlan,
  lotFactorsOf,
  type BrewKit,
  type LearnedFactors,
} from '../calibration/conditions.js';
import { asItWaits } from './asItWaits.js';
import { planFaults, type PlanFault } from '../plan/planFaults.js';
import type { BrewPlan } from '../plan/plan.js';
import { success, type Failure, type Result } from '../result.js';
import { boilingPointC } from '../water/boilingPoint.js';

/** Why a plan cannot be brewed, all of it at once. */
export interface ImpossiblePlan extends Failure<'plan-cannot-be-brewed'> {
  faults: PlanFault[];
}

const NOTHING_KNOWN: LearnedFactors = { solubility: 1, rate: 1, flow: 1, retained: 1, steepness: 1 };

/**
 * What a plan does in a brewer: its course over time, and what goes wrong - over the rim, too full to swirl,
 * stalled, run dry, hotter than the altitude allows. The whole check of a plan against the kit it is for. A pour that
 * waits is begun when the model expects what it waits for.
 *
 * @param factors - what is known of the lot; without them the figures are rough ranges
 */
export function forecastPlan({
  plan,
  kit,
  factors = NOTHING_KNOWN,
  roastAgeDays,
}: {
  plan: BrewPlan;
  kit: BrewKit;
  factors?: LearnedFactors;
  roastAgeDays?: number;
}): Result<BrewForecast, BrewInputFailure | ImpossiblePlan> {
  const [fault] = planFaults({ plan });
  if (fault) {
    const faults = planFaults({ plan, boilingC: boilingPointC({ elevationM: kit.elevationM }) });
    return { ok: false, reason: 'plan-cannot-be-brewed', message: fault.message, faults };
  }
  const timed = asItWaits({ plan, kit, factors, roastAgeDays });
  const brew = { ...conditionsOfPlan({ plan: timed, kit }), lot: lotFactorsOf(factors, roastAgeDays) };
  const simulated = brewInputFault(brew) ?? simulateBrew(brew);
  return simulated.ok ? success(simulated.value) : simulated;
}
