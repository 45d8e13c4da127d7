import { failure, success, type Failure, type Result } from '../result.js';

export type NumberReason = 'empty' | 'not-a-number';

const DECIMAL = /^[+-]?(\d+([.,]\d*)?|[.,]\d+)$/;

/**
 * Reads a plain decimal. A comma counts as the decimal sign, since half of the trade writes one; a
 * thousands separator is refused rather than guessed at.
 *
 * @example parseNumber('1,35') // value 1.35
 */
export function parseNumber(text: string): Result<number, Failure<NumberReason>> {
  const trimmed = text.trim();
  if (trimmed === '') return failure('empty', 'Enter a number.');
  if (!DECIMAL.test(trimmed)) return failure('not-a-number', `“${trimmed}” is not a number.`);
  return success(Number(trimmed.replace(',', '.')));
}

/**
 * Reads a number that may carry its own unit, as in `15 g`, `1.35 %` or `1800 m`.
 *
 * @param unit - the only unit accepted; any other is an error, so that `50 oz` never passes for grams
 */
export function parseWithUnit(text: string, unit: string): Result<number, Failure<NumberReason>> {
  const trimmed = text.trim();
  const bare = trimmed.toLowerCase().endsWith(unit.toLowerCase())
    ? trimmed.slice(0, trimmed.length - unit.length)
    : trimmed;
  const parsed = parseNumber(bare);
  if (!parsed.ok && parsed.reason === 'not-a-number') {
    return failure('not-a-number', `“${trimmed}” is not a number${unit ? ` in ${unit}` : ''}.`);
  }
  return parsed;
}
