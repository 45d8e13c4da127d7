import { bedVolumeM3, gasShareOf, voidsOf } from './bed.js';
import { evaporationKgPerS } from './evaporation.js';
import { fillOf } from './hardware.js';
import { densityKgM3, viscosityPaS } from './properties.js';
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

/**
 * Flows for a state: the bed as it stands, what drains through and beside it, what the grains take up, and what
 * moves with that. Each step names its equation of docs/MODEL.md.
 *
 * What drains is worked out here and not in a function of its own: handed over, its figures are boxed, which made a
 * brew a tenth slower in a browser (measured).
 *
 * @param into - filled and returned, so that a brew of a thousand steps does not make a thousand of these
 *
 * Sources: Kozeny-Carman, Darcy and the sharp orifice (textbook, mem.); shapes of clogging and gas assumed.
 */
export function flowsOf(state: WaterState, setup: BrewSetup, into: Flows): Flows {
  const { input, model, particles } = setup;
  const { brewer, lot, paperPerM } = input;
  const { bottomM2, slant } = setup.brewer;
  const density = densityKgM3(state.slurryC);
  const filling = state.grainsKg / setup.grainsFullKg;

  const voids = voidsOf(state, setup);
  const bedM3 = bedVolumeM3(setup, voids, filling);
  const gasShare = gasShareOf(state, setup, voids * bedM3, filling);
  // Gas in the pores lifts the bed: the rise of a bloom.
  const risenM3 = bedM3 * (1 + model.gasLifts * gasShare * voids);
  const bed = fillOf(brewer, risenM3);
  const water = fillOf(brewer, risenM3 + state.aboveKg / density);

  const capacityKg = voids * bedM3 * density;
  const saturation = state.poresKg / capacityKg;
  const mobile = clamp01((saturation - setup.residualSaturation) / (1 - setup.residualSaturation));
  // The bed drains through the bottom and the share of the wall that ribs hold off, at a mean height of its own.
  const viscosity = viscosityPaS(state.slurryC);
  const headM = water.heightM - bed.heightM;
  const bedWallM2 = Math.PI * (brewer.bottomRadiusM + bed.radiusM) * bed.heightM * slant;
  const openWallM2 = Math.PI * (bed.radiusM + water.radiusM) * headM * slant;
  const drainM2 = bottomM2 * brewer.bottomShare + brewer.drainShare * bedWallM2;
  const drainHeightM =
    (brewer.drainShare * bedWallM2 * bed.heightM * (brewer.bottomRadiusM + 2 * bed.radiusM)) /
    (3 * (brewer.bottomRadiusM + bed.radiusM)) /
    drainM2;
  // (4), (5): the bed. Area over length of one that narrows: its mean area squared over its volume.
  const shapeM = ((Math.PI * bed.radiusM ** 2 + drainM2) / 2) ** 2 / bedM3;
  const permeabilityM2 =
    (model.permeabilityFactor * lot.permeability * particles.d32M ** 2 * cube(voids)) /
    (model.kozenyCarman * (1 - voids) ** 2);
  const bedResistance = 1 / (permeabilityM2 * cube(1 - gasShare) * shapeM);
  // (6): the cake of fines that the flow carried onto the paper.
  const clogPerM = paperPerM * ((1 + state.finesOnPaperKg / (drainM2 * model.clogLoadKgPerM2)) ** 2 - 1);
  const bedConductance = cube(mobile) / (viscosity * (bedResistance + (paperPerM + clogPerM) / drainM2));
  // (7): the paper of the open wall above it.
  const wallConductance = (brewer.openShare * openWallM2) / (viscosity * (paperPerM + 0.5 * clogPerM));
  // (8): both under their head, where nothing holds them up.
  const weight = density * model.gravityMPerS2;
  const freeBed = bedConductance * weight * (headM + bed.heightM - drainHeightM);
  const freeWall = (wallConductance * weight * headM) / 2;
  // (9): what the outlet lets through of it.
  const orifice =
    (density * (bedConductance + wallConductance)) /
    (2 * model.dischargeCoefficient ** 2 * brewer.outletAreaM2 ** 2);
  const throttle = (2 / (1 + Math.sqrt(1 + 4 * orifice * (freeBed + freeWall)))) * density;
  const bedFlow = freeBed * throttle;
  const wallFlow = freeWall * throttle;

  const perLayer = 1 / (state.aboveKg + THIN_LAYER_KG);
  const coverage = state.aboveKg * perLayer;
  const throughBed = bedFlow * (1 - setup.channels * coverage);
  const absorption = absorptionKgPerS(state, setup, gasShare, saturation);
  const surfaceM2 = Math.PI * water.radiusM ** 2;
  const evaporation = evaporationKgPerS(state.slurryC, setup, surfaceM2) * coverage;
  into.levelM = water.heightM;
  into.bedM = bed.heightM;
  into.surfaceM2 = surfaceM2;
  into.wettedWallM2 = Math.PI * (brewer.bottomRadiusM + water.radiusM) * water.heightM * setup.brewer.slant;
  into.coverage = coverage;
  into.throughBed = throughBed;
  into.intoBedPerS = (throughBed + absorption + Math.max(0, capacityKg - state.poresKg)) * perLayer;
  into.pastBedPerS = wallFlow / (state.aboveKg + NO_WATER_KG) + setup.channels * bedFlow * perLayer;
  into.evaporationPerS = evaporation / (state.aboveKg + NO_WATER_KG);
  into.evaporation = evaporation;
  into.absorption = absorption;
  into.finesToPaper = finesToPaperKgPerS(state, setup, bedFlow / capacityKg);
  into.exchange = exchangeKgPerS(state, setup);
  into.filling = filling;
  return into;
}

/** Water that the grains take up: (10) of docs/MODEL.md. */
function absorptionKgPerS(
  { grainsKg, agitation }: WaterState,
  { grainsFullKg, model }: BrewSetup,
  gasShare: number,
  saturation: number,
): number {
  return (
    ((grainsFullKg - grainsKg) / (model.wettingS * (1 + model.wettingGasFactor * gasShare))) *
    (1 + agitation) *
    Math.min(1, saturation)
  );
}

/** Fines that the flow carries out of the bed: (11) of docs/MODEL.md. */
function finesToPaperKgPerS(
  { finesOnPaperKg, agitation }: WaterState,
  { particles, doseKg, model, input }: BrewSetup,
  changesOfWaterPerS: number,
): number {
  return (
    (particles.finesShare * doseKg - finesOnPaperKg) *
    model.finesMigration *
    input.lot.clogging *
    changesOfWaterPerS *
    (1 + model.finesAgitationGain * agitation)
  );
}

/** Between the water above and one cell of the bed, which stirring alone does: (13) of docs/MODEL.md. */
function exchangeKgPerS({ agitation, aboveKg, poresKg }: WaterState, { model }: BrewSetup): number {
  return (model.exchangePerS * agitation * aboveKg * poresKg) / (aboveKg + poresKg + 1e-6) / model.cells;
}

/** Written out: a power is a call that costs ten times this. */
function cube(value: number): number {
  return value * value * value;
}

function clamp01(value: number): number {
  return Math.min(1, Math.max(0, value));
}
