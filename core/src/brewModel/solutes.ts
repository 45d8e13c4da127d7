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

// Scratch of the sweep through the cells, reused since steps never run side by side.
const MOST_CELLS = 16;
const rates = new Float64Array(POOLS);
const ownPart = new Float64Array(MOST_CELLS);
const abovePart = new Float64Array(MOST_CELLS);

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
  const leaving = stepS * (flows.intoBedPerS + flows.pastBedPerS);
  const past = stepS * moved.pastBed;

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

    let own = 0;
    let above = 1;
    let ownSum = 0;
    let aboveSum = 0;
    for (let cell = 0; cell < cells; cell++) {
      const at = poolIndex(cell, kind, 0);
      const source =
        reach0 * ((grainSolute[at] ?? 0) - bound0) +
        reach1 * ((grainSolute[at + 1] ?? 0) - bound1) +
        reach2 * ((grainSolute[at + 2] ?? 0) - bound2) +
        reach3 * ((grainSolute[at + 3] ?? 0) - bound3) +
        reach4 * ((grainSolute[at + 4] ?? 0) - bound4);
      const inflow = entering + perCell * cell;
      const perKg = 1 / (cellKg + inflow + perCell + exchange + held);
      own = ((poreSolute[kind * cells + cell] ?? 0) + source + inflow * own) * perKg;
      above = (inflow * above + exchange) * perKg;
      ownPart[cell] = own;
      abovePart[cell] = above;
      ownSum += own;
      aboveSum += above;
    }
    const aboveConcentration =
      ((aboveSolute[kind] ?? 0) + exchange * ownSum) /
      (aboveKg * (1 + leaving) + exchange * (cells - aboveSum) + 1e-12);

    let upstream = aboveConcentration;
    let exchanged = 0;
    for (let cell = 0; cell < cells; cell++) {
      const concentration = (ownPart[cell] ?? 0) + (abovePart[cell] ?? 0) * aboveConcentration;
      const at = poolIndex(cell, kind, 0);
      const left0 = grainSolute[at] ?? 0;
      const left1 = grainSolute[at + 1] ?? 0;
      const left2 = grainSolute[at + 2] ?? 0;
      const left3 = grainSolute[at + 3] ?? 0;
      const left4 = grainSolute[at + 4] ?? 0;
      const given0 = reach0 * (left0 - bound0 - holding0 * concentration);
      const given1 = reach1 * (left1 - bound1 - holding1 * concentration);
      const given2 = reach2 * (left2 - bound2 - holding2 * concentration);
      const given3 = reach3 * (left3 - bound3 - holding3 * concentration);
      const given4 = reach4 * (left4 - bound4 - holding4 * concentration);
      grainSolute[at] = left0 - given0;
      grainSolute[at + 1] = left1 - given1;
      grainSolute[at + 2] = left2 - given2;
      grainSolute[at + 3] = left3 - given3;
      grainSolute[at + 4] = left4 - given4;
      const released = given0 + given1 + given2 + given3 + given4;
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
    }
    aboveSolute[kind] = (aboveSolute[kind] ?? 0) - leaving * aboveKg * aboveConcentration - exchanged;
    cupSolute[kind] =
      (cupSolute[kind] ?? 0) + (entering + perCell * cells) * upstream + past * aboveConcentration;
  }
}

/** Backward Euler: the share of a store that leaves it in a step at this rate times the step. */
function reached(rateTimesStep: number): number {
  return rateTimesStep / (1 + rateTimesStep);
}
