import { agitate } from './agitate.js';
import type { BrewSetup } from './setup.js';
import { inflowTemperatureC } from './setup.js';
import { initialState, sum, type BrewState } from './state.js';
import { step, type StepOutcome } from './step.js';
import { streamOf, together, type Stream } from './stream.js';

/** What is in a cup, kg. */
interface Cup {
  waterKg: number;
  soluteKg: number;
  byClassKg: readonly number[];
}

/** A finished run, in the units of the model. */
export interface BrewRun {
  state: BrewState;
  drawdownS: number | null;
  /** The cup as served: all that ran out, or what had run out when the brewer was lifted. */
  cup: Cup;
  lifted: boolean;
  pouredKg: number;
  maxLevelM: number;
  /** Mixed temperature of what ran into the cup, C. */
  beverageC: number;
}

export interface RunOptions {
  stepS: number;
  /** When to give up on a brew that does not drain, s. */
  longestS: number;
  /** Called at every whole step of the grid. */
  onGrid?: (state: BrewState, outcome: StepOutcome) => void;
}

/** Half of a rounding error, so that an event on the grid is not stepped over. */
const ALMOST_S = 1e-9;

/** Steps a brew from the first drop until it is done, cutting steps at every event. */
export function runBrew(setup: BrewSetup, { stepS, longestS, onGrid }: RunOptions): BrewRun {
  const { input, model, inflows } = setup;
  const state = initialState(setup);
  const cupHeat = cupWarmth(setup);
  const agitation = [...input.agitation].sort((a, b) => a.atS - b.atS);
  const events = eventsOf(setup);
  const pouredByS = Math.max(...inflows.map(({ endS }) => endS));
  let nextEvent = 0;
  let stream = streamAt(setup, 0);
  let agitated = 0;
  let drawdownS: number | null = null;
  let liftedCup: Cup | null = null;
  let maxLevelM = 0;
  let pouredKg = 0;
  let gridStep = 0;

  while (state.atS < longestS) {
    for (
      let next = agitation[agitated];
      next && next.atS <= state.atS + ALMOST_S;
      next = agitation[agitated]
    ) {
      agitate(state, model, next.kind);
      agitated += 1;
    }
    if (input.liftAtS !== undefined && liftedCup === null && state.atS >= input.liftAtS - ALMOST_S) {
      liftedCup = cupOf(state);
    }
    if (state.atS > (gridStep + 1) * stepS - ALMOST_S) gridStep += 1;
    const gridS = (gridStep + 1) * stepS;
    // Water changes at events only.
    if ((events[nextEvent] ?? Infinity) <= state.atS + ALMOST_S) {
      while ((events[nextEvent] ?? Infinity) <= state.atS + ALMOST_S) nextEvent += 1;
      stream = streamAt(setup, state.atS);
    }
    const eventS = events[nextEvent] ?? Infinity;
    const untilS = eventS < gridS - ALMOST_S ? eventS : gridS;
    const lengthS = untilS - state.atS;
    const { atS, aboveKg: aboveBefore } = state;
    const outcome = step(state, setup, { stepS: lengthS, stream });
    pouredKg += lengthS * stream.inflowKgPerS;
    maxLevelM = Math.max(maxLevelM, outcome.levelM);
    if (liftedCup === null) cupHeat.add(atS, lengthS * outcome.outflowKgPerS, state.slurryC);
    if (drawdownS === null && atS >= pouredByS - ALMOST_S && state.aboveKg < model.drainedKg) {
      // Inside the step by a straight line; a trickle may leave nothing to drain when it ends.
      const excessKg = Math.max(0, aboveBefore - model.drainedKg);
      drawdownS = excessKg === 0 ? atS : atS + (lengthS * excessKg) / (aboveBefore - state.aboveKg);
    }
    if (untilS === gridS) onGrid?.(state, outcome);
    if (drawdownS !== null && outcome.outflowKgPerS < model.endOutflowKgPerS) break;
  }
  return {
    state,
    drawdownS,
    cup: liftedCup ?? cupOf(state),
    lifted: liftedCup !== null,
    pouredKg,
    maxLevelM,
    beverageC: cupHeat.meanC(),
  };
}

/** Times at which something changes between two steps of the grid, in order, s. */
function eventsOf({ input, inflows }: BrewSetup): number[] {
  return [
    ...inflows.flatMap(({ startS, endS }) => [startS, endS]),
    ...input.agitation.map(({ atS }) => atS),
    ...(input.liftAtS === undefined ? [] : [input.liftAtS]),
    ...(input.chilledBall ? [input.chilledBall.untilS] : []),
  ].sort((a, b) => a - b);
}

/** Water reaching the bed at a moment. */
export function streamAt(setup: BrewSetup, atS: number): Stream {
  return together(
    setup.inflows
      .filter(({ startS, endS }) => atS >= startS - ALMOST_S && atS < endS - ALMOST_S)
      .map((inflow) => streamOf(inflow, inflowTemperatureC(inflow, setup), setup.model)),
  );
}

function cupOf(state: BrewState): Cup {
  return {
    waterKg: state.cupWaterKg,
    soluteKg: sum(state.cupSolute),
    byClassKg: [...state.cupSolute],
  };
}

/** Warmth carried into the cup, past a chilled ball while it is there. */
function cupWarmth({ input: { chilledBall, ambientC }, model }: BrewSetup) {
  let kg = 0;
  let warmth = 0;
  let ballC = chilledBall?.startC ?? 0;
  return {
    add(atS: number, outKg: number, slurryC: number) {
      let streamC = slurryC;
      if (chilledBall && atS < chilledBall.untilS) {
        const ballJPerK = (chilledBall.massG / 1000) * chilledBall.heatJPerKgK;
        const streamJPerK = outKg * model.waterJPerKgK;
        // Never past the temperature at which the ball and this part of the stream would meet.
        const share = Math.min(model.ballEffectiveness, ballJPerK / (ballJPerK + streamJPerK));
        const takenJ = streamJPerK * share * (slurryC - ballC);
        ballC += takenJ / ballJPerK;
        if (outKg > 0) streamC -= takenJ / streamJPerK;
      }
      kg += outKg;
      warmth += outKg * streamC;
    },
    meanC: () => (kg > 0 ? warmth / kg : ambientC),
  };
}
