import { failure, type Failure, type Result } from '../result.js';
import { parseNumber } from './parseNumber.js';

export type RatioReason = 'empty' | 'not-a-ratio';

/**
 * Reads a ratio of water to dose: `1:16`, `1:15.5` or the bare `16`.
 *
 * @returns grams of water per gram of dose
 * @example parseRatio('1:16') // value 16
 */
export function parseRatio(text: string): Result<number, Failure<RatioReason>> {
  const trimmed = text.trim();
  if (trimmed === '') return failure('empty', 'Enter a ratio, such as 1:16.');
  const parsed = parseNumber(trimmed.replace(/^1\s*:\s*/, ''));
  if (!parsed.ok || parsed.value <= 0) {
    return failure('not-a-ratio', `“${trimmed}” is not a ratio of water to dose; write 1:16.`);
  }
  return parsed;
}

/** @example formatRatio(15.97) // '1:16' (one decimal where it is not whole) */
export function formatRatio(waterPerDose: number): string {
  return `1:${Math.round(waterPerDose * 10) / 10}`;
}
