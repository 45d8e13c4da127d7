import { addedAgitation } from '../bench/benchEvents.js';
import { benchSteps } from '../bench/benchSteps.js';
import { planAsGoing } from '../bench/liveBrew.js';
import type { BrewDone } from '../calibration/brewAsDone.js';
import {
  conditionsOfPlan,
  type BrewConditions,
  type BrewKit,
  type LearnedFactors,
} from '../calibration/conditions.js';
import { asItWaits } from './asItWaits.js';

/**
 * A brew under way as the model brews it: what was done stands, what is to come follows the plan.
 *
 * @param factors - what is known of the lot, which says when a pour that waits will begin; left out, it goes by its time on the clock
 */
export function brewAsGoing(
  { plan, steps, events, roastAgeDays }: Omit<BrewDone, 'doseG' | 'roastAgeDays'> & { roastAgeDays?: number },
  kit: BrewKit,
  factors?: LearnedFactors,
): BrewConditions {
  const going = planAsGoing({ plan, done: steps, events, ambientC: kit.ambientC });
  // What is not marked by then had not begun.
  const knownS = Math.max(0, ...[...steps, ...events].map(({ atS }) => atS));
  const planned = benchSteps(plan);
  const begunPours = Math.max(
    0,
    ...steps.map(({ stepIndex }) => {
      const step = planned[stepIndex];
      return step?.kind === 'pour' ? step.pourNumber : 0;
    }),
  );
  const timed = factors
    ? asItWaits({ plan: going, kit, factors, roastAgeDays, going: { begunPours, knownS } })
    : going;
  const conditions = conditionsOfPlan({
    plan: timed,
    kit,
    ...(roastAgeDays === undefined ? {} : { roastAgeDays }),
  });
  return {
    ...conditions,
    agitation: [...conditions.agitation, ...addedAgitation(events)].sort((a, b) => a.atS - b.atS),
  };
}
