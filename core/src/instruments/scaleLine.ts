import { firstOutOfRange, type OutOfRange } from '../input/ranges.js';
import { failure, success, type Failure, type Result } from '../result.js';

/** One reading of a scale. */
export interface ScaleReading {
  massG: number;
  /** Charge left, %; left out by scales that do not tell. */
  batteryPercent?: number;
}

const RANGES = {
  g: { low: -1000, high: 10_000, unit: 'g' },
  batteryPercent: { low: 0, high: 100, unit: '%' },
};
/** Longer lines are no reading of any scale. */
const LONGEST_LINE = 200;
const PLAIN_GRAMS = /^[+-]?\s*\d+([.,]\d+)?\s*g?$/i;

/**
 * One line of the mass feed that any do-it-yourself scale can send: grams as plain text, as `123.4`, `-0.2 g` or
 * `123,4`; or a JSON object with the field `g` and, if it likes, `batteryPercent`. Other fields are looked over.
 */
export function parseScaleLine(
  line: string,
): Result<ScaleReading, never> | OutOfRange | Failure<'no-reading'> {
  const text = line.trim();
  const fields = PLAIN_GRAMS.test(text)
    ? { g: Number(text.replace(/[g\s]/gi, '').replace(',', '.')) }
    : text.startsWith('{') && text.length <= LONGEST_LINE
      ? objectOf(text)
      : null;
  if (fields === null || typeof fields.g !== 'number') {
    return failure('no-reading', 'A line is grams, as 123.4, or JSON with the field g.');
  }
  const fault = firstOutOfRange(fields, RANGES);
  if (fault) return fault;
  return success({
    massG: fields.g,
    ...(typeof fields.batteryPercent === 'number' ? { batteryPercent: fields.batteryPercent } : {}),
  });
}

function objectOf(text: string): { g?: unknown; batteryPercent?: unknown } | null {
  try {
    return JSON.parse(text) as { g?: unknown; batteryPercent?: unknown };
  } catch {
    return null;
  }
}
