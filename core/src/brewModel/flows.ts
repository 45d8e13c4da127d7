import { waterDensityKgM3 } from '../water/density.js';
import { airPressurePa } from '../water/standardAtmosphere.js';
import { waterViscosityPaS } from '../water/viscosity.js';
import { BREW_MODEL } from './constants.js';
import { fillOf } from './hardware.js';
import type { Particles } from './particles.js';
import type { BrewState } from './state.js';
import type { BrewModelInput } from './types.js';

/** What holds through a whole brew. */
export interface BrewSetup {
  input: BrewModelInput;
  particles: Particles;
  doseKg: number;
  airPa: number;
  /** Water the grains hold when full, kg. */
  grainsFullKg: number;
  residualSaturation: number;
  /** Share of the bed that water channels past. */
  channels: number;
  inflowC: number;
}

/** Flows and transfers at one moment, kg/s unless named otherwise. */
export interface Flows {
  levelM: number;
  surfaceM2: number;
  wettedWallM2: number;
  /** 0 nothing, 1 much water above the bed. */
  coverage: number;
  /** Through bed and paper. */
  throughBed: number;
  /** Of the water above: into the bed, past it, and into the air, each 1/s. */
  intoBedPerS: number;
  pastBedPerS: number;
  evaporationPerS: number;
  evaporation: number;
  absorption: number;
  finesToPaper: number;
  /** Between the water above and each cell. */
  exchange: number;
  /** How full the grains are, 0 to 1. */
  filling: number;
}

/** Keeps divisions by the water above the bed defined when there is none, kg. */
const NO_WATER_KG = 1e-9;
const THIN_LAYER_KG = 1e-3;
const WATER_KG_PER_MOL = 0.018_015;
/** Specific heat of air times its density, J/(m3 K), with the Lewis number of water vapour to the two thirds. */
const AIR_HEAT_J_PER_M3K = 1 * 1007 * 0.9;

export function setupOf(input: BrewModelInput, particles: Particles, inflowC: number): BrewSetup {
  const model = BREW_MODEL;
  const doseKg = input.doseG / 1000;
  return {
    input,
    particles,
    doseKg,
    airPa: airPressurePa({ elevationM: input.elevationM }),
    grainsFullKg:
      input.lot.retained *
      doseKg *
      (model.envelopeM3PerKg * (1 + model.swelling) - 1 / model.solidKgPerM3) *
      model.heldWaterKgPerM3,
    residualSaturation: Math.min(model.residualSaturationMax, model.residualSaturation * input.lot.retained),
    channels: model.channelMax / (1 + Math.pow(particles.d32M / model.channelSizeM, 4)),
    inflowC,
  };
}

/**
 * Flows for a state: Darcy through a swelling bed and a clogging paper, wall drainage, an orifice, gas in
 * the pores, wetting of the grains and evaporation.
 *
 * Sources: Kozeny-Carman and Darcy (textbook, mem.); shapes of clogging, channels and gas assumed.
 */
