import { leftOfAdded } from './decay.js';
import type { Flows } from './flows.js';
import { classRates, unreachedShare } from './release.js';
import type { BrewSetup } from './setup.js';
import { CLASSES, poolIndex, POOLS, type BrewState } from './state.js';

/** Water moved during a step, kg/s, after it was kept from overdrawing any store. */
export interface MovedWater {
  fromAbove: number;
  absorbed: number;
  throughBed: number;
  pastBed: number;
}

/** Less water than this in the bed is none, kg: no drop is so small, and no figure can be divided by it. */
const DRY_KG = 1e-12;
/** From a class's pools in one cell to those in the next. */
const PER_CELL = CLASSES * POOLS;
const MOST_CELLS = 16;

// Scratch of the sweep through the cells, reused since steps never run side by side.
const rates = new Float64Array(POOLS);
/** Of each pool: its share of the water inside the grains of one cell, kg. */
const holding = new Float64Array(POOLS);
/** Of each cell: its concentration as `ownPart + abovePart x` that above the bed, and what its grains could release, kg. */
const ownPart = new Float64Array(MOST_CELLS);
const abovePart = new Float64Array(MOST_CELLS);
const sources = new Float64Array(MOST_CELLS);
/** Water through the cells of the bed during a step, kg. */
const passage = {
  cells: 0,
  cellKg: 0,
  /** Into the first cell, and what each cell adds to it: evenly from what enters the bed to what leaves it. */
  enteringKg: 0,
  perCellKg: 0,
  pastKg: 0,
  /** Between the water above and each cell. */
  exchangeKg: 0,
};

/**
 * Solutes of every class through one step: release from the grains, down the cells with the water, exchange
 * with the water above. The concentration of each cell is linear in the one above the bed, so a single
 * sweep down and one equation give them all; moving the same amounts out and in keeps the balance exact.
 */
export function moveSolutes(
  state: BrewState,
  setup: BrewSetup,
  {
    stepS,
    flows,
    moved,
    slurryC,
    agitation,
  }: { stepS: number; flows: Flows; moved: MovedWater; slurryC: number; agitation: number },
): void {
  // A bed that is still dry has nothing to move, and no water to share it out in.
  if (state.poresKg < DRY_KG && stepS * moved.fromAbove < DRY_KG) return;
  const { cells } = setup.model;
  passage.cells = cells;
  passage.cellKg = state.poresKg / cells;
  passage.enteringKg = stepS * moved.fromAbove;
  passage.perCellKg = (stepS * (moved.throughBed - moved.fromAbove)) / cells;
  passage.pastKg = stepS * moved.pastBed;
  passage.exchangeKg = stepS * flows.exchange;
  const unreached = unreachedShare(setup, state);
  // Water inside the grains of one cell, shared among the pools as the middle class is.
  const midShares = setup.particles.poolShares[1] ?? [];
  for (let pool = 0; pool < POOLS; pool++) holding[pool] = (state.grainsKg / cells) * (midShares[pool] ?? 0);

  for (let kind = 0; kind < CLASSES; kind++) {
    classRates(rates, setup, { kind, slurryC, agitation, filling: flows.filling });
    moveClass(state, kind, stepS, unreached);
  }
}

/**
 * One class of solutes: (14) to (17) of docs/MODEL.md.
 *
 * This is where a brew spends its time, so the five pools are written out: as loops they take four times as
 * long, which is half of the whole brew; and the four steps are one function: as four, which hand the pools on in lists,
 * they made a brew an eighth slower in a browser (both measured).
 */
