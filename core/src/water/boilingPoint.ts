import { airPressurePa } from './standardAtmosphere.js';
import { saturationPressurePa } from './saturationPressure.js';

/** Half width over which the slope of the pressure is taken, K. */
const SLOPE_K = 0.01;

/**
 * Boiling point of water at an elevation, degrees C: the temperature whose saturation pressure is the
 * standard atmosphere's. It caps what a kettle can hold.
 *
 * @param elevationM - metres above sea level, -500 to 5000
 * @example boilingPointC({ elevationM: 1000 }) // 96.65 to the hundredth
 */
export function boilingPointC({ elevationM }: { elevationM: number }): number {
  const lnTarget = Math.log(airPressurePa({ elevationM }));
  let temperatureC = 95;
  // Newton's steps on the logarithm, which is nearly straight: five of them leave less than 1e-9 K.
  for (let step = 0; step < 5; step++) {
    const lnAt = (celsius: number) => Math.log(saturationPressurePa({ temperatureC: celsius }));
    const slope = (lnAt(temperatureC + SLOPE_K) - lnAt(temperatureC - SLOPE_K)) / (2 * SLOPE_K);
    temperatureC += (lnTarget - lnAt(temperatureC)) / slope;
  }
  return temperatureC;
}
