import { BREW_MODEL } from './constants.js';
import { flowsOf, type BrewSetup, type Flows } from './flows.js';
import { CLASSES, POOLS, poolIndex, type BrewState } from './state.js';

/** What left the brewer during a step, kg/s, and the level at its start. */
export interface StepOutcome {
  outflowKgPerS: number;
  levelM: number;
}

/** Water moved during a step, after it was kept from overdrawing any store. */
interface Moved {
  fromAbove: number;
  absorbed: number;
  throughBed: number;
  pastBed: number;
}

/**
 * One semi-implicit step of the whole brew: conservative, and positive whatever the step. Water and heat go
 * first, then the solutes class by class by backward Euler through the cells of the bed.
 *
 * @param stepS - length of the step, s
 * @param inflowKgPerS - pour during the step
 */
export function step(
  state: BrewState,
  setup: BrewSetup,
  { stepS, inflowKgPerS }: { stepS: number; inflowKgPerS: number },
): StepOutcome {
  const flows = flowsOf(state, setup);
  const before = { slurryK: state.slurryC + 273.15, agitation: state.agitation };
  const heat = heatRates(state, setup, flows, inflowKgPerS);

  const aboveKg =
    (state.aboveKg + stepS * inflowKgPerS) /
    (1 + stepS * (flows.intoBedPerS + flows.pastBedPerS + flows.evaporationPerS));
  const fromAbove = flows.intoBedPerS * aboveKg;
  const pastBed = flows.pastBedPerS * aboveKg;
  const evaporated = flows.evaporationPerS * aboveKg;
  const available = state.poresKg / stepS + fromAbove;
  const wanted = flows.absorption + flows.throughBed;
  const granted = wanted > available ? available / wanted : 1;
  const moved: Moved = {
    fromAbove,
    absorbed: flows.absorption * granted,
    throughBed: flows.throughBed * granted,
    pastBed,
  };

  state.aboveKg = aboveKg;
  state.poresKg += stepS * (moved.fromAbove - moved.absorbed - moved.throughBed);
  state.grainsKg += stepS * moved.absorbed;
  state.finesOnPaperKg += stepS * flows.finesToPaper;
  state.cupWaterKg += stepS * (moved.throughBed + moved.pastBed);
  state.evaporatedKg += stepS * evaporated;
  state.brewerC += stepS * heat.brewerKPerS;
  state.slurryC += (stepS * heat.slurryKPerS) / (1 + stepS * heat.relaxationPerS);
  const model = BREW_MODEL;
  state.gasKg /= 1 + stepS * model.gasReleasePerS * flows.filling;
  state.agitation =
    (state.agitation + (stepS * model.agitationPerGps * inflowKgPerS * 1000) / model.agitationDecayS) /
    (1 + stepS / model.agitationDecayS);
  state.swelling += ((flows.filling - state.swelling) * stepS) / (model.swellingTimeS + stepS);
  state.clumped /= 1 + stepS * model.clumpBreaking * state.agitation;

  for (let kind = 0; kind < CLASSES; kind++) moveSolutes(state, setup, { kind, stepS, flows, moved, before });
  state.atS += stepS;
  return { outflowKgPerS: moved.throughBed + moved.pastBed, levelM: flows.levelM };
}

function heatRates(
  state: BrewState,
  { input, doseKg, inflowC }: BrewSetup,
  flows: Flows,
  inflowKgPerS: number,
) {
  const model = BREW_MODEL;
  const { brewer, ambientC } = input;
  const waterKg = state.aboveKg + state.poresKg + state.grainsKg;
  const heatJPerK = waterKg * model.waterJPerKgK + doseKg * model.coffeeJPerKgK;
  const wallWPerK = (model.wallWPerM2K * flows.wettedWallM2 * waterKg) / (waterKg + 0.005);
  const toWallW = wallWPerK * (state.slurryC - state.brewerC);
  const airWPerK = model.airWPerM2K * flows.surfaceM2 * flows.coverage;
  const inflowWPerK = inflowKgPerS * model.waterJPerKgK;
  // Latent heat, J/kg, linear in temperature (mem.).
  const latentJPerKg = 2.501e6 - 2381 * state.slurryC;
  const outsideM2 =
    Math.PI *
    (2 * brewer.bottomRadiusM + brewer.heightM * brewer.wallSlope) *
    brewer.heightM *
    Math.sqrt(1 + brewer.wallSlope ** 2);
  return {
    slurryKPerS:
      (inflowWPerK * (inflowC - state.slurryC) -
        toWallW -
        flows.evaporation * latentJPerKg -
        airWPerK * (state.slurryC - ambientC)) /
      heatJPerK,
    // Exact mixing of the inflow: an explicit step overshot far above boiling at small doses.
    relaxationPerS: (inflowWPerK + wallWPerK + airWPerK) / heatJPerK,
    brewerKPerS:
      (toWallW - model.brewerToRoomWPerM2K * outsideM2 * (state.brewerC - ambientC)) /
      brewer.heatCapacityJPerK,
  };
}

