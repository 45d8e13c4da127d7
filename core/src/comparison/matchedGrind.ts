import type { BrewPlan } from '../plan/plan.js';
import { withGrind } from '../plan/grinding.js';

/** Grinds looked at: the model's reach, um, on steps a grinder can take. */
const FINEST_UM = 450;
const COARSEST_UM = 1400;
const STEP_UM = 10;
const HALVINGS = 10;

/**
 * The grind at which a plan gives a figure that falls as it is ground coarser, as drain time and yield do.
 *
 * @param valueAt - the figure of a plan, `null` where it cannot be brewed
 * @param wanted - in the unit of the figure
 * @returns the plan at that grind; `null` where no grind within reach gives it
 */
export function matchedGrind({
  plan,
  wanted,
  valueAt,
}: {
  plan: BrewPlan;
  wanted: number;
  valueAt: (plan: BrewPlan) => number | null;
}): BrewPlan | null {
  const at = (grindUm: number) => valueAt(withGrind(plan, grindUm));
  let [fineUm, coarseUm] = [FINEST_UM, COARSEST_UM];
  const [most, least] = [at(fineUm), at(coarseUm)];
  if (most === null || least === null || wanted > most || wanted < least) return null;
  for (let halving = 0; halving < HALVINGS; halving++) {
    const middleUm = (fineUm + coarseUm) / 2;
    const value = at(middleUm);
    if (value === null) return null;
    if (value > wanted) fineUm = middleUm;
    else coarseUm = middleUm;
  }
  return withGrind(plan, Math.round((fineUm + coarseUm) / 2 / STEP_UM) * STEP_UM);
}
