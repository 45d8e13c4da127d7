import { success, type Result } from '../result.js';
import { firstOutOfRange, type OutOfRange, type Range } from './ranges.js';

/**
 * A formula with its input checked: what the core hands out. Inside the core the bare formulas are called, on
 * input that was checked already.
 *
 * @returns the same function, answering with a value or with the figure that cannot be
 */
export function checked<F extends string, I extends Partial<Record<F, unknown>>, V>(
  ranges: Record<F, Range>,
  formula: (input: I) => V,
): (input: I) => Result<V, never> | OutOfRange {
  return (input) => firstOutOfRange(input, ranges) ?? success(formula(input));
}
