import { checked } from '../input/checked.js';
import { firstOutOfRange, type OutOfRange, type Range } from '../input/ranges.js';
import { success, type Result } from '../result.js';
import * as dilution from './diluteBeverage.js';
import * as map from './extractionMap.js';
import * as yields from './extractionYield.js';
import * as retained from './retainedWater.js';
import * as uncertainty from './yieldUncertainty.js';

// What a filter bench, a sharing brewer and an urn can have; wider than any recipe.
const DOSE: Range = { low: 0.1, high: 10_000, unit: 'g' };
const WATER: Range = { low: 0, high: 100_000, unit: 'g' };
const TDS: Range = { low: 0, high: 30, unit: '%' };
const YIELD: Range = { low: 0, high: 100, unit: '%' };
const RETAINED: Range = { low: 0, high: 5, unit: 'g/g' };

/** {@link yields.extractionYieldPercent}, its input checked. */
export const extractionYieldPercent = checked(
  { tdsPercent: TDS, beverageG: WATER, doseG: DOSE },
  yields.extractionYieldPercent,
);

/** {@link yields.immersionYieldPercent}, its input checked. */
export const immersionYieldPercent = checked(
  { tdsPercent: TDS, waterG: WATER, absorbedG: WATER, doseG: DOSE },
  yields.immersionYieldPercent,
);

/** {@link retained.beverageFromRetainedG}, its input checked. */
export const beverageFromRetainedG = checked(
  { waterG: WATER, doseG: DOSE, retainedGPerG: RETAINED },
  retained.beverageFromRetainedG,
);

/** {@link dilution.diluteBeverage}, its input checked. */
export const diluteBeverage = checked(
  { tdsPercent: TDS, beverageG: { ...WATER, low: 0.1 }, bypassG: WATER },
  dilution.diluteBeverage,
);

/** {@link map.ratioLineTdsPercent}, its input checked: the ratio must leave water for the cup. */
export function ratioLineTdsPercent(
  input: Parameters<typeof map.ratioLineTdsPercent>[0],
): Result<number, OutOfRange> {
  const retainedGPerG = input.retainedGPerG ?? retained.ASSUMED_RETAINED.midGPerG;
  return (
    firstOutOfRange(
      { ...input, retainedGPerG },
      {
        yieldPercent: YIELD,
        retainedGPerG: RETAINED,
        waterPerDose: { low: retainedGPerG + 0.1, high: 100, unit: 'g/g' },
      },
    ) ?? success(map.ratioLineTdsPercent(input))
  );
}

/** {@link uncertainty.yieldUncertainty}, its input checked. */
export function yieldUncertainty(
  input: Parameters<typeof uncertainty.yieldUncertainty>[0],
): Result<number, OutOfRange> {
  return (
    firstOutOfRange(input.measured, { tdsPercent: TDS, beverageG: WATER, doseG: DOSE }) ??
    firstOutOfRange(input.standard, {
      tdsPercent: { low: 0, high: 5, unit: '%' },
      beverageG: { low: 0, high: 1000, unit: 'g' },
      doseG: { low: 0, high: 100, unit: 'g' },
    }) ??
    success(uncertainty.yieldUncertainty(input))
  );
}
