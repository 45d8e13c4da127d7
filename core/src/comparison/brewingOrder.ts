import { servingOrders } from '../statistics/servingOrders.js';
import { planAllWaterG, type BrewPlan } from '../plan/plan.js';

/** The brews of a comparison in the order in which they are made. */
export interface BrewingTurn {
  /** From 1; each arm is brewed once in each. */
  round: number;
  arm: number;
}

/** Rounds that are sensible to brew: more find little that so many did not. */
export const ROUNDS = { fewest: 1, most: 6 } as const;

/**
 * An order of brewing in which no arm is always first, or always follows the same other.
 *
 * @param arms - how many, 2 or more
 * @param rounds - how often each is brewed, 1 or more
 */
export function brewingOrder({ arms, rounds }: { arms: number; rounds: number }): BrewingTurn[] {
  const orders = servingOrders({ sampleCount: arms });
  return Array.from({ length: rounds }, (_, index) =>
    (orders[index % orders.length] ?? []).map((arm) => ({ round: index + 1, arm })),
  ).flat();
}

/** From one brew to the next at the same hands: rinsing, grinding and weighing, min (common practice). */
const BETWEEN_MIN = 4;

/** What a comparison costs: coffee, water, and time at one pair of hands or with two brews at once. */
export interface ComparisonCost {
  brews: number;
  coffeeG: number;
  waterG: number;
  aloneMin: number;
  twoAtOnceMin: number;
}

export function comparisonCost({
  plans,
  rounds,
}: {
  plans: readonly BrewPlan[];
  rounds: number;
}): ComparisonCost {
  const total = (of: (plan: BrewPlan) => number) => rounds * plans.reduce((sum, plan) => sum + of(plan), 0);
  const aloneMin = Math.ceil(total(({ drawdownS }) => drawdownS / 60 + BETWEEN_MIN));
  const brews = rounds * plans.length;
  return {
    brews,
    coffeeG: Math.round(total(({ doseG }) => doseG)),
    waterG: Math.round(total(planAllWaterG)),
    aloneMin,
    twoAtOnceMin: Math.ceil((aloneMin / brews) * Math.ceil(brews / 2)),
  };
}
