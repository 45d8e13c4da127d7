import type { Failure } from '../result.js';

/** What a figure may be, both ends allowed. */
export interface Range {
  low: number;
  high: number;
  /** As printed behind a figure: `g`, `°C`; empty for a bare number. */
  unit: string;
}

/** A figure that cannot be: which one, what it was, and what it may be. */
export interface OutOfRange extends Failure<'out-of-range'> {
  field: string;
  value: number;
  allowed: string;
}

/**
 * Checks figures against their ranges, in the order of the ranges.
 *
 * @param values - figures by field; one left `undefined` is not checked
 * @returns the first that is outside or not a number at all, or `null`
 */
export function firstOutOfRange<F extends string>(
  values: Partial<Record<NoInfer<F>, unknown>>,
  ranges: Record<F, Range>,
): OutOfRange | null {
  for (const field of Object.keys(ranges) as F[]) {
    const value: unknown = values[field];
    if (value === undefined) continue;
    const found = outOfRange(field, typeof value === 'number' ? value : NaN, ranges[field]);
    if (found) return found;
  }
  return null;
}

export function outOfRange(field: string, value: number, { low, high, unit }: Range): OutOfRange | null {
  // What only looks like a number, a text of digits, is none.
  if (typeof value === 'number' && value >= low && value <= high) return null;
  const allowed = `${low} to ${high}${unit === '' ? '' : ` ${unit}`}`;
  return notAllowed(field, value, allowed);
}

/** The refusal of a figure, in the words of all of them. */
export function notAllowed(field: string, value: number, allowed: string): OutOfRange {
  return {
    ok: false,
    reason: 'out-of-range',
    message: `${field} is ${value}; allowed: ${allowed}.`,
    field,
    value,
    allowed,
  };
}
