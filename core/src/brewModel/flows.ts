import { fillOf } from './hardware.js';
import { densityKgM3, vapourPressurePa, viscosityPaS } from './properties.js';
import type { BrewSetup } from './setup.js';
import type { WaterState } from './state.js';

/** Flows and transfers at one moment, kg/s unless named otherwise. */
export interface Flows {
  /** Of the water, and of the bed under it. */
  levelM: number;
  bedM: number;
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

export function noFlows(): Flows {
  return {
    levelM: 0,
    bedM: 0,
    surfaceM2: 0,
    wettedWallM2: 0,
    coverage: 0,
    throughBed: 0,
    intoBedPerS: 0,
    pastBedPerS: 0,
    evaporationPerS: 0,
    evaporation: 0,
    absorption: 0,
    finesToPaper: 0,
    exchange: 0,
    filling: 0,
  };
}

/** Keeps divisions by the water above the bed defined when there is none, kg. */
const NO_WATER_KG = 1e-9;
const THIN_LAYER_KG = 1e-3;
const WATER_KG_PER_MOL = 0.018_015;
/** Specific heat of air times its density, J/(m3 K), with the Lewis number of water vapour to the two thirds. */
const AIR_HEAT_J_PER_M3K = 1 * 1007 * 0.9;

/**
 * Flows for a state: Darcy through a swelling bed and a clogging paper, wall drainage, an orifice, gas in
 * the pores, wetting of the grains and evaporation.
 *
 * @param into - filled and returned, so that a brew of a thousand steps does not make a thousand of these
 *
 * Sources: Kozeny-Carman and Darcy (textbook, mem.); shapes of clogging, channels and gas assumed.
 */
export function flowsOf(state: WaterState, setup: BrewSetup, into: Flows): Flows {
  const { input, model, particles, doseKg } = setup;
  const { bottomM2, slant } = setup.brewer;
  const { brewer, lot, paperPerM } = input;
  const density = densityKgM3(state.slurryC);
  const viscosity = viscosityPaS(state.slurryC);
  const slurryK = state.slurryC + 273.15;
  const filling = state.grainsKg / setup.grainsFullKg;

  const voids = setup.voidsSwollen + model.voidsExtraDry * (1 - state.swelling);
  const bedM3 = (doseKg * model.envelopeM3PerKg * (1 + model.swelling * filling)) / (1 - voids);
  const gasRatio =
    ((((model.gasReleasePerS * state.gasKg + model.coreGasPerS * state.coreGasKg) * filling) /
      model.carbonDioxideKgPerMol) *
      model.gasConstantJPerMolK *
      slurryK *
      model.bubbleS) /
    setup.airPa /
    (voids * bedM3);
  const gasShare = gasRatio / (1 + gasRatio / model.gasShareMax);
  // Gas in the pores lifts the bed: the rise of a bloom.
  const risenM3 = bedM3 * (1 + model.gasLifts * gasShare * voids);
  const bed = fillOf(brewer, risenM3);
  const water = fillOf(brewer, risenM3 + state.aboveKg / density);
  const headM = water.heightM - bed.heightM;
  const bedWallM2 = Math.PI * (brewer.bottomRadiusM + bed.radiusM) * bed.heightM * slant;
  const openWallM2 = Math.PI * (bed.radiusM + water.radiusM) * headM * slant;
  const drainM2 = bottomM2 * brewer.bottomShare + brewer.drainShare * bedWallM2;
  const drainHeightM =
    (brewer.drainShare * bedWallM2 * bed.heightM * (brewer.bottomRadiusM + 2 * bed.radiusM)) /
    (3 * (brewer.bottomRadiusM + bed.radiusM)) /
    drainM2;
  const shapeM = ((Math.PI * bed.radiusM ** 2 + drainM2) / 2) ** 2 / bedM3;

  const capacityKg = voids * bedM3 * density;
  const saturation = state.poresKg / capacityKg;
  const mobile = clamp01((saturation - setup.residualSaturation) / (1 - setup.residualSaturation));

  const permeabilityM2 =
    (model.permeabilityFactor * lot.permeability * particles.d32M ** 2 * cube(voids)) /
    (model.kozenyCarman * (1 - voids) ** 2);
  const clogPerM = paperPerM * ((1 + state.finesOnPaperKg / (drainM2 * model.clogLoadKgPerM2)) ** 2 - 1);
  const bedResistance = 1 / (permeabilityM2 * cube(1 - gasShare) * shapeM);
  const bedConductance = cube(mobile) / (viscosity * (bedResistance + (paperPerM + clogPerM) / drainM2));
  const wallConductance = (brewer.openShare * openWallM2) / (viscosity * (paperPerM + 0.5 * clogPerM));
  const weight = density * model.gravityMPerS2;
  const freeBed = bedConductance * weight * (headM + bed.heightM - drainHeightM);
  const freeWall = (wallConductance * weight * headM) / 2;
  const orifice =
    (density * (bedConductance + wallConductance)) /
    (2 * model.dischargeCoefficient ** 2 * brewer.outletAreaM2 ** 2);
  const throttle = (2 / (1 + Math.sqrt(1 + 4 * orifice * (freeBed + freeWall)))) * density;
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
  const evaporation = evaporationKgPerS(state.slurryC, setup, surfaceM2) * coverage;
  into.levelM = water.heightM;
  into.bedM = bed.heightM;
  into.surfaceM2 = surfaceM2;
  into.wettedWallM2 = Math.PI * (brewer.bottomRadiusM + water.radiusM) * water.heightM * slant;
  into.coverage = coverage;
  into.throughBed = throughBed;
  into.intoBedPerS = (throughBed + absorption + Math.max(0, capacityKg - state.poresKg)) * perLayer;
  into.pastBedPerS = wallFlow / (state.aboveKg + NO_WATER_KG) + setup.channels * bedFlow * perLayer;
  into.evaporationPerS = evaporation / (state.aboveKg + NO_WATER_KG);
  into.evaporation = evaporation;
  into.absorption = absorption;
  into.finesToPaper =
    (particles.finesShare * doseKg - state.finesOnPaperKg) *
    model.finesMigration *
    lot.clogging *
    (bedFlow / capacityKg) *
    (1 + model.finesAgitationGain * state.agitation);
  into.exchange =
    (model.exchangePerS * state.agitation * state.aboveKg * state.poresKg) /
    (state.aboveKg + state.poresKg + 1e-6) /
    model.cells;
  into.filling = filling;
  return into;
}

/** Evaporation from the surface by Stefan flow and the analogy of heat and mass (textbook, mem.), kg/s. */
function evaporationKgPerS(slurryC: number, { airPa, model }: BrewSetup, surfaceM2: number): number {
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

/** Written out: a power is a call that costs ten times this. */
function cube(value: number): number {
  return value * value * value;
}

function clamp01(value: number): number {
  return Math.min(1, Math.max(0, value));
}
