import { checked } from '../input/checked.js';
import { firstOutOfRange, outOfRange, type OutOfRange, type Range } from '../input/ranges.js';
import { success, type Result } from '../result.js';
import * as boiling from './boilingPoint.js';
import * as densities from './density.js';
import * as mixes from './mixWater.js';
import * as mixing from './mixing.js';
import { SALTS, type Salt } from './salts.js';
import * as viscosities from './viscosity.js';
import * as chemistry from './waterChemistry.js';

const LIQUID: Range = { low: 0, high: 110, unit: '°C' };
const AS_CACO3: Range = { low: 0, high: 5000, unit: 'mg/L' };
/** Far above any concentrate, mg/L. */
const SALT: Range = { low: 0, high: 400_000, unit: 'mg/L' };

/** {@link densities.waterDensityKgM3}, its input checked. */
export const waterDensityKgM3 = checked({ temperatureC: LIQUID }, densities.waterDensityKgM3);

/** {@link viscosities.waterViscosityPaS}, its input checked. */
export const waterViscosityPaS = checked({ temperatureC: LIQUID }, viscosities.waterViscosityPaS);

/** {@link boiling.boilingPointC}, its input checked. */
export const boilingPointC = checked(
  { elevationM: { low: -500, high: 5500, unit: 'm' } },
  boiling.boilingPointC,
);

/** {@link mixing.mixingTemperatureC}, its input checked. */
export const mixingTemperatureC = checked(
  {
    waterG: { low: 0.1, high: 100_000, unit: 'g' },
    kettleC: LIQUID,
    doseG: { low: 0, high: 10_000, unit: 'g' },
    coffeeC: { low: -30, high: 60, unit: '°C' },
    brewerJPerK: { low: 0, high: 100_000, unit: 'J/K' },
    brewerC: { low: -30, high: 110, unit: '°C' },
    coffeeJPerKgK: { low: 500, high: 4200, unit: 'J/(kg K)' },
  },
  mixing.mixingTemperatureC,
  { optional: ['brewerJPerK', 'brewerC', 'coffeeJPerKgK'] },
);

/** {@link chemistry.waterChemistry}, its input checked. */
export function waterChemistry({
  saltsMgPerL,
}: Parameters<typeof chemistry.waterChemistry>[0]): Result<chemistry.WaterChemistry, OutOfRange> {
  for (const salt of Object.keys(SALTS) as Salt[]) {
    const mgPerL = saltsMgPerL[salt];
    const fault = mgPerL === undefined ? null : outOfRange(`saltsMgPerL.${salt}`, mgPerL, SALT);
    if (fault) return fault;
  }
  return success(chemistry.waterChemistry({ saltsMgPerL }));
}

/** {@link mixes.saltsForWater}, its target checked. */
export function saltsForWater(
  input: Parameters<typeof mixes.saltsForWater>[0],
): Result<ReturnType<typeof mixes.saltsForWater>, OutOfRange> {
  return targetFault(input.target) ?? success(mixes.saltsForWater(input));
}

/** {@link mixes.blendWaters}, its waters and its target checked. */
export function blendWaters(
  input: Parameters<typeof mixes.blendWaters>[0],
): Result<mixes.WaterBlend, OutOfRange> {
  return (
    targetFault(input.first) ??
    targetFault(input.second) ??
    targetFault(input.target) ??
    success(mixes.blendWaters(input))
  );
}

function targetFault(water: mixes.WaterTarget): OutOfRange | null {
  return firstOutOfRange(water, { hardnessMgPerL: AS_CACO3, alkalinityMgPerL: AS_CACO3 });
}
