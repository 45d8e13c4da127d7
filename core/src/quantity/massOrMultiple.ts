import { failure, success, type Failure, type Result } from '../result.js';
import { parseWithUnit } from './parseNumber.js';

export type MassOrMultipleReason = 'empty' | 'not-a-mass';

/**
 * Reads a mass of water given in grams (`45`, `45 g`) or as a multiple of the dose (`2.5x`), the way
 * blooms are spoken of.
 *
 * @param doseG - the dose that a multiple refers to, in grams
 * @returns grams, rounded to 0.1
 * @example parseMassOrMultipleG({ text: '2.5x', doseG: 18 }) // value 45
 */
export function parseMassOrMultipleG({
  text,
  doseG,
}: {
  text: string;
  doseG: number;
}): Result<number, Failure<MassOrMultipleReason>> {
  const trimmed = text.trim();
  if (trimmed === '') return failure('empty', 'Enter grams, or a multiple of the dose such as 2.5x.');
  const isMultiple = /[x×]$/i.test(trimmed);
  const parsed = parseWithUnit(isMultiple ? trimmed.slice(0, -1) : trimmed, isMultiple ? '' : 'g');
  if (!parsed.ok) {
    return failure(
      'not-a-mass',
      `“${trimmed}” is neither grams nor a multiple of the dose; write 45 or 2.5x.`,
    );
  }
  return success(Math.round(parsed.value * (isMultiple ? doseG : 1) * 10) / 10);
}
