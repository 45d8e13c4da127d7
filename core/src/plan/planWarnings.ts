import { planRatio, planWaterG, type BrewPlan } from './plan.js';
import { spanWords } from '../temperature/spanWords.js';
import { formatRatio } from '../quantity/ratio.js';

type PlanWarningReason =
  | 'ratio-unusual'
  | 'bloom-unusual'
  | 'kettle-unusual'
  | 'mean-flow-unusual'
  | 'kettle-not-advised'
  | 'kettle-pours-too-slow'
  | 'lid-falls-shut';

/** A plan that can be brewed but steps outside what the trade does; `advice` says what to do about it. */
export interface PlanWarning {
  reason: PlanWarningReason;
  message: string;
  advice: string;
}

/** What brewer and kettle allow, as far as somebody looked. */
export interface KitLimits {
  advisedLowC?: number | null;
  advisedHighC?: number | null;
  /** Most that the kettle pours, g/s. */
  mostFlowGps?: number | null;
  lidStaysOpen?: boolean | null;
}

/** Usual spans of a filter plan. Common practice. */
export const USUAL = {
  ratio: { low: 14, high: 17 },
  kettleC: { low: 88, high: 98 },
  /** On record from 1.4 to 3.8, mostly 2.0 to 3.3. */
  bloomMultiple: { low: 1.4, high: 3.8 },
  /** Water over total time, g/s: slow cones to a single pour. */
  meanFlowGps: { low: 0.9, high: 3.1 },
} as const;

/**
 * What a careful colleague would remark on; empty for a plan inside the usual spans.
 *
 * @param kit - what is known of brewer and kettle
 * @param forAim - the ratios that the recipe's own aim asks for: nobody is told off for going where he aims
 */
export function planWarnings(
  plan: BrewPlan,
  forAim?: { tightest: number; widest: number },
  kit: KitLimits = {},
): PlanWarning[] {
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
  return [...warnings, ...kitWarnings(plan, kit)];
}

function kitWarnings(
  plan: BrewPlan,
  { advisedLowC = null, advisedHighC = null, mostFlowGps = null, lidStaysOpen = null }: KitLimits,
): PlanWarning[] {
  const warnings: PlanWarning[] = [];
  const { kettleC } = plan;
  if (kettleC < (advisedLowC ?? -Infinity) || kettleC > (advisedHighC ?? Infinity)) {
    warnings.push({
      reason: 'kettle-not-advised',
      message: `The brewer's maker advises ${spanWords(advisedLowC, advisedHighC)}, and the kettle is at ${kettleC} °C.`,
      advice: 'Keep it if this lot asks for it; else go to where the maker tried it.',
    });
  }
  const fastest = Math.max(...plan.pours.map(({ flowGps }) => flowGps));
  if (mostFlowGps !== null && fastest > mostFlowGps) {
    const number = plan.pours.findIndex(({ flowGps }) => flowGps === fastest) + 1;
    warnings.push({
      reason: 'kettle-pours-too-slow',
      message: `Pour ${number} is to run at ${fastest} g/s; this kettle pours ${mostFlowGps} g/s at most.`,
      advice: 'Pour slower, or take another kettle: the pour takes longer than planned.',
    });
  }
  if (plan.lidOpensS !== undefined && lidStaysOpen === false) {
    warnings.push({
      reason: 'lid-falls-shut',
      message: "This kettle's lid does not stay open by itself.",
      advice: 'Take it off altogether, or use another kettle: shut again it keeps the water hot.',
    });
  }
  return warnings;
}

function outside(value: number, { low, high }: { low: number; high: number }): boolean {
  return value < low - 1e-9 || value > high + 1e-9;
}
