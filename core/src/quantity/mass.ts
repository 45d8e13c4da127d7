import { failure, success, type Failure, type Result } from '../result.js';
import { parseNumber } from './parseNumber.js';

export type MassReason = 'empty' | 'not-a-mass';

/** Grams in each unit that a person may write (exact: international avoirdupois pound of 1959, an ounce its 16th). */
const GRAMS_IN: Record<string, number> = {
  '': 1,
  g: 1,
  k: 1000,
  kg: 1000,
  lb: 453.59237,
  lbs: 453.59237,
  oz: 28.349523125,
};

const MASS = /^([^a-z]*)([a-z]*)\.?$/i;

/**
 * Reads `250`, `250 g`, `2.4 kg`, `2.4k`, `5 lb` or `12 oz`.
 *
 * @returns grams
 * @example parseMassG('2.4 kg') // value 2400
 */
export function parseMassG(text: string): Result<number, Failure<MassReason>> {
  const trimmed = text.trim();
  if (trimmed === '') return failure('empty', 'Enter a mass, such as 250 g or 2.4 kg.');
  const [, figure = '', unit = ''] = MASS.exec(trimmed) ?? [];
  const grams = GRAMS_IN[unit.toLowerCase()];
  const parsed = parseNumber(figure);
  if (grams === undefined || !parsed.ok) {
    return failure('not-a-mass', `“${trimmed}” is not a mass; write 250 g, 2.4 kg, 5 lb or 12 oz.`);
  }
  // Rounded far below any scale: only the dust of the multiplication goes.
  return success(Math.round(parsed.value * grams * 1e6) / 1e6);
}
