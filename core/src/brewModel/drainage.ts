import type { Fill } from './hardware.js';
import { densityKgM3, viscosityPaS } from './properties.js';
import type { BrewSetup } from './setup.js';
import type { WaterState } from './state.js';

/** The bed as the flow through it meets it. */
export interface DrainingBed {
  voids: number;
  bedM3: number;
  gasShare: number;
  /** To which height bed and water fill the brewer. */
  bed: Fill;
  water: Fill;
  /** Share of the pores' water that can move, 0 to 1. */
  mobile: number;
}

/** What leaves, kg/s. */
export interface Drainage {
  bedFlow: number;
  wallFlow: number;
}

/**
 * Water through the bed and along the wall beside it, into `into`: Darcy through bed and paper in series, the wall
 * above the bed beside them, and the outlet behind both: (4) to (9) of docs/MODEL.md.
 *
 * Sources: Kozeny-Carman, Darcy and the sharp orifice (textbook, mem.); shapes of clogging and gas assumed.
 */
export function drain(state: WaterState, setup: BrewSetup, draining: DrainingBed, into: Drainage): void {
  const { model } = setup;
  const { bed, water } = draining;
  const density = densityKgM3(state.slurryC);
  const viscosity = viscosityPaS(state.slurryC);
  const headM = water.heightM - bed.heightM;
  const bedWallM2 = wallM2(setup, setup.input.brewer.bottomRadiusM, bed.radiusM, bed.heightM);
  const openWallM2 = wallM2(setup, bed.radiusM, water.radiusM, headM);
  const drainM2 = drainedM2(setup, bedWallM2);
  const clogPerM = clogResistancePerM(state, setup, drainM2);

  const bedConductance = bedConductanceOf(setup, draining, { viscosity, drainM2, clogPerM });
  const wallConductance = wallConductanceOf(setup, { viscosity, openWallM2, clogPerM });
  const weight = density * model.gravityMPerS2;
  const freeBed =
    bedConductance * weight * (headM + bed.heightM - drainHeightM(setup, bed, bedWallM2, drainM2));
  const freeWall = (wallConductance * weight * headM) / 2;
  const throttle = throttleOf(setup, density, bedConductance + wallConductance, freeBed + freeWall) * density;
  into.bedFlow = freeBed * throttle;
  into.wallFlow = freeWall * throttle;
}

/** Wall between two heights of the brewer, by the radii there, m2. */
function wallM2({ brewer }: BrewSetup, lowerM: number, upperM: number, heightM: number): number {
  return Math.PI * (lowerM + upperM) * heightM * brewer.slant;
}

/** Paper that the bed drains through: bottom, and the share of the wall that ribs hold off, m2. */
function drainedM2({ input, brewer }: BrewSetup, bedWallM2: number): number {
  return brewer.bottomM2 * input.brewer.bottomShare + input.brewer.drainShare * bedWallM2;
}

/** Mean height at which the bed drains, above the outlet, m. */
function drainHeightM({ input }: BrewSetup, bed: Fill, bedWallM2: number, drainM2: number): number {
  const { bottomRadiusM, drainShare } = input.brewer;
  return (
    (drainShare * bedWallM2 * bed.heightM * (bottomRadiusM + 2 * bed.radiusM)) /
    (3 * (bottomRadiusM + bed.radiusM)) /
    drainM2
  );
}

/** The cake of fines that the flow carried onto the paper, 1/m: (6) of docs/MODEL.md. */
function clogResistancePerM(
  { finesOnPaperKg }: WaterState,
  { input, model }: BrewSetup,
  drainM2: number,
): number {
  return input.paperPerM * ((1 + finesOnPaperKg / (drainM2 * model.clogLoadKgPerM2)) ** 2 - 1);
}

/** Through bed and paper in series, m3/(s Pa): (4) and (5) of docs/MODEL.md. */
function bedConductanceOf(
  { input, model, particles }: BrewSetup,
  { voids, bedM3, gasShare, bed, mobile }: DrainingBed,
  { viscosity, drainM2, clogPerM }: { viscosity: number; drainM2: number; clogPerM: number },
): number {
  const permeabilityM2 =
    (model.permeabilityFactor * input.lot.permeability * particles.d32M ** 2 * cube(voids)) /
    (model.kozenyCarman * (1 - voids) ** 2);
  // Area over length of a bed that narrows: its mean area squared over its volume.
  const shapeM = ((Math.PI * bed.radiusM ** 2 + drainM2) / 2) ** 2 / bedM3;
  const bedResistance = 1 / (permeabilityM2 * cube(1 - gasShare) * shapeM);
  return cube(mobile) / (viscosity * (bedResistance + (input.paperPerM + clogPerM) / drainM2));
}

/** Through the paper of the open wall above the bed, m3/(s Pa): (7) of docs/MODEL.md. */
function wallConductanceOf(
  { input }: BrewSetup,
  { viscosity, openWallM2, clogPerM }: { viscosity: number; openWallM2: number; clogPerM: number },
): number {
  return (input.brewer.openShare * openWallM2) / (viscosity * (input.paperPerM + 0.5 * clogPerM));
}

/** Share of the free flow that the outlet lets through, 0 to 1: (9) of docs/MODEL.md. */
function throttleOf(
  { input, model }: BrewSetup,
  density: number,
  conductance: number,
  freeM3PerS: number,
): number {
  const orifice =
    (density * conductance) / (2 * model.dischargeCoefficient ** 2 * input.brewer.outletAreaM2 ** 2);
  return 2 / (1 + Math.sqrt(1 + 4 * orifice * freeM3PerS));
}

/** Written out: a power is a call that costs ten times this. */
function cube(value: number): number {
  return value * value * value;
}
