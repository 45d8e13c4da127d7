import { left, leftOfAdded, meanOfAdded } from './decay.js';
import { flowsOf, noFlows, type Flows } from './flows.js';
import { heatRates, noHeat } from './heat.js';
import type { BrewSetup } from './setup.js';
import { moveSolutes, type MovedWater } from './solutes.js';
import { stirredPerS, type Stream } from './stream.js';
import { copyWater, stateWith, type BrewState, type WaterState } from './state.js';

/** What left the brewer during a step, kg/s, and the level in its middle. */
export interface StepOutcome {
  outflowKgPerS: number;
  levelM: number;
}

// Reused, since steps never run side by side.
const flows = noFlows();
const heat = noHeat();
const middle: WaterState = stateWith(0, new Float64Array(0));
const moved: MovedWater = { fromAbove: 0, absorbed: 0, throughBed: 0, pastBed: 0 };

/**
 * One step of the whole brew: conservative, and positive whatever the step. Water and heat go by the midpoint
 * rule: half a step with the rates of its start shows the rates of its middle, and the whole step takes those. The
 * solutes follow class by class implicitly through the cells of the bed.
 *
 * @param stepS - length of the step, s
 */
export function step(
  state: BrewState,
  setup: BrewSetup,
  { stepS, stream }: { stepS: number; stream: Stream },
): StepOutcome {
  copyWater(state, middle);
  flowsOf(state, setup, flows);
  moveWater(middle, setup, { stepS: stepS / 2, stream, flows, at: state });
  flowsOf(middle, setup, flows);
  const { slurryC, agitation } = middle;
  moveWater(state, setup, { stepS, stream, flows, at: middle });
  moveSolutes(state, setup, { stepS, flows, moved, slurryC, agitation });
  state.atS += stepS;
  return { outflowKgPerS: moved.throughBed + moved.pastBed, levelM: flows.levelM };
}

/**
 * Water, heat, gas and agitation through a step.
 *
 * Leaves what it moved in `moved`.
 *
 * @param flows - the flows at the state `at`, which may be the one that is moved
 */
function moveWater(
  state: WaterState,
  setup: BrewSetup,
  { stepS, stream, flows, at }: { stepS: number; stream: Stream; flows: Flows; at: WaterState },
): void {
  const { model } = setup;
  heatRates(at, setup, flows, stream, heat);
  const { agitation, slurryC, brewerC } = at;

  const emptying = stepS * (flows.intoBedPerS + flows.pastBedPerS + flows.evaporationPerS);
  const added = stepS * stream.inflowKgPerS;
  const meanAboveKg = state.aboveKg * leftOfAdded(emptying) + added * meanOfAdded(emptying);
  const fromAbove = flows.intoBedPerS * meanAboveKg;
  const pastBed = flows.pastBedPerS * meanAboveKg;
  const available = state.poresKg / stepS + fromAbove;
  // Grains never hold more than they can, however long the step.
  const absorbing = Math.min(flows.absorption, (setup.grainsFullKg - state.grainsKg) / stepS);
  const wanted = absorbing + flows.throughBed;
  const granted = wanted > available ? available / wanted : 1;
  const absorbed = absorbing * granted;
  const throughBed = flows.throughBed * granted;

  state.aboveKg = state.aboveKg * left(emptying) + added * leftOfAdded(emptying);
  state.poresKg += stepS * (fromAbove - absorbed - throughBed);
  state.grainsKg += stepS * absorbed;
  state.finesOnPaperKg += stepS * flows.finesToPaper;
  state.cupWaterKg += stepS * (throughBed + pastBed);
  state.evaporatedKg += stepS * flows.evaporationPerS * meanAboveKg;
  // Each temperature nears its balance from where it stands, at the rate that the middle of the step has.
  const relaxing = stepS * heat.relaxationPerS;
  state.slurryC += leftOfAdded(relaxing) * (stepS * heat.slurryKPerS + relaxing * (slurryC - state.slurryC));
  const brewerKPerS = heat.brewerKPerS + heat.brewerRelaxationPerS * (brewerC - state.brewerC);
  state.brewerC += leftOfAdded(stepS * heat.brewerRelaxationPerS) * stepS * brewerKPerS;
  state.gasKg *= left(stepS * model.gasReleasePerS * flows.filling);
  state.coreGasKg *= left(stepS * model.coreGasPerS * flows.filling);
  const calming = stepS / model.agitationDecayS;
  state.agitation =
    state.agitation * left(calming) + stepS * stirredPerS(stream, flows) * leftOfAdded(calming);
  state.swelling += (flows.filling - state.swelling) * (1 - left(stepS / model.swellingTimeS));
  state.clumped *= left(stepS * model.clumpBreaking * agitation);
  moved.fromAbove = fromAbove;
  moved.absorbed = absorbed;
  moved.throughBed = throughBed;
  moved.pastBed = pastBed;
}
