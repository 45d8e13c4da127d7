import { flowsOf, noFlows } from './flows.js';
import { heatRates } from './heat.js';
import type { BrewSetup } from './setup.js';
import { moveSolutes, type MovedWater } from './solutes.js';
import type { BrewState } from './state.js';

/** What left the brewer during a step, kg/s, and the level at its start. */
export interface StepOutcome {
  outflowKgPerS: number;
  levelM: number;
}

// Reused, since steps never run side by side.
const scratch = noFlows();

/**
 * One semi-implicit step of the whole brew: conservative, and positive whatever the step. Water and heat go
 * first, then the solutes class by class by backward Euler through the cells of the bed.
 *
 * @param stepS - length of the step, s
 * @param inflowKgPerS - water reaching the bed during the step, at `inflowC`
 */
export function step(
  state: BrewState,
  setup: BrewSetup,
  { stepS, inflowKgPerS, inflowC }: { stepS: number; inflowKgPerS: number; inflowC: number },
): StepOutcome {
  const { model } = setup;
  const flows = flowsOf(state, setup, scratch);
  const { slurryC, agitation } = state;
  const heat = heatRates(state, setup, flows, { inflowKgPerS, inflowC });

  const aboveKg =
    (state.aboveKg + stepS * inflowKgPerS) /
    (1 + stepS * (flows.intoBedPerS + flows.pastBedPerS + flows.evaporationPerS));
  const fromAbove = flows.intoBedPerS * aboveKg;
  const pastBed = flows.pastBedPerS * aboveKg;
  const evaporated = flows.evaporationPerS * aboveKg;
  const available = state.poresKg / stepS + fromAbove;
  // Grains never hold more than they can, however long the step.
  const absorbing = Math.min(flows.absorption, (setup.grainsFullKg - state.grainsKg) / stepS);
  const wanted = absorbing + flows.throughBed;
  const granted = wanted > available ? available / wanted : 1;
  const moved: MovedWater = {
    fromAbove,
    absorbed: absorbing * granted,
    throughBed: flows.throughBed * granted,
    pastBed,
  };

  state.aboveKg = aboveKg;
  state.poresKg += stepS * (moved.fromAbove - moved.absorbed - moved.throughBed);
  state.grainsKg += stepS * moved.absorbed;
  state.finesOnPaperKg += stepS * flows.finesToPaper;
  state.cupWaterKg += stepS * (moved.throughBed + moved.pastBed);
  state.evaporatedKg += stepS * evaporated;
  state.brewerC = noFartherThan(heat.brewerTowardsC, state.brewerC, stepS * heat.brewerKPerS);
  state.slurryC += (stepS * heat.slurryKPerS) / (1 + stepS * heat.relaxationPerS);
  state.gasKg /= 1 + stepS * model.gasReleasePerS * flows.filling;
  state.agitation =
    (state.agitation + (stepS * model.agitationPerGps * inflowKgPerS * 1000) / model.agitationDecayS) /
    (1 + stepS / model.agitationDecayS);
  state.swelling += ((flows.filling - state.swelling) * stepS) / (model.swellingTimeS + stepS);
  state.clumped /= 1 + stepS * model.clumpBreaking * state.agitation;

  moveSolutes(state, setup, { stepS, flows, moved, slurryC, agitation });
  state.atS += stepS;
  return { outflowKgPerS: moved.throughBed + moved.pastBed, levelM: flows.levelM };
}

/** A step towards a balance that never goes past it: a brewer of foil follows the slurry within the step. */
function noFartherThan(balance: number, from: number, by: number): number {
  return Math.abs(by) < Math.abs(balance - from) ? from + by : balance;
}
