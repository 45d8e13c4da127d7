import { outOfRange } from '../input/ranges.js';
import { success, type Result } from '../result.js';
import { fractionFault, type Fraction, type FractionFault } from './fraction.js';

/** The brew so far, at the end of a cup. */
export interface CumulativePoint {
  atS: number;
  beverageG: number;
  /** Dissolved solids so far, g; `null` from the first cup on that was not read. */
  solidsG: number | null;
  /** Strength of all cups so far together, %. */
  tdsPercent: number | null;
  /** Yield so far, % of the dose. */
  yieldPercent: number | null;
}

/**
 * The cups of a split brew added up, by time and by mass at once: each point is what one cup would have held
 * had the brew been stopped there.
 */
export function cumulativeFractions({
  fractions,
  doseG,
}: {
  fractions: readonly Fraction[];
  doseG: number;
}): Result<CumulativePoint[], FractionFault> {
  const fault = outOfRange('doseG', doseG, { low: 0.1, high: 500, unit: 'g' }) ?? fractionFault(fractions);
  if (fault) return fault;
  let beverageG = 0;
  let solidsG: number | null = 0;
  return success([
    { atS: fractions[0]?.startS ?? 0, beverageG: 0, solidsG: 0, tdsPercent: null, yieldPercent: 0 },
    ...fractions.map((fraction): CumulativePoint => {
      beverageG += fraction.beverageG;
      solidsG =
        solidsG === null || fraction.tdsPercent === null
          ? null
          : solidsG + (fraction.beverageG * fraction.tdsPercent) / 100;
      return {
        atS: fraction.endS,
        beverageG,
        solidsG,
        tdsPercent: solidsG === null || beverageG === 0 ? null : (solidsG / beverageG) * 100,
        yieldPercent: solidsG === null ? null : (solidsG / doseG) * 100,
      };
    }),
  ]);
}
