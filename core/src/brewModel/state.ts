import type { BrewSetup } from './setup.js';

/** Classes of solubles: early, mid, late. */
export const CLASSES = 3;
/** Release pools per class: the fast one and four that diffuse. */
export const POOLS = 5;

/** Water, heat and all that moves with them, SI units. */
export interface WaterState {
  /** Water above the bed, in its pores and inside its grains, kg. */
  aboveKg: number;
  poresKg: number;
  grainsKg: number;
  finesOnPaperKg: number;
  /** Gas in opened cells and in the cores of the grains, kg. */
  gasKg: number;
  coreGasKg: number;
  agitation: number;
  slurryC: number;
  brewerC: number;
  cupWaterKg: number;
  evaporatedKg: number;
  /** 0 dry to 1 swollen. */
  swelling: number;
  clumped: number;
}

/** Everything that changes during a brew, SI units. Changed in place by the stepper, which alone may do so. */
export interface BrewState extends WaterState {
  atS: number;
  /** Solutes, kg: above the bed per class; in the pores per class and cell; in the cup per class. */
  aboveSolute: Float64Array;
  poreSolute: Float64Array;
  cupSolute: Float64Array;
  /** Solutes still in the grains, kg, and what was there at the start: per cell, class and pool. */
  grainSolute: Float64Array;
  grainSoluteAtStart: Float64Array;
}

/** The state before the first drop. */
export function initialState({ input, model, particles, doseKg }: BrewSetup): BrewState {
  const { lot, brewer, ambientC } = input;
  const { cells } = model;
  const grainSoluteAtStart = new Float64Array(cells * CLASSES * POOLS);
  for (let cell = 0; cell < cells; cell++) {
    for (let kind = 0; kind < CLASSES; kind++) {
      for (let pool = 0; pool < POOLS; pool++) {
        grainSoluteAtStart[poolIndex(cell, kind, pool)] =
          (doseKg *
            model.solubleShare *
            lot.solubility *
            (model.classShares[kind] ?? 0) *
            (particles.poolShares[kind]?.[pool] ?? 0)) /
          cells;
      }
    }
  }
  const state = stateWith(CLASSES * cells, grainSoluteAtStart);
  const gasKg =
    doseKg *
    1e-3 *
    lot.co2MgPerG *
    Math.exp(-lot.ageDays / model.gasAgeingDays) *
    (1 - model.gasLossByGrinding);
  state.gasKg = gasKg * (1 - model.coreGasShare);
  state.coreGasKg = gasKg * model.coreGasShare;
  state.slurryC = ambientC;
  state.brewerC = brewer.preheatC;
  state.clumped = model.clumpedAtStart;
  return state;
}

/** Every state is made here, with its fields in one order: the engine reads such objects faster than it does two kinds. */
export function stateWith(poreSlots: number, grainSoluteAtStart: Float64Array): BrewState {
  return {
    atS: 0,
    aboveKg: 0,
    poresKg: 0,
    grainsKg: 0,
    finesOnPaperKg: 0,
    gasKg: 0,
    coreGasKg: 0,
    agitation: 0,
    slurryC: 0,
    brewerC: 0,
    cupWaterKg: 0,
    evaporatedKg: 0,
    swelling: 0,
    clumped: 0,
    aboveSolute: new Float64Array(CLASSES),
    poreSolute: new Float64Array(poreSlots),
    cupSolute: new Float64Array(CLASSES),
    grainSolute: grainSoluteAtStart.slice(),
    grainSoluteAtStart,
  };
}

/** Written out: a copy by its keys takes longer than the step it serves. */
export function copyWater(from: WaterState, to: WaterState): void {
  to.aboveKg = from.aboveKg;
  to.poresKg = from.poresKg;
  to.grainsKg = from.grainsKg;
  to.finesOnPaperKg = from.finesOnPaperKg;
  to.gasKg = from.gasKg;
  to.coreGasKg = from.coreGasKg;
  to.agitation = from.agitation;
  to.slurryC = from.slurryC;
  to.brewerC = from.brewerC;
  to.cupWaterKg = from.cupWaterKg;
  to.evaporatedKg = from.evaporatedKg;
  to.swelling = from.swelling;
  to.clumped = from.clumped;
}

export function poolIndex(cell: number, kind: number, pool: number): number {
  return (cell * CLASSES + kind) * POOLS + pool;
}

export function sum(values: Float64Array): number {
  let total = 0;
  for (let index = 0; index < values.length; index++) total += values[index] ?? 0;
  return total;
}
