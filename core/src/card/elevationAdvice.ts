import { firstOutOfRange, type OutOfRange, type Range } from '../input/ranges.js';
import { success, type Result } from '../result.js';
import { celsiusToFahrenheit } from '../temperature/scales.js';
import { boilingPointC } from '../water/boilingPoint.js';

/** Where kitchens are. */
const KITCHENS: Range = { low: -400, high: 5000, unit: 'm' };

/**
 * What a kitchen's elevation does to a card's kettle: by the boiling point there (standard atmosphere). Where the kettle
 * cannot be as hot as asked the water extracts less, and the grind makes up for it (common practice).
 *
 * @param kettleC - as the card asks
 * @param elevationM - of the kitchen, -400 to 5000 m
 */
export function elevationAdvice({
  kettleC,
  elevationM,
}: {
  kettleC: number;
  elevationM: number;
}): Result<string, OutOfRange> {
  const fault = firstOutOfRange({ elevationM }, { elevationM: KITCHENS });
  if (fault) return fault;
  const boilsC = Math.round(boilingPointC({ elevationM }) * 10) / 10;
  if (boilsC >= kettleC) return success('');
  const both = `${boilsC} °C (${Math.round(celsiusToFahrenheit({ temperatureC: boilsC }))} °F)`;
  return success(
    `Water boils at ${both} there: pour straight off the boil, lid closed between pours, and grind a little finer to make up for the ${Math.round(kettleC - boilsC)} °C.`,
  );
}
