import { celsiusToFahrenheit } from '@vendu/core';

export function bothScales(temperatureC: number): string {
  return `${temperatureC} °C / ${Math.round(celsiusToFahrenheit({ temperatureC }))} °F`;
}
