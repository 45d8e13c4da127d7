import { boilingPointC } from '../water/boilingPoint.js';
import { airPressurePa } from '../water/standardAtmosphere.js';
import { BREW_MODEL, type BrewConstants } from './constants.js';
import { figuresOf, type BrewerFigures } from './hardware.js';
import { inflowsOf, unevenShare, type Inflow } from './inflow.js';
import { DEFAULT_SPREAD, particlesOf, type Particles } from './particles.js';
import { restingRates } from './release.js';
import type { BrewModelInput, LotFactors } from './types.js';

/** The tightest packing of round grains of many sizes (textbook, mem.). */
const LEAST_VOIDS = 0.2;

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
  /** Share of it that the pours do not reach. */
  uneven: number;
  /** Voids of the swollen bed of this grind. */
  voidsSwollen: number;
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
  return setupFor(input, model, particlesFrom)(input.lot);
}

/** The same for one brew and many lots: what no property of a lot touches is worked out once. */
export function setupFor(
  brew: Omit<BrewModelInput, 'lot'>,
  model: BrewConstants = BREW_MODEL,
  particlesFrom: typeof particlesOf = particlesOf,
): (lot: LotFactors) => BrewSetup {
  const doseKg = brew.doseG / 1000;
  const particles = particlesFrom(brew.grind, model);
  const ofBrew = {
    model,
    particles,
    inflows: inflowsOf(brew, model),
    boilingC: boilingPointC({ elevationM: brew.elevationM }),
    doseKg,
    airPa: airPressurePa({ elevationM: brew.elevationM }),
    uneven: unevenShare(brew, model),
    voidsSwollen: Math.max(
      LEAST_VOIDS,
      model.voidsSwollen - model.voidsPerSpread * (particles.spreadLn - Math.log(DEFAULT_SPREAD)),
    ),
    brewer: figuresOf(brew.brewer),
    channels: model.channelMax / (1 + Math.pow(particles.d32M / model.channelSizeM, 4)),
  };
  return (lot) => ({
    ...ofBrew,
    input: { ...brew, lot },
    restingRatesPerS: restingRates(particles, lot.rate, model),
    grainsFullKg:
      lot.retained *
      doseKg *
      (model.envelopeM3PerKg * (1 + model.swelling) - 1 / model.solidKgPerM3) *
      model.heldWaterKgPerM3,
    residualSaturation: Math.min(
      model.residualSaturationMax,
      model.residualSaturation *
        lot.retained *
        Math.pow(model.retentionSizeM / particles.d32M, model.retentionPower),
    ),
  });
}

/** Temperature at which a pour meets the bed: no kettle holds more than boiling, and the stream loses some. */
export function inflowTemperatureC(
  { kettleC }: Pick<Inflow, 'kettleC'>,
  { boilingC, model }: BrewSetup,
): number {
  return Math.min(kettleC, boilingC) - model.streamLossK;
}
