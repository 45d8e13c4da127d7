import { roundToTenth, type BrewPlan } from '../plan/plan.js';

/** A dose so near to the proven one is brewed like it, as a share (assumed: a bed a tenth deeper drains a tenth slower). */
const AS_PROVEN = 0.1;

/** The card at another dose: water in proportion, the clock as it was, and whether that still is what was proven. */
export function atOwnDose(plan: BrewPlan, doseG: number): { plan: BrewPlan; isProven: boolean } {
  const by = doseG / plan.doseG;
  const scaled = (amountG: number) => Math.max(1, Math.round(amountG * by));
  return {
    plan: {
      ...plan,
      doseG,
      pours: plan.pours.map((pour) => ({
        ...pour,
        amountG: scaled(pour.amountG),
        // The hand keeps its seconds.
        flowGps: roundToTenth(pour.flowGps * by),
      })),
      ...(plan.bypassG === undefined ? {} : { bypassG: scaled(plan.bypassG) }),
    },
    isProven: Math.abs(by - 1) <= AS_PROVEN,
  };
}
