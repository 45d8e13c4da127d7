import { boilingPointC } from '../water/boilingPoint.js';
import { airPressurePa } from '../water/standardAtmosphere.js';
import { BREW_MODEL, type BrewConstants } from './constants.js';
import { figuresOf, type BrewerFigures } from './hardware.js';
import { inflowsOf, type Inflow } from './inflow.js';
import { particlesOf, type Particles } from './particles.js';
import { restingRates } from './release.js';
import type { BrewModelInput } from './types.js';

/** What holds through a whole brew. */
export interface BrewSetup {
  input: BrewModelInput;
  model: BrewConstants;
  particles: Particles;
  /** Of each class, per pool. */
  restingRatesPerS: readonly Float64Array[];
  inflows: readonly Inflow[];
  boilingC: number;
  doseKg: number;
  airPa: number;
  /** Water the grains hold when full, kg. */
  grainsFullKg: number;
  residualSaturation: number;
  /** Share of the bed that water channels past. */
  channels: number;
  brewer: BrewerFigures;
}

/**
 * @param model - other constants, for a synthetic truth
 * @param particlesFrom - another law of release, for the same
 */
export function setupOf(
  input: BrewModelInput,
  model: BrewConstants = BREW_MODEL,
  particlesFrom: typeof particlesOf = particlesOf,
): BrewSetup {
  const doseKg = input.doseG / 1000;
  const particles = particlesFrom(input.grind, model);
  return {
    input,
    model,
    particles,
    restingRatesPerS: restingRates(particles, input.lot.rate, model),
    inflows: inflowsOf(input),
    boilingC: boilingPointC({ elevationM: input.elevationM }),
    doseKg,
    airPa: airPressurePa({ elevationM: input.elevationM }),
    grainsFullKg:
      input.lot.retained *
      doseKg *
      (model.envelopeM3PerKg * (1 + model.swelling) - 1 / model.solidKgPerM3) *
      model.heldWaterKgPerM3,
    residualSaturation: Math.min(model.residualSaturationMax, model.residualSaturation * input.lot.retained),
    brewer: figuresOf(input.brewer),
    channels: model.channelMax / (1 + Math.pow(particles.d32M / model.channelSizeM, 4)),
  };
}

/** Temperature at which a pour meets the bed: no kettle holds more than boiling, and the stream loses some. */
export function inflowTemperatureC(
  { kettleC }: Pick<Inflow, 'kettleC'>,
  { boilingC, model }: BrewSetup,
): number {
  return Math.min(kettleC, boilingC) - model.streamLossK;
}
