import { waterDensityKgM3 } from '../water/density.js';
import { waterViscosityPaS } from '../water/viscosity.js';

const TABLE_TOP_C = 110;
const STEPS_PER_K = 20;

/**
 * A property of water over 0-110 C as a table of twentieths of a degree with straight lines between: a step
 * of a brew asks for each of them once, and the formulas cost more than the rest of the step. Straight lines
 * add less than 1e-6 of the value. Outside the table its end holds.
 */
function tabulated(property: (temperatureC: number) => number): (temperatureC: number) => number {
  const rows = TABLE_TOP_C * STEPS_PER_K + 1;
  const table = Float64Array.from({ length: rows + 1 }, (_, row) => property(row / STEPS_PER_K));
  return (temperatureC) => {
    const place = Math.min(Math.max(temperatureC * STEPS_PER_K, 0), rows - 1);
    const row = Math.floor(place);
    const low = table[row] ?? 0;
    return low + (place - row) * ((table[row + 1] ?? low) - low);
  };
}

export const densityKgM3 = tabulated((temperatureC) => waterDensityKgM3({ temperatureC }));
export const viscosityPaS = tabulated((temperatureC) => waterViscosityPaS({ temperatureC }));

/**
 * Vapour pressure, Pa, by Antoine's equation, with which the constants of the model were calibrated (mem.).
 * It is 0.2 % from the steam tables, far below what the heat transfer to air is known to.
 */
export const vapourPressurePa = tabulated(
  (temperatureC) => 133.322 * Math.pow(10, 8.071_31 - 1730.63 / (233.426 + temperatureC)),
);
