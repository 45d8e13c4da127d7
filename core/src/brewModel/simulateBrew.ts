import { boilingPointC } from '../water/boilingPoint.js';
import { BREW_MODEL } from './constants.js';
import { setupOf } from './flows.js';
import { particlesOf } from './particles.js';
import { initialState, sum, type BrewState } from './state.js';
import { step } from './step.js';
import type { BrewForecast, BrewModelInput, BrewMoment, LotFactors } from './types.js';

/** A lot about which nothing is known: every factor 1. Two weeks old, 7 mg/g of gas at roasting (assumed). */
export const DEFAULT_LOT: LotFactors = {
  solubility: 1,
  rate: 1,
  permeability: 1,
  clogging: 1,
  retained: 1,
  co2MgPerG: 7,
  ageDays: 14,
};

/** Half of a rounding error, so that an event on the grid is not stepped over. */
const ALMOST_S = 1e-9;

/**
 * What a filter brew does: level, heat, outflow, strength and yield over time, by a lumped model of free
 * water, a layered bed, a clogging paper and three classes of solubles.
 *
 * A forecast without a measured brew of the lot is a rough range: an unknown brewer or paper can be off by
 * 90 s. Do not recommend grinds below 450 micrometres from it; roast age and the manner of pouring move it
 * too little, and the split into classes is qualitative.
 *
 * @param stepS - 0.25 s for display; half a second is enough where many brews are compared
 * @param longestS - when to give up on a brew that does not drain
 * @throws RangeError for a dose below 0.5 g or without water, which the equations do not cover
 */
export function simulateBrew(
  input: BrewModelInput,
  { stepS = 0.25, longestS = 1200 }: { stepS?: number; longestS?: number } = {},
): BrewForecast {
  const pours = input.pours
    .filter(({ amountG, flowGps }) => amountG > 0 && flowGps > 0)
    .map(({ startS, amountG, flowGps }) => ({
      startS,
      endS: startS + amountG / flowGps,
      flowKgPerS: flowGps / 1000,
    }));
  if (!(input.doseG >= 0.5) || pours.length === 0)
    throw new RangeError('a brew needs 0.5 g of coffee or more, and water');
  const particles = particlesOf(input.grind);
  const kettleC = Math.min(input.kettleC, boilingPointC({ elevationM: input.elevationM }));
  const setup = setupOf(input, particles, kettleC - BREW_MODEL.streamLossK);
  const state = initialState(input, particles);

  const agitation = [...input.agitation].sort((a, b) => a.atS - b.atS);
  const events = [
    ...pours.flatMap(({ startS, endS }) => [startS, endS]),
    ...agitation.map(({ atS }) => atS),
  ].sort((a, b) => a - b);
  const pouredByS = Math.max(...pours.map(({ endS }) => endS));
  const series: BrewMoment[] = [momentOf(state, { outflowKgPerS: 0, levelM: 0 }, setup.doseKg)];
  let agitated = 0;
  let drawdownS: number | null = null;
  let maxLevelM = 0;
  let pouredKg = 0;
  let gridStep = 0;

  while (state.atS < longestS) {
    for (
      let next = agitation[agitated];
      next && next.atS <= state.atS + ALMOST_S;
      next = agitation[agitated]
    ) {
      state.agitation += BREW_MODEL.agitationOf[next.kind];
      state.clumped *= BREW_MODEL.clumpsLeftBy[next.kind];
      agitated += 1;
    }
    if (state.atS > (gridStep + 1) * stepS - ALMOST_S) gridStep += 1;
    const gridS = (gridStep + 1) * stepS;
    const untilS = events.find((atS) => atS > state.atS + ALMOST_S && atS < gridS - ALMOST_S) ?? gridS;
    const lengthS = untilS - state.atS;
    const { atS, aboveKg: aboveBefore } = state;
    const inflowKgPerS = pours.reduce(
      (flow, { startS, endS, flowKgPerS }) =>
        atS >= startS - ALMOST_S && atS < endS - ALMOST_S ? flow + flowKgPerS : flow,
      0,
    );
    const outcome = step(state, setup, { stepS: lengthS, inflowKgPerS });
    pouredKg += lengthS * inflowKgPerS;
    maxLevelM = Math.max(maxLevelM, outcome.levelM);
    if (drawdownS === null && atS >= pouredByS - ALMOST_S && state.aboveKg < BREW_MODEL.drainedKg) {
      // Inside the step by a straight line; a trickle may leave nothing to drain when it ends.
      const excessKg = Math.max(0, aboveBefore - BREW_MODEL.drainedKg);
      drawdownS = excessKg === 0 ? atS : atS + (lengthS * excessKg) / (aboveBefore - state.aboveKg);
    }
    if (untilS === gridS) series.push(momentOf(state, outcome, setup.doseKg));
    if (drawdownS !== null && outcome.outflowKgPerS < BREW_MODEL.endOutflowKgPerS) break;
  }
  return {
    drawdownS,
    ...cupOf(state, setup.doseKg),
    yieldByClassPercent: [...state.cupSolute].map((kg) => (kg / setup.doseKg) * 100) as [
      number,
      number,
      number,
    ],
    maxLevelM,
    overflows: maxLevelM > input.brewer.heightM,
    ...balanceErrors(state, pouredKg),
    series,
  };
}

function cupOf(state: BrewState, doseKg: number) {
  const soluteKg = sum(state.cupSolute);
  const beverageKg = state.cupWaterKg + soluteKg;
  return {
    beverageG: beverageKg * 1000,
    tdsPercent: beverageKg > 0 ? (soluteKg / beverageKg) * 100 : 0,
    yieldPercent: (soluteKg / doseKg) * 100,
  };
}

function momentOf(
  state: BrewState,
  outcome: { outflowKgPerS: number; levelM: number },
  doseKg: number,
): BrewMoment {
  return {
    atS: state.atS,
    levelM: outcome.levelM,
    slurryC: state.slurryC,
    outflowGps: outcome.outflowKgPerS * 1000,
    aboveBedG: state.aboveKg * 1000,
    ...cupOf(state, doseKg),
  };
}

function balanceErrors(state: BrewState, pouredKg: number): { waterError: number; soluteError: number } {
  const waterKg = state.aboveKg + state.poresKg + state.grainsKg + state.cupWaterKg + state.evaporatedKg;
  const startKg = sum(state.grainSoluteAtStart);
  const soluteKg =
    sum(state.grainSolute) + sum(state.poreSolute) + sum(state.aboveSolute) + sum(state.cupSolute);
  return {
    waterError: Math.abs(waterKg - pouredKg) / pouredKg,
    soluteError: Math.abs(soluteKg - startKg) / startKg,
  };
}
