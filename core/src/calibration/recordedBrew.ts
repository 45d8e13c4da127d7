import { planAgainstActual, type StepDone } from '../bench/planAgainstActual.js';
import type { BrewPlan, Pour } from '../plan/plan.js';
import { conditionsOfPlan, type BrewKit } from './conditions.js';
import type { MeasuredBrew } from './evidence.js';

/** A brew as the record keeps it. A figure nobody took is `null`. */
export interface BrewRecord {
  plan: BrewPlan;
  steps: readonly StepDone[];
  doseG: number;
  beverageG: number | null;
  tdsPercent: number | null;
  roastAgeDays: number;
}

/** Least a pour can have been, g, where what the scale showed would make it nothing. */
const SMALLEST_POUR_G = 1;

/**
 * A recorded brew as evidence of its lot: with the pours as they were done, where that was marked, and
 * without the agitation that was left out.
 */
export function recordedBrew(record: BrewRecord, kit: BrewKit): MeasuredBrew {
  const { plan, steps, doseG, beverageG, tdsPercent, roastAgeDays } = record;
  const compared = planAgainstActual({ plan, done: steps });
  let beforeG = 0;
  const pours = plan.pours.map((pour, index): Pour => {
    const row = compared.find(({ step }) => step.kind === 'pour' && step.pourNumber === index + 1);
    const agitated = compared.find(({ step }) => step.kind === 'agitate' && step.pourNumber === index + 1);
    const totalG = row?.doneTotalG ?? beforeG + pour.amountG;
    const amountG = Math.max(SMALLEST_POUR_G, totalG - beforeG);
    beforeG += amountG;
    return {
      ...pour,
      startS: row?.doneS ?? pour.startS,
      amountG,
      agitation: agitated?.skipped ? 'none' : pour.agitation,
    };
  });
  const drawdown = compared.find(({ step }) => step.kind === 'drawdown');
  return {
    brew: conditionsOfPlan({ plan: { ...plan, doseG, pours }, kit, roastAgeDays }),
    // A brewer lifted off says nothing of when it would have drained.
    drawdownS: plan.lifts ? null : (drawdown?.doneS ?? null),
    tdsPercent,
    beverageG,
  };
}
