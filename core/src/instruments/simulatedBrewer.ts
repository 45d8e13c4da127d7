import { agitate } from '../brewModel/agitate.js';
import { brewInputFault, type BrewInputFailure } from '../brewModel/checkBrew.js';
import { flowsOf, noFlows } from '../brewModel/flows.js';
import { inflowTemperatureC, setupOf } from '../brewModel/setup.js';
import { initialState, sum } from '../brewModel/state.js';
import { step } from '../brewModel/step.js';
import { streamOf } from '../brewModel/stream.js';
import { lotFactorsOf, type BrewConditions, type LearnedFactors } from '../calibration/conditions.js';
import { success, type Result } from '../result.js';
import type { ModelledAgitation } from '../vocabulary.js';

/** What there is to see of a brewer at a moment, and what its scale misses. */
export interface BrewerSeen {
  /** Heights over the bottom of the brewer: of the bed, and of the water where it stands above the bed, mm. */
  bedMm: number;
  waterMm: number;
  /** Water above the bed, g. */
  aboveBedG: number;
  outflowGps: number;
  beverageG: number;
  /** Gone into the air: a scale under everything no longer carries it, g. */
  evaporatedG: number;
}

/** A brewer into which somebody pours, as it comes. */
export interface SimulatedBrewer {
  /**
   * Lets time pass while somebody pours evenly.
   *
   * @param toS - until when, on the brewer's clock; earlier than it stands, or at no moment at all, nothing happens
   * @param pouredG - water poured by then, in all; nothing happens either where it is more than a scale shows
   * @param kettleC - of that water; the plan's unless given
   */
  pass: (until: { toS: number; pouredG: number; kettleC?: number }) => void;
  agitate: (kind: ModelledAgitation) => void;
  seen: () => BrewerSeen;
}

/**
 * How the bed of a stand-in differs from its lot: its resistance to flow, in times the lot's. Sizes so that a usual
 * recipe stalls in the one and runs through the other (assumed).
 */
const SIMULATED_BEDS = { usual: 1, clogging: 3, 'fast-draining': 0.15 } as const;
export const SIMULATED_BED_NAMES = Object.keys(SIMULATED_BEDS);
export type SimulatedBed = keyof typeof SIMULATED_BEDS;

/** The model is stepped no coarser than for display, s. */
const STEP_S = 0.25;
/** After so long without a look nothing moves any more, s: a page that slept for a night is not stepped through it. */
const LONGEST_S = 3600;
/** Water that came in less time than a clock tells comes with the next look, s; and no scale shows more, g. */
const SHORTEST_S = 1e-3;
const MOST_G = 10_000;

/**
 * A brewer with coffee in it, by the brew model, that takes its water as it comes. A stand-in to try the bench and to
 * practise without coffee; nothing of it is a measurement.
 *
 * @param conditions - its pours only tell that it can be brewed; lifting is not followed
 * @param factors - what the lot of the stand-in is like
 * @returns the brewer before the first drop, or which figure of the conditions cannot be
 */
export function simulatedBrewer({
  conditions: { roastAgeDays, ...brew },
  factors,
  bed = 'usual',
}: {
  conditions: BrewConditions;
  factors: LearnedFactors;
  bed?: SimulatedBed;
}): Result<SimulatedBrewer, BrewInputFailure> {
  const flow = factors.flow * SIMULATED_BEDS[bed];
  const input = { ...brew, lot: lotFactorsOf({ ...factors, flow }, roastAgeDays) };
  const fault = brewInputFault(input);
  if (fault) return fault;
  const setup = setupOf(input);
  const state = initialState(setup);
  const flows = noFlows();
  let takenG = 0;
  let outflowGps = 0;
  // What stands in a regulator on top, and how hot it was poured.
  let held = { kg: 0, atC: input.kettleC };
  const mostKgPerS = (input.regulatorGps ?? Infinity) / 1000;
  const fallM = input.regulatorGps === undefined ? setup.model.fallM : setup.model.regulatorFallM;
  return success({
    pass({ toS, pouredG, kettleC = input.kettleC }) {
      if (!(toS - state.atS >= SHORTEST_S && toS < Infinity && Math.abs(pouredG) <= MOST_G)) return;
      const lengthS = Math.min(LONGEST_S, toS - state.atS);
      const steps = Math.ceil(lengthS / STEP_S);
      const pouredKg = Math.max(0, pouredG - takenG) / 1000;
      const kg = held.kg + pouredKg;
      held = { kg, atC: kg > 0 ? (held.kg * held.atC + pouredKg * kettleC) / kg : kettleC };
      const kgPerS = Math.min(kg / lengthS, mostKgPerS);
      held.kg = Math.max(0, kg - kgPerS * lengthS);
      const stream = streamOf(
        { kgPerS, fallM },
        inflowTemperatureC({ kettleC: held.atC }, setup),
        setup.model,
      );
      for (let count = 0; count < steps; count++) {
        const outcome = step(state, setup, { stepS: lengthS / steps, stream });
        outflowGps = outcome.outflowKgPerS * 1000;
      }
      state.atS = toS;
      takenG = Math.max(takenG, pouredG);
    },
    agitate(kind) {
      agitate(state, setup.model, kind);
    },
    seen() {
      const { bedM, levelM } = flowsOf(state, setup, flows);
      return {
        bedMm: bedM * 1000,
        waterMm: levelM * 1000,
        aboveBedG: state.aboveKg * 1000,
        outflowGps,
        beverageG: (state.cupWaterKg + sum(state.cupSolute)) * 1000,
        evaporatedG: state.evaporatedKg * 1000,
      };
    },
  });
}
