import { simulateBrew } from '../brewModel/simulateBrew.js';
import {
  conditionsOfPlan,
  lotFactorsOf,
  type BrewKit,
  type LearnedFactors,
} from '../calibration/conditions.js';
import { pourEndS, type BrewPlan, type Pour } from '../plan/plan.js';

/** Everything a forecast of a plan is made from. */
interface Waiting {
  plan: BrewPlan;
  kit: BrewKit;
  factors: LearnedFactors;
  roastAgeDays?: number | undefined;
}

/**
 * The plan with each pour that waits begun when the model expects what it waits for: the bed shows once no free water
 * stands on it, all is through once the outflow has fallen to drips. Pours by the clock keep their time, or follow at
 * once where the water before them comes later.
 *
 * @returns the same plan where no pour waits
 */
export function asItWaits({ plan, kit, factors, roastAgeDays }: Waiting): BrewPlan {
  if (plan.pours.every(({ startsWhen }) => startsWhen === undefined)) return plan;
  const pours: Pour[] = [];
  for (const pour of plan.pours) {
    const before = pours.at(-1);
    const freeS = before ? Math.ceil(pourEndS(before)) : 0;
    const seenS =
      pour.startsWhen === undefined
        ? null
        : seenAtS({ plan: { ...plan, pours }, kit, factors, roastAgeDays }, pour.startsWhen);
    pours.push({ ...pour, startS: Math.max(freeS, Math.round(seenS ?? pour.startS)) });
  }
  return { ...plan, pours };
}

/** When what a pour waits for is seen after the pours before it, s; `null` where the model never sees it. */
function seenAtS(
  { plan, kit, factors, roastAgeDays }: Waiting,
  trigger: NonNullable<Pour['startsWhen']>,
): number | null {
  // Nobody lifts the brewer off before the last pour.
  const { liftAtS: _, ...brew } = conditionsOfPlan({ plan, kit });
  const simulated = simulateBrew({ ...brew, lot: lotFactorsOf(factors, roastAgeDays) });
  if (!simulated.ok || simulated.value.drawdownS === null) return null;
  const { drawdownS, series } = simulated.value;
  return trigger === 'bed-shows' ? drawdownS : (series.atS.at(-1) ?? null);
}
