import { vapourPressurePa } from './properties.js';
import type { BrewSetup } from './setup.js';

const WATER_KG_PER_MOL = 0.018_015;
/** Specific heat of air times its density, J/(m3 K), with the Lewis number of water vapour to the two thirds. */
const AIR_HEAT_J_PER_M3K = 1 * 1007 * 0.9;

/**
 * Evaporation from the surface by Stefan flow and the analogy of heat and mass (textbook, mem.), kg/s: (12) of
 * docs/MODEL.md.
 */
export function evaporationKgPerS(slurryC: number, { airPa, model }: BrewSetup, surfaceM2: number): number {
  const vapourPa = vapourPressurePa(slurryC);
  const share = vapourPa / airPa;
  // Close to boiling the logarithm runs away; 4 is its value at a share of 0.98.
  const stefan = share > 0.98 ? 4 : -Math.log(1 - share) / share;
  const transferMPerS = model.airWPerM2K / AIR_HEAT_J_PER_M3K;
  return (
    ((transferMPerS * stefan * vapourPa * WATER_KG_PER_MOL) /
      (model.gasConstantJPerMolK * (slurryC + 273.15))) *
    surfaceM2
  );
}
