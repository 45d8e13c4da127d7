import type { BrewSetup } from './setup.js';
import type { WaterState } from './state.js';

/** Voids of the bed, 0 to 1, which swells from open to tight: (1) of docs/MODEL.md. */
export function voidsOf({ swelling }: WaterState, { voidsSwollen, model }: BrewSetup): number {
  return voidsSwollen + model.voidsExtraDry * (1 - swelling);
}

/**
 * Volume of the bed before gas lifts it, m3: (2) of docs/MODEL.md.
 *
 * @param filling - how full the grains are, 0 to 1
 */
export function bedVolumeM3({ doseKg, model }: BrewSetup, voids: number, filling: number): number {
  return (doseKg * model.envelopeM3PerKg * (1 + model.swelling * filling)) / (1 - voids);
}

/**
 * Share of the pores that gas takes, 0 to 1: bubbles of what the grains release while one lasts, as an ideal gas:
 * (3) of docs/MODEL.md.
 */
export function gasShareOf(
  state: WaterState,
  { model, airPa }: BrewSetup,
  poresM3: number,
  filling: number,
): number {
  const slurryK = state.slurryC + 273.15;
  const gasRatio =
    ((((model.gasReleasePerS * state.gasKg + model.coreGasPerS * state.coreGasKg) * filling) /
      model.carbonDioxideKgPerMol) *
      model.gasConstantJPerMolK *
      slurryK *
      model.bubbleS) /
    airPa /
    poresM3;
  return gasRatio / (1 + gasRatio / model.gasShareMax);
}
