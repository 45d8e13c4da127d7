import { SAMPLE_RANGE_C } from '../extraction/measurementFaults.js';
import { firstOutOfRange, type OutOfRange } from '../input/ranges.js';
import { failure, success, type Failure, type Result } from '../result.js';

/** What a line of an instrument says; at least one of the figures. */
export interface InstrumentReading {
  /** Of a scale, g. */
  massG?: number;
  /** Charge left, %; left out by instruments that do not tell. */
  batteryPercent?: number;
  /** Of a thermometer in the kettle, C. */
  kettleC?: number;
  /** Of a refractometer, % TDS, and of its sample, C. */
  tdsPercent?: number;
  sampleC?: number;
}

/** One reading of a scale. */
export type ScaleReading = Pick<InstrumentReading, 'batteryPercent'> & { massG: number };

/** Each field of a line with the figure it stands for. A zero check may read a little below nothing. */
const FIELDS = {
  g: { figure: 'massG', low: -1000, high: 10_000, unit: 'g' },
  batteryPercent: { figure: 'batteryPercent', low: 0, high: 100, unit: '%' },
  kettleC: { figure: 'kettleC', low: 0, high: 110, unit: '°C' },
  tdsPercent: { figure: 'tdsPercent', low: -1, high: 30, unit: '%' },
  sampleC: { figure: 'sampleC', ...SAMPLE_RANGE_C, unit: '°C' },
} as const;
type Field = keyof typeof FIELDS;
/** A line with none of these says nothing by itself. */
const TELLING: readonly Field[] = ['g', 'kettleC', 'tdsPercent'];
/** Longer lines are no reading of any instrument. */
const LONGEST_LINE = 200;
const PLAIN_GRAMS = /^[+-]?\s*\d+([.,]\d+)?\s*g?$/i;

/**
 * One line that any do-it-yourself instrument can send: grams as plain text, as `123.4`, `-0.2 g` or `123,4`; or a
 * JSON object with at least one of the fields `g`, `kettleC` and `tdsPercent`. Other fields are ignored.
 */
export function parseInstrumentLine(
  line: string,
): Result<InstrumentReading, OutOfRange | Failure<'no-reading'>> {
  const text = line.trim();
  const fields = PLAIN_GRAMS.test(text)
    ? { g: Number(text.replace(/[g\s]/gi, '').replace(',', '.')) }
    : text.startsWith('{') && text.length <= LONGEST_LINE
      ? numbersOf(text)
      : null;
  if (fields === null || !TELLING.some((field) => field in fields)) {
    return failure(
      'no-reading',
      'A line is grams, as 123.4, or JSON with a number in g, kettleC or tdsPercent.',
    );
  }
  const fault = firstOutOfRange(fields, FIELDS);
  if (fault) return fault;
  const reading: InstrumentReading = {};
  for (const [field, value] of Object.entries(fields)) reading[FIELDS[field as Field].figure] = value;
  return success(reading);
}

/** The fields of a JSON object that are known here and numbers; `null` where the text is no JSON. */
function numbersOf(text: string): Partial<Record<Field, number>> | null {
  try {
    const parsed = JSON.parse(text) as Record<string, unknown>;
    return Object.fromEntries(
      Object.keys(FIELDS).flatMap((field) =>
        typeof parsed[field] === 'number' ? [[field, parsed[field]]] : [],
      ),
    );
  } catch {
    return null;
  }
}