// Scratch of the sweep through the cells, reused since steps never run side by side.
const reach = new Float64Array(POOLS);
const holding = new Float64Array(POOLS);
const ownPart = new Float64Array(BREW_MODEL.cells);
const abovePart = new Float64Array(BREW_MODEL.cells);

/**
 * Solutes of one class through one step: release from the grains, down the cells with the water, exchange
 * with the water above. The concentration of each cell is linear in the one above the bed, so a single
 * sweep down and one equation give them all; moving the same amounts out and in keeps the balance exact.
 */
function moveSolutes(
  state: BrewState,
  { input, particles, channels }: BrewSetup,
  {
    kind,
    stepS,
    flows,
    moved,
    before,
  }: {
    kind: number;
    stepS: number;
    flows: Flows;
    moved: Moved;
    before: { slurryK: number; agitation: number };
  },
): void {
  const model = BREW_MODEL;
  const { cells } = model;
  const midShares = particles.poolShares[1] ?? [];
  const arrhenius = Math.exp(
    (-(model.activationJPerMol[kind] ?? 0) / model.gasConstantJPerMolK) *
      (1 / before.slurryK - 1 / model.activationReferenceK),
  );
  const unreached = Math.min(1, channels + state.clumped);
  let held = 0;
  for (let pool = 0; pool < POOLS; pool++) {
    const ratePerS =
      pool === 0
        ? model.fastRatePerS *
          (model.fastFactors[kind] ?? 0) *
          (1 + model.fastAgitationGain * before.agitation)
        : (particles.poolRatesPerS[pool - 1] ?? 0) * (model.diffusionFactors[kind] ?? 0);
    const released = ratePerS * input.lot.rate * arrhenius * flows.filling * stepS;
    const share = released / (1 + released);
    const holdingKg = (state.grainsKg * (midShares[pool] ?? 0)) / cells;
    reach[pool] = share;
    holding[pool] = holdingKg;
    held += share * holdingKg;
  }

  const cellKg = state.poresKg / cells;
  const exchange = stepS * flows.exchange;
  // Water passes each face of the cells evenly changed from what enters the bed to what leaves it.
  const entering = stepS * moved.fromAbove;
  const perCell = (stepS * (moved.throughBed - moved.fromAbove)) / cells;
  let own = 0;
  let above = 1;
  let ownSum = 0;
  let aboveSum = 0;
  for (let cell = 0; cell < cells; cell++) {
    let source = 0;
    const first = poolIndex(cell, kind, 0);
    for (let pool = 0; pool < POOLS; pool++) {
      const at = first + pool;
      source +=
        (reach[pool] ?? 0) * ((state.grainSolute[at] ?? 0) - unreached * (state.grainSoluteAtStart[at] ?? 0));
    }
    const denominator = cellKg + (entering + perCell * (cell + 1)) + exchange + held;
    own =
      ((state.poreSolute[kind * cells + cell] ?? 0) + source + (entering + perCell * cell) * own) /
      denominator;
    above = ((entering + perCell * cell) * above + exchange) / denominator;
    ownPart[cell] = own;
    abovePart[cell] = above;
    ownSum += own;
    aboveSum += above;
  }
  const leaving = stepS * (flows.intoBedPerS + flows.pastBedPerS);
  const aboveConcentration =
    ((state.aboveSolute[kind] ?? 0) + exchange * ownSum) /
    (state.aboveKg * (1 + leaving) + exchange * (cells - aboveSum) + 1e-12);

  let upstream = aboveConcentration;
  let exchanged = 0;
  for (let cell = 0; cell < cells; cell++) {
    const concentration = (ownPart[cell] ?? 0) + (abovePart[cell] ?? 0) * aboveConcentration;
    let released = 0;
    const first = poolIndex(cell, kind, 0);
    for (let pool = 0; pool < POOLS; pool++) {
      const at = first + pool;
      const left = state.grainSolute[at] ?? 0;
      const given =
        (reach[pool] ?? 0) *
        (left - unreached * (state.grainSoluteAtStart[at] ?? 0) - (holding[pool] ?? 0) * concentration);
      state.grainSolute[at] = left - given;
      released += given;
    }
    const fromAbove = exchange * (aboveConcentration - concentration);
    const slot = kind * cells + cell;
    state.poreSolute[slot] =
      (state.poreSolute[slot] ?? 0) +
      (entering + perCell * cell) * upstream -
      (entering + perCell * (cell + 1)) * concentration +
      fromAbove +
      released;
    exchanged += fromAbove;
    upstream = concentration;
  }
  state.aboveSolute[kind] =
    (state.aboveSolute[kind] ?? 0) - leaving * state.aboveKg * aboveConcentration - exchanged;
  state.cupSolute[kind] =
    (state.cupSolute[kind] ?? 0) +
    (entering + perCell * cells) * upstream +
    stepS * moved.pastBed * aboveConcentration;
}
