import { success, type Result } from '../result.js';
import { firstOutOfRange, type OutOfRange, type Range } from './ranges.js';
import { choice, fields, optional, shapeFault, type Shape } from './shape.js';

/**
 * A formula with its input checked: what the core hands out. Inside the core the bare formulas are called, on
 * input that was checked already.
 *
 * @param more.optional - figures that may be left out
 * @param more.words - fields that take one of a few words
 * @returns the same function, answering with a value or with the figure that cannot be
 */
/* @__NO_SIDE_EFFECTS__ */
export function checked<F extends string, I extends Partial<Record<F, unknown>>, V>(
  ranges: Record<F, Range>,
  formula: (input: I) => V,
  more: { optional?: readonly NoInfer<F>[]; words?: Readonly<Record<string, readonly string[]>> } = {},
): (input: I) => Result<V, OutOfRange> {
  const figures = (Object.keys(ranges) as F[]).map((field): [string, Shape] => [
    field,
    more.optional?.includes(field) ? optional('number') : 'number',
  ]);
  const words = Object.entries(more.words ?? {}).map(([field, of]): [string, Shape] => [field, choice(of)]);
  const shape = fields(Object.fromEntries([...figures, ...words]));
  return (input) =>
    // A figure out of its range is told with the range; what is missing, or no figure at all, by its kind.
    firstOutOfRange(Object(input) as I, ranges) ?? shapeFault(input, shape) ?? success(formula(input));
}
