import { planRatio, setWater, type BrewPlan, type MeasuredBrew } from '@vendu/core';
import { LIMITS } from './task.js';

/** A plan with another grind, and with more or less water for its dose. */
export function movedTo(
  plan: BrewPlan,
  { grindUm = plan.grindUm, ratioBy = 0 }: { grindUm?: number; ratioBy?: number },
): BrewPlan {
  const ratio = Math.min(18.5, Math.max(13.5, planRatio(plan) + ratioBy));
  const pours = setWater({ pours: plan.pours, waterG: Math.round(plan.doseG * ratio) });
  return {
    ...plan,
    grindUm: Math.round(Math.min(LIMITS.coarsestUm, Math.max(LIMITS.finestUm, grindUm)) / 10) * 10,
    pours: pours.ok ? pours.value : plan.pours,
  };
}

/** A measured brew as strength, yield and what the bed kept. */
export function measuredOf({ brew, tdsPercent, beverageG, drawdownS }: MeasuredBrew) {
  const [tds, beverage] = [tdsPercent ?? 0, beverageG ?? 0];
  const waterG = brew.pours.reduce((sum, { amountG }) => sum + amountG, 0);
  return {
    tdsPercent: tds,
    yieldPercent: (tds * beverage) / brew.doseG,
    drawdownS,
    retainedGPerG: (waterG - beverage) / brew.doseG,
  };
}
