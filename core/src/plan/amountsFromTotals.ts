import { failure, success, type Failure, type Result } from '../result.js';
import { roundToTenth } from './plan.js';

/**
 * What each pour adds, from the running totals that a scale shows; the inverse of `runningTotalsG`.
 *
 * @param totalsG - in the order poured, each above the one before
 * @example amountsFromTotalsG({ totalsG: [50, 150, 250] }) // [50, 100, 100]
 */
export function amountsFromTotalsG({
  totalsG,
}: {
  totalsG: readonly number[];
}): Result<number[], Failure<'totals-must-rise'> & { field: string; allowed: string }> {
  const amounts: number[] = [];
  let beforeG = 0;
  for (const [index, totalG] of totalsG.entries()) {
    if (!(totalG > beforeG) || !Number.isFinite(totalG)) {
      const allowed = `above ${beforeG} g`;
      return {
        ...failure('totals-must-rise', `Running total ${index + 1} is ${totalG}; it must be ${allowed}.`),
        field: `totalsG.${index}`,
        allowed,
      };
    }
    amounts.push(roundToTenth(totalG - beforeG));
    beforeG = totalG;
  }
  return success(amounts);
}
