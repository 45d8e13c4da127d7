import { airPressurePa } from './standardAtmosphere.js';
import { saturationPressurePa } from './saturationPressure.js';

/**
 * Boiling point of water at an elevation, degrees C: the temperature whose saturation pressure is the
 * standard atmosphere's. It caps what a kettle can hold.
 *
 * @param elevationM - metres above sea level, -500 to 5000
 * @example boilingPointC({ elevationM: 1000 }) // 96.65 to the hundredth
 */
export function boilingPointC({ elevationM }: { elevationM: number }): number {
  const targetPa = airPressurePa({ elevationM });
  let lowC = 50;
  let highC = 110;
  // Saturation pressure rises with temperature, so halving is safe; 40 halvings leave 1e-10 K.
  for (let halving = 0; halving < 40; halving++) {
    const middleC = (lowC + highC) / 2;
    if (saturationPressurePa({ temperatureC: middleC }) < targetPa) lowC = middleC;
    else highC = middleC;
  }
  return (lowC + highC) / 2;
}
