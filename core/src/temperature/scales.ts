/**
 * @param temperatureC - in degrees Celsius
 * @returns the same temperature in degrees Fahrenheit
 *
 * Source: definition of the Fahrenheit scale by the kelvin, F = 9/5 C + 32.
 */
export function celsiusToFahrenheit({ temperatureC }: { temperatureC: number }): number {
  return (temperatureC * 9) / 5 + 32;
}

/** The inverse of {@link celsiusToFahrenheit}: degrees Fahrenheit in, degrees Celsius out. */
export function fahrenheitToCelsius({ temperatureF }: { temperatureF: number }): number {
  return ((temperatureF - 32) * 5) / 9;
}
