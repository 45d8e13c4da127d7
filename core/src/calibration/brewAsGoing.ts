import { addedAgitation } from '../bench/benchEvents.js';
import { planAsGoing } from '../bench/liveBrew.js';
import type { BrewDone } from './brewAsDone.js';
import { conditionsOfPlan, type BrewConditions, type BrewKit } from './conditions.js';

/** A brew under way as the model brews it: what was done stands, what is to come follows the plan. */
export function brewAsGoing(
  { plan, steps, events, roastAgeDays }: Omit<BrewDone, 'doseG' | 'roastAgeDays'> & { roastAgeDays?: number },
  kit: BrewKit,
): BrewConditions {
  const going = planAsGoing({ plan, done: steps, events, ambientC: kit.ambientC });
  const conditions = conditionsOfPlan({
    plan: going,
    kit,
    ...(roastAgeDays === undefined ? {} : { roastAgeDays }),
  });
  return {
    ...conditions,
    agitation: [...conditions.agitation, ...addedAgitation(events)].sort((a, b) => a.atS - b.atS),
  };
}
