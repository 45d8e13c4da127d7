import { planRatio, planWaterG, type BrewPlan } from './plan.js';
import { formatRatio } from '../quantity/ratio.js';

type PlanWarningReason = 'ratio-unusual' | 'bloom-unusual' | 'kettle-unusual' | 'mean-flow-unusual';

/** A plan that can be brewed but steps outside what the trade does; `advice` says what to do about it. */
export interface PlanWarning {
  reason: PlanWarningReason;
  message: string;
  advice: string;
}

/** Usual spans of a filter plan. Common practice. */
export const USUAL = {
  ratio: { low: 14, high: 17 },
  kettleC: { low: 88, high: 98 },
  bloomMultiple: { low: 1.5, high: 3.3 },
  /** Water over total time, g/s: slow cones to a single pour. */
  meanFlowGps: { low: 0.9, high: 3.1 },
} as const;

/**
 * What a careful colleague would remark on; empty for a plan inside the usual spans.
 *
 * @param forAim - the ratios that the recipe's own aim asks for: nobody is told off for going where he aims
 */
export function planWarnings(plan: BrewPlan, forAim?: { tightest: number; widest: number }): PlanWarning[] {
  const warnings: PlanWarning[] = [];
  const ratio = planRatio(plan);
  const span = {
    low: Math.min(USUAL.ratio.low, forAim?.tightest ?? Infinity),
    high: Math.max(USUAL.ratio.high, forAim?.widest ?? 0),
  };
  if (outside(ratio, span)) {
    warnings.push({
      reason: 'ratio-unusual',
      message: `Ratio ${formatRatio(ratio)} is outside ${formatRatio(span.low)} to ${formatRatio(span.high)}.`,
      advice: ratio < span.low ? 'Use more water or less coffee.' : 'Use less water or more coffee.',
    });
  }
  if (outside(plan.kettleC, USUAL.kettleC)) {
    warnings.push({
      reason: 'kettle-unusual',
      message: `Kettle ${plan.kettleC} °C is outside ${USUAL.kettleC.low} to ${USUAL.kettleC.high} °C.`,
      advice: 'The slurry is several degrees cooler than the kettle; check that this is intended.',
    });
  }
  const [first] = plan.pours;
  const bloomMultiple = first?.isBloom ? first.amountG / plan.doseG : null;
  if (bloomMultiple !== null && outside(bloomMultiple, USUAL.bloomMultiple)) {
    warnings.push({
      reason: 'bloom-unusual',
      message: `The bloom is ${bloomMultiple.toFixed(1)}x the dose, outside ${USUAL.bloomMultiple.low}x to ${USUAL.bloomMultiple.high}x.`,
      advice: 'A bloom in grams is often not scaled with the dose; type it as a multiple, such as 2.5x.',
    });
  }
  const meanFlowGps = planWaterG(plan) / plan.drawdownS;
  if (outside(meanFlowGps, USUAL.meanFlowGps)) {
    warnings.push({
      reason: 'mean-flow-unusual',
      message: `Water over total time is ${meanFlowGps.toFixed(1)} g/s, outside ${USUAL.meanFlowGps.low} to ${USUAL.meanFlowGps.high} g/s.`,
      advice: 'Check the target drain time against the pours.',
    });
  }
  return warnings;
}

function outside(value: number, { low, high }: { low: number; high: number }): boolean {
  return value < low - 1e-9 || value > high + 1e-9;
}