function moveClass(state: BrewState, kind: number, stepS: number, unreached: number): void {
  const { grainSolute, grainSoluteAtStart, poreSolute, aboveSolute, cupSolute, aboveKg } = state;
  const { cells, cellKg, enteringKg, perCellKg, pastKg, exchangeKg } = passage;

  // (14): the share of each pool that could leave it during the step,
  const reach0 = reached((rates[0] ?? 0) * stepS);
  const reach1 = reached((rates[1] ?? 0) * stepS);
  const reach2 = reached((rates[2] ?? 0) * stepS);
  const reach3 = reached((rates[3] ?? 0) * stepS);
  const reach4 = reached((rates[4] ?? 0) * stepS);
  // what of it the water does not reach, where every cell held the same at the start,
  const atStart = poolIndex(0, kind, 0);
  const stays0 = reach0 * (unreached * (grainSoluteAtStart[atStart] ?? 0));
  const stays1 = reach1 * (unreached * (grainSoluteAtStart[atStart + 1] ?? 0));
  const stays2 = reach2 * (unreached * (grainSoluteAtStart[atStart + 2] ?? 0));
  const stays3 = reach3 * (unreached * (grainSoluteAtStart[atStart + 3] ?? 0));
  const stays4 = reach4 * (unreached * (grainSoluteAtStart[atStart + 4] ?? 0));
  const staying = stays0 + stays1 + stays2 + stays3 + stays4;
  // and the water in the grains that the step reaches, kg.
  const taken0 = reach0 * (holding[0] ?? 0);
  const taken1 = reach1 * (holding[1] ?? 0);
  const taken2 = reach2 * (holding[2] ?? 0);
  const taken3 = reach3 * (holding[3] ?? 0);
  const taken4 = reach4 * (holding[4] ?? 0);
  const held = taken0 + taken1 + taken2 + taken3 + taken4;

  // (15): down the cells once, each as it hangs on the one above it.
  let own = 0;
  let above = 1;
  let ownSum = 0;
  let aboveSum = 0;
  let at = poolIndex(0, kind, 0);
  for (let cell = 0; cell < cells; cell++) {
    const source =
      reach0 * (grainSolute[at] ?? 0) +
      reach1 * (grainSolute[at + 1] ?? 0) +
      reach2 * (grainSolute[at + 2] ?? 0) +
      reach3 * (grainSolute[at + 3] ?? 0) +
      reach4 * (grainSolute[at + 4] ?? 0) -
      staying;
    const inflow = enteringKg + perCellKg * cell;
    const perKg = 1 / (cellKg + inflow + perCellKg + exchangeKg + held);
    own = ((poreSolute[kind * cells + cell] ?? 0) + source + inflow * own) * perKg;
    above = (inflow * above + exchangeKg) * perKg;
    ownPart[cell] = own;
    abovePart[cell] = above;
    sources[cell] = source;
    ownSum += own;
    aboveSum += above;
    at += PER_CELL;
  }

  // (16): what is above the bed.
  const leavingKg = enteringKg + pastKg;
  const aboveConcentration =
    ((aboveSolute[kind] ?? 0) + exchangeKg * ownSum) /
    (aboveKg + leavingKg + exchangeKg * (cells - aboveSum) + 1e-12);

  // (17): the same amounts out of one store and into the next. A pool keeps its share of what it had, and takes its share
  // of what is bound and of the water around it.
  const kept0 = 1 - reach0;
  const kept1 = 1 - reach1;
  const kept2 = 1 - reach2;
  const kept3 = 1 - reach3;
  const kept4 = 1 - reach4;
  let upstream = aboveConcentration;
  let exchanged = 0;
  at = poolIndex(0, kind, 0);
  for (let cell = 0; cell < cells; cell++) {
    const concentration = (ownPart[cell] ?? 0) + (abovePart[cell] ?? 0) * aboveConcentration;
    grainSolute[at] = (grainSolute[at] ?? 0) * kept0 + stays0 + taken0 * concentration;
    grainSolute[at + 1] = (grainSolute[at + 1] ?? 0) * kept1 + stays1 + taken1 * concentration;
    grainSolute[at + 2] = (grainSolute[at + 2] ?? 0) * kept2 + stays2 + taken2 * concentration;
    grainSolute[at + 3] = (grainSolute[at + 3] ?? 0) * kept3 + stays3 + taken3 * concentration;
    grainSolute[at + 4] = (grainSolute[at + 4] ?? 0) * kept4 + stays4 + taken4 * concentration;
    const released = (sources[cell] ?? 0) - held * concentration;
    const fromAbove = exchangeKg * (aboveConcentration - concentration);
    const slot = kind * cells + cell;
    const inflow = enteringKg + perCellKg * cell;
    poreSolute[slot] =
      (poreSolute[slot] ?? 0) +
      inflow * upstream -
      (inflow + perCellKg) * concentration +
      fromAbove +
      released;
    exchanged += fromAbove;
    upstream = concentration;
    at += PER_CELL;
  }
  aboveSolute[kind] = (aboveSolute[kind] ?? 0) - leavingKg * aboveConcentration - exchanged;
  cupSolute[kind] =
    (cupSolute[kind] ?? 0) + (enteringKg + perCellKg * cells) * upstream + pastKg * aboveConcentration;
}

/** The share of a store that leaves it in a step at this rate times the step. */
function reached(rateTimesStep: number): number {
  return rateTimesStep * leftOfAdded(rateTimesStep);
}
