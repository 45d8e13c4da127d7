import { failure, success, type Failure, type Result } from '../result.js';
import { fahrenheitToCelsius } from '../temperature/scales.js';

export type TemperatureReason = 'empty' | 'not-a-temperature' | 'scale-missing';

const TEMPERATURE = /^([+-]?\d+(?:[.,]\d+)?)\s*°?\s*([cf]?)$/i;

/** Above this, a figure of water without a scale can only be meant in Fahrenheit, so the reader is asked. */
const HOTTEST_WATER_C = 110;

/**
 * Reads `96`, `96c`, `205f` or `96 °C`. A bare figure is Celsius; a bare figure that cannot be Celsius
 * is refused, because spoken temperatures without a scale are a known cause of ruined brews.
 *
 * @param hottestC - of what is measured: of water unless said
 * @returns degrees Celsius, rounded to 0.1
 * @example parseTemperatureC('205f') // value 96.1
 */
export function parseTemperatureC(
  text: string,
  { hottestC = HOTTEST_WATER_C }: { hottestC?: number } = {},
): Result<number, Failure<TemperatureReason>> {
  const trimmed = text.trim();
  if (trimmed === '') return failure('empty', 'Enter a temperature, such as 94c or 201f.');
  const match = TEMPERATURE.exec(trimmed);
  if (!match) return failure('not-a-temperature', `“${trimmed}” is not a temperature; write 94c or 201f.`);
  const figure = Number(match[1]?.replace(',', '.'));
  const scale = match[2]?.toLowerCase();
  if (scale === 'f') return success(roundToTenth(fahrenheitToCelsius({ temperatureF: figure })));
  if (scale === '' && figure > hottestC) {
    return failure(
      'scale-missing',
      `${figure} °C is too hot for this; write ${figure}f if Fahrenheit is meant.`,
    );
  }
  return success(figure);
}

function roundToTenth(value: number): number {
  return Math.round(value * 10) / 10;
}