export function flowsOf(state: BrewState, setup: BrewSetup): Flows {
  const model = BREW_MODEL;
  const { input, particles, doseKg } = setup;
  const { brewer, lot, paperPerM } = input;
  const densityKgM3 = waterDensityKgM3({ temperatureC: state.slurryC });
  const viscosityPaS = waterViscosityPaS({ temperatureC: state.slurryC });
  const slurryK = state.slurryC + 273.15;
  const filling = state.grainsKg / setup.grainsFullKg;

  const voids = model.voidsSwollen + model.voidsExtraDry * (1 - state.swelling);
  const bedM3 = (doseKg * model.envelopeM3PerKg * (1 + model.swelling * filling)) / (1 - voids);
  const bed = fillOf(brewer, bedM3);
  const water = fillOf(brewer, bedM3 + state.aboveKg / densityKgM3);
  const headM = water.heightM - bed.heightM;
  const slant = Math.sqrt(1 + brewer.wallSlope ** 2);
  const bedWallM2 = Math.PI * (brewer.bottomRadiusM + bed.radiusM) * bed.heightM * slant;
  const openWallM2 = Math.PI * (bed.radiusM + water.radiusM) * headM * slant;
  const drainM2 = Math.PI * brewer.bottomRadiusM ** 2 + brewer.drainShare * bedWallM2;
  const drainHeightM =
    (brewer.drainShare * bedWallM2 * bed.heightM * (brewer.bottomRadiusM + 2 * bed.radiusM)) /
    (3 * (brewer.bottomRadiusM + bed.radiusM)) /
    drainM2;
  const shapeM = ((Math.PI * bed.radiusM ** 2 + drainM2) / 2) ** 2 / bedM3;

  const capacityKg = voids * bedM3 * densityKgM3;
  const saturation = state.poresKg / capacityKg;
  const mobile = clamp01((saturation - setup.residualSaturation) / (1 - setup.residualSaturation));
  const gasRatio =
    (((model.gasReleasePerS * state.gasKg * filling) / model.carbonDioxideKgPerMol) *
      model.gasConstantJPerMolK *
      slurryK *
      model.bubbleS) /
    setup.airPa /
    (voids * bedM3);
  const gasShare = gasRatio / (1 + gasRatio / model.gasShareMax);

  const permeabilityM2 =
    (model.permeabilityFactor * lot.permeability * particles.d32M ** 2 * voids ** 3) /
    (model.kozenyCarman * (1 - voids) ** 2);
  const clogPerM = paperPerM * ((1 + state.finesOnPaperKg / (drainM2 * model.clogLoadKgPerM2)) ** 2 - 1);
  const bedResistance = 1 / (permeabilityM2 * (1 - gasShare) ** 3 * shapeM);
  const bedConductance = mobile ** 3 / (viscosityPaS * (bedResistance + (paperPerM + clogPerM) / drainM2));
  const wallConductance = (brewer.openShare * openWallM2) / (viscosityPaS * (paperPerM + 0.5 * clogPerM));
  const weight = densityKgM3 * model.gravityMPerS2;
  const freeBed = bedConductance * weight * (headM + bed.heightM - drainHeightM);
  const freeWall = (wallConductance * weight * headM) / 2;
  const orifice =
    (densityKgM3 * (bedConductance + wallConductance)) /
    (2 * model.dischargeCoefficient ** 2 * brewer.outletAreaM2 ** 2);
  const throttle = (2 / (1 + Math.sqrt(1 + 4 * orifice * (freeBed + freeWall)))) * densityKgM3;
  const bedFlow = freeBed * throttle;
  const wallFlow = freeWall * throttle;

  const perLayer = 1 / (state.aboveKg + THIN_LAYER_KG);
  const coverage = state.aboveKg * perLayer;
  const throughBed = bedFlow * (1 - setup.channels * coverage);
  const absorption =
    ((setup.grainsFullKg - state.grainsKg) / (model.wettingS * (1 + model.wettingGasFactor * gasShare))) *
    (1 + state.agitation) *
    Math.min(1, saturation);
  const surfaceM2 = Math.PI * water.radiusM ** 2;
  const evaporation = evaporationKgPerS({ slurryK, airPa: setup.airPa, surfaceM2 }) * coverage;
  return {
    levelM: water.heightM,
    surfaceM2,
    wettedWallM2: Math.PI * (brewer.bottomRadiusM + water.radiusM) * water.heightM * slant,
    coverage,
    throughBed,
    intoBedPerS: (throughBed + absorption + Math.max(0, capacityKg - state.poresKg)) * perLayer,
    pastBedPerS: wallFlow / (state.aboveKg + NO_WATER_KG) + setup.channels * bedFlow * perLayer,
    evaporationPerS: evaporation / (state.aboveKg + NO_WATER_KG),
    evaporation,
    absorption,
    finesToPaper:
      (particles.finesShare * doseKg - state.finesOnPaperKg) *
      model.finesMigration *
      lot.clogging *
      (bedFlow / capacityKg) *
      (1 + model.finesAgitationGain * state.agitation),
    exchange:
      (model.exchangePerS * state.agitation * state.aboveKg * state.poresKg) /
      (state.aboveKg + state.poresKg + 1e-6) /
      model.cells,
    filling,
  };
}

/**
 * Evaporation from the surface by Stefan flow and the analogy of heat and mass, kg/s. The vapour pressure
 * is Antoine's, with which the constants of the model were calibrated (mem.); it is 0.2 % from the steam
 * tables, far below what the heat transfer to air is known to.
 */
function evaporationKgPerS({
  slurryK,
  airPa,
  surfaceM2,
}: {
  slurryK: number;
  airPa: number;
  surfaceM2: number;
}): number {
  const vapourPa = 133.322 * Math.pow(10, 8.071_31 - 1730.63 / (233.426 + slurryK - 273.15));
  const share = vapourPa / airPa;
  // Close to boiling the logarithm runs away; 4 is its value at a share of 0.98.
  const stefan = share > 0.98 ? 4 : -Math.log(1 - share) / share;
  const transferMPerS = BREW_MODEL.airWPerM2K / AIR_HEAT_J_PER_M3K;
  return (
    ((transferMPerS * stefan * vapourPa * WATER_KG_PER_MOL) / (BREW_MODEL.gasConstantJPerMolK * slurryK)) *
    surfaceM2
  );
}

function clamp01(value: number): number {
  return Math.min(1, Math.max(0, value));
}
