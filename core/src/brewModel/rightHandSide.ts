import { flowsOf, noFlows } from './flows.js';
import { heatRates, noHeat } from './heat.js';
import { classRates, unreachedShare } from './release.js';
import type { BrewSetup } from './setup.js';
import { stirredPerS, type Stream } from './stream.js';
import { CLASSES, initialState, POOLS, poolIndex, type BrewState } from './state.js';

const SCALARS = [
  'aboveKg',
  'poresKg',
  'grainsKg',
  'finesOnPaperKg',
  'gasKg',
  'agitation',
  'slurryC',
  'brewerC',
  'cupWaterKg',
  'evaporatedKg',
  'swelling',
  'clumped',
  'coreGasKg',
] as const satisfies readonly (keyof BrewState)[];
const SOLUTES = ['aboveSolute', 'poreSolute', 'cupSolute', 'grainSolute'] as const;

/** Numbers in a state written out. */
export function stateSize({ model }: BrewSetup): number {
  return SCALARS.length + CLASSES * (2 + model.cells + model.cells * POOLS);
}

/** A state as one list of numbers, for a general solver. */
export function writeState(state: BrewState): number[] {
  return [...SCALARS.map((name) => state[name]), ...SOLUTES.flatMap((name) => [...state[name]])];
}

/** Fills a state from such a list. */
export function readState(state: BrewState, numbers: ArrayLike<number>): BrewState {
  let at = 0;
  for (const name of SCALARS) state[name] = numbers[at++] ?? 0;
  for (const name of SOLUTES) {
    const into = state[name];
    for (let index = 0; index < into.length; index++) into[index] = numbers[at++] ?? 0;
  }
  return state;
}

/**
 * The equations of the brew as a plain derivative: the same flows, heat and release as the stepper, without
 * its scheme. It exists so that a general solver can say what the scheme costs in error.
 *
 * @returns writes the change per second of a state, in the order of {@link writeState}, into `change`
 */
export function derivative(
  setup: BrewSetup,
): (numbers: ArrayLike<number>, stream: Stream, change: number[] | Float64Array) => void {
  const { model, particles } = setup;
  const { cells } = model;
  const state = initialState(setup);
  const scratch = noFlows();
  const warming = noHeat();
  const rates = new Float64Array(POOLS);
  const midShares = particles.poolShares[1] ?? [];
  const firstSolute = SCALARS.length;
  const poreAt = firstSolute + CLASSES;
  const cupAt = poreAt + CLASSES * cells;
  const grainAt = cupAt + CLASSES;
  return (numbers, stream, change) => {
    readState(state, numbers);
    const flows = flowsOf(state, setup, scratch);
    const heat = heatRates(state, setup, flows, stream, warming);
    const intoBed = flows.intoBedPerS * state.aboveKg;
    const pastBed = flows.pastBedPerS * state.aboveKg;
    const scalars: Record<(typeof SCALARS)[number], number> = {
      aboveKg: stream.inflowKgPerS - intoBed - pastBed - flows.evaporationPerS * state.aboveKg,
      poresKg: intoBed - flows.absorption - flows.throughBed,
      grainsKg: flows.absorption,
      finesOnPaperKg: flows.finesToPaper,
      gasKg: -model.gasReleasePerS * state.gasKg * flows.filling,
      agitation: stirredPerS(stream, flows) - state.agitation / model.agitationDecayS,
      slurryC: heat.slurryKPerS,
      brewerC: heat.brewerKPerS,
      cupWaterKg: flows.throughBed + pastBed,
      evaporatedKg: flows.evaporationPerS * state.aboveKg,
      swelling: (flows.filling - state.swelling) / model.swellingTimeS,
      clumped: -model.clumpBreaking * state.agitation * state.clumped,
      coreGasKg: -model.coreGasPerS * state.coreGasKg * flows.filling,
    };
    for (const [index, name] of SCALARS.entries()) change[index] = scalars[name];

    const unreached = unreachedShare(setup, state);
    const cellKg = Math.max(state.poresKg / cells, 1e-9);
    const perCell = (flows.throughBed - intoBed) / cells;
    for (let kind = 0; kind < CLASSES; kind++) {
      classRates(rates, setup, {
        kind,
        slurryC: state.slurryC,
        agitation: state.agitation,
        filling: flows.filling,
      });
      const above = (state.aboveSolute[kind] ?? 0) / Math.max(state.aboveKg, 1e-9);
      let upstream = above;
      let exchanged = 0;
      for (let cell = 0; cell < cells; cell++) {
        const slot = kind * cells + cell;
        const concentration = (state.poreSolute[slot] ?? 0) / cellKg;
        let released = 0;
        for (let pool = 0; pool < POOLS; pool++) {
          const at = poolIndex(cell, kind, pool);
          const held = ((state.grainsKg * (midShares[pool] ?? 0)) / cells) * concentration;
          const rate =
            (rates[pool] ?? 0) *
            ((state.grainSolute[at] ?? 0) - unreached * (state.grainSoluteAtStart[at] ?? 0) - held);
          change[grainAt + at] = -rate;
          released += rate;
        }
        const fromAbove = flows.exchange * (above - concentration);
        change[poreAt + slot] =
          (intoBed + perCell * cell) * upstream -
          (intoBed + perCell * (cell + 1)) * concentration +
          fromAbove +
          released;
        exchanged += fromAbove;
        upstream = concentration;
      }
      change[firstSolute + kind] = -(intoBed + pastBed) * above - exchanged;
      change[cupAt + kind] = flows.throughBed * upstream + pastBed * above;
    }
  };
}
