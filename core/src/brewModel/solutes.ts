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
// Scratch of the sweep through the cells, reused since steps never run side by side.
const MOST_CELLS = 16;
const rates = new Float64Array(POOLS);
const ownPart = new Float64Array(MOST_CELLS);
const abovePart = new Float64Array(MOST_CELLS);
const sources = new Float64Array(MOST_CELLS);
/** From a class's pools in one cell to those in the next. */
const PER_CELL = CLASSES * POOLS;

/**
 * Solutes of every class through one step: release from the grains, down the cells with the water, exchange
 * with the water above. The concentration of each cell is linear in the one above the bed, so a single
 * sweep down and one equation give them all; moving the same amounts out and in keeps the balance exact.
 *
 * This is where a brew spends its time, so the five pools are written out: as loops they take four times as
 * long (measured), which is half of the whole brew.
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
  const { grainSolute, grainSoluteAtStart, poreSolute, aboveSolute, cupSolute, aboveKg } = state;
  const unreached = unreachedShare(setup, state);
  // Water inside the grains of one cell, shared among the pools as the middle class is.
  const midShares = setup.particles.poolShares[1] ?? [];
  const grainsPerCellKg = state.grainsKg / cells;
  const holding0 = grainsPerCellKg * (midShares[0] ?? 0);
  const holding1 = grainsPerCellKg * (midShares[1] ?? 0);
  const holding2 = grainsPerCellKg * (midShares[2] ?? 0);
  const holding3 = grainsPerCellKg * (midShares[3] ?? 0);
  const holding4 = grainsPerCellKg * (midShares[4] ?? 0);
  const cellKg = state.poresKg / cells;
  const exchange = stepS * flows.exchange;
  // Water passes each face of the cells evenly changed from what enters the bed to what leaves it.
  const entering = stepS * moved.fromAbove;
  const perCell = (stepS * (moved.throughBed - moved.fromAbove)) / cells;
  const past = stepS * moved.pastBed;
  const leaving = entering + past;

  for (let kind = 0; kind < CLASSES; kind++) {
    classRates(rates, setup, { kind, slurryC, agitation, filling: flows.filling });
    // Share of each pool that could leave it during the step.
    const reach0 = reached((rates[0] ?? 0) * stepS);
    const reach1 = reached((rates[1] ?? 0) * stepS);
    const reach2 = reached((rates[2] ?? 0) * stepS);
    const reach3 = reached((rates[3] ?? 0) * stepS);
    const reach4 = reached((rates[4] ?? 0) * stepS);
    const held =
      reach0 * holding0 + reach1 * holding1 + reach2 * holding2 + reach3 * holding3 + reach4 * holding4;
    // What the water does not reach stays. Every cell held the same at the start.
    const atStart = poolIndex(0, kind, 0);
    const bound0 = unreached * (grainSoluteAtStart[atStart] ?? 0);
    const bound1 = unreached * (grainSoluteAtStart[atStart + 1] ?? 0);
    const bound2 = unreached * (grainSoluteAtStart[atStart + 2] ?? 0);
    const bound3 = unreached * (grainSoluteAtStart[atStart + 3] ?? 0);
    const bound4 = unreached * (grainSoluteAtStart[atStart + 4] ?? 0);

    // A pool keeps its share of what it had, and takes its share of what is bound and of the water around it.
    const kept0 = 1 - reach0;
    const kept1 = 1 - reach1;
    const kept2 = 1 - reach2;
    const kept3 = 1 - reach3;
    const kept4 = 1 - reach4;
    const stays0 = reach0 * bound0;
    const stays1 = reach1 * bound1;
    const stays2 = reach2 * bound2;
    const stays3 = reach3 * bound3;
    const stays4 = reach4 * bound4;
    const stays = stays0 + stays1 + stays2 + stays3 + stays4;
    const taken0 = reach0 * holding0;
    const taken1 = reach1 * holding1;
    const taken2 = reach2 * holding2;
    const taken3 = reach3 * holding3;
    const taken4 = reach4 * holding4;

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
        stays;
      const inflow = entering + perCell * cell;
      const perKg = 1 / (cellKg + inflow + perCell + exchange + held);
      own = ((poreSolute[kind * cells + cell] ?? 0) + source + inflow * own) * perKg;
      above = (inflow * above + exchange) * perKg;
      ownPart[cell] = own;
      abovePart[cell] = above;
      sources[cell] = source;
      ownSum += own;
      aboveSum += above;
      at += PER_CELL;
    }
    const aboveConcentration =
      ((aboveSolute[kind] ?? 0) + exchange * ownSum) /
      (aboveKg + leaving + exchange * (cells - aboveSum) + 1e-12);

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
      const fromAbove = exchange * (aboveConcentration - concentration);
      const slot = kind * cells + cell;
      const inflow = entering + perCell * cell;
      poreSolute[slot] =
        (poreSolute[slot] ?? 0) +
        inflow * upstream -
        (inflow + perCell) * concentration +
        fromAbove +
        released;
      exchanged += fromAbove;
      upstream = concentration;
      at += PER_CELL;
    }
    aboveSolute[kind] = (aboveSolute[kind] ?? 0) - leaving * aboveConcentration - exchanged;
    cupSolute[kind] =
      (cupSolute[kind] ?? 0) + (entering + perCell * cells) * upstream + past * aboveConcentration;
  }
}

/** Backward Euler: the share of a store that leaves it in a step at this rate times the step. */
function reached(rateTimesStep: number): number {
  return rateTimesStep * leftOfAdded(rateTimesStep);
}
