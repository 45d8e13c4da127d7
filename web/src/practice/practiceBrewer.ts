import {
  calibrateLot,
  conditionsOfPlan,
  simulatedBrewer,
  valueOf,
  type BrewKit,
  type BrewPlan,
  type SimulatedBrewer,
} from '@vendu/core';

/** A brewer with a coffee in it of which nothing is known; `null` where the plan cannot be brewed in it. */
export function practiceBrewer(plan: BrewPlan, kit: BrewKit | null): SimulatedBrewer | null {
  if (!kit) return null;
  const made = simulatedBrewer({
    conditions: conditionsOfPlan({ plan, kit }),
    factors: valueOf(calibrateLot({ brews: [] })).factors,
  });
  return made.ok ? made.value : null;
}
