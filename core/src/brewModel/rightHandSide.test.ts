import { describe, expect, it } from 'vitest';
import { BREWER_CLASSES, PAPER_PER_M } from './hardware.js';
import { derivative, readState, stateSize, writeState } from './rightHandSide.js';

import { streamAt } from './runBrew.js';
import { setupOf } from './setup.js';
import { DEFAULT_LOT } from './simulateBrew.js';
import { initialState } from './state.js';
import { step } from './step.js';
import { NO_STREAM } from './stream.js';

const setup = setupOf({
  doseG: 15,
  grind: { d50Um: 680 },
  kettleC: 96,
  pours: [{ startS: 0, amountG: 250, flowGps: 5 }],
  agitation: [],
  brewer: BREWER_CLASSES.cone,
  paperPerM: PAPER_PER_M.ordinary,
  lot: DEFAULT_LOT,
  ambientC: 22,
  elevationM: 0,
});

/** A state in the middle of the pour, reached by the stepper. */
function midPour() {
  const state = initialState(setup);
  for (let at = 0; at < 120; at++) step(state, setup, { stepS: 0.25, stream: streamAt(setup, state.atS) });
  return state;
}

describe('the equations as a plain derivative', () => {
  it('reads back what it wrote', () => {
    const state = midPour();
    const numbers = writeState(state);
    expect(numbers).toHaveLength(stateSize(setup));
    expect(writeState(readState(initialState(setup), numbers))).toEqual(numbers);
  });

  it('is what the stepper does in a step so short that its scheme no longer shows', () => {
    const state = midPour();
    const before = writeState(state);
    const stream = streamAt(setup, state.atS);
    const change = new Float64Array(before.length);
    derivative(setup)(before, stream, change);
    const stepS = 1e-5;
    step(state, setup, { stepS, stream });
    writeState(state).forEach((after, index) => {
      const slope = (after - (before[index] ?? 0)) / stepS;
      expect(Math.abs(slope - (change[index] ?? 0))).toBeLessThan(1e-3 * Math.abs(slope) + 1e-8);
    });
  });

  it('makes no water and no solute', () => {
    const before = writeState(midPour());
    const change = new Float64Array(before.length);
    derivative(setup)(before, { ...NO_STREAM, inflowKgPerS: 0.005, inflowC: 94.5 }, change);
    const rates = readState(initialState(setup), change);
    const water = rates.aboveKg + rates.poresKg + rates.grainsKg + rates.cupWaterKg + rates.evaporatedKg;
    expect(water).toBeCloseTo(0.005, 12);
    const solutes = [rates.aboveSolute, rates.poreSolute, rates.cupSolute, rates.grainSolute];
    expect(solutes.flatMap((list) => [...list]).reduce((sum, rate) => sum + rate, 0)).toBeCloseTo(0, 15);
  });
});
