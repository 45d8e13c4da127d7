import { diluteBeverage } from '../extraction/diluteBeverage.js';
import { firstOutOfRange, type Range } from '../input/ranges.js';
import { success, type Result } from '../result.js';
import { brewInputFault, type BrewInputFailure } from './checkBrew.js';
import { runBrew, type BrewRun } from './runBrew.js';
import { seriesRecorder } from './series.js';
import { setupOf } from './setup.js';
import { sum } from './state.js';
import type { BrewForecast, BrewModelInput, BrewMoment, LotFactors } from './types.js';
import { brewWarnings } from './brewWarnings.js';

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

/** How finely a brew is stepped for display, s: 95 of 100 brews are within 0.6 s and 0.02 points of a much finer step. */
const DISPLAY_STEP_S = 1;
/** When a brew that does not drain is given up, s. */
const LONGEST_S = 1200;
/** A step of nothing would never end. */
const STEP_RANGES = {
  stepS: { low: 0.01, high: 5, unit: 's' },
  longestS: { low: 1, high: 7200, unit: 's' },
} satisfies Record<string, Range>;

/** Before the first drop. */
const NOTHING_YET: BrewMoment = {
  atS: 0,
  levelM: 0,
  slurryC: 0,
  outflowGps: 0,
  aboveBedG: 0,
  beverageG: 0,
  tdsPercent: 0,
  streamTdsPercent: 0,
  yieldPercent: 0,
};

/**
 * What a filter brew does: level, heat, outflow, strength and yield over time, by a lumped model of free
 * water, a layered bed, a clogging paper and three classes of solubles.
 *
 * A forecast without a measured brew of the lot is a rough range: an unknown brewer or paper can be off by
 * 90 s. Do not recommend grinds below 450 micrometres from it; how much roast age and the manner of pouring move
 * it is assumed in size, and the split into classes is qualitative.
 *
 * @param input.stepS - 1 s unless asked for otherwise
 * @param input.longestS - when to give up on a brew that does not drain
 * @returns the brew, or which figure of the input cannot be
 * @example simulateBrew({ doseG: 15, grind: { d50Um: 680 }, kettleC: 96, pours: [...], ... }) // 1.35 %, 20.1 %
 */
export function simulateBrew(
  input: BrewModelInput & { stepS?: number; longestS?: number },
): Result<BrewForecast, BrewInputFailure> {
  const fault = firstOutOfRange(input, STEP_RANGES) ?? brewInputFault(input);
  if (fault) return fault;
  const { stepS = DISPLAY_STEP_S, longestS = LONGEST_S } = input;
  const setup = setupOf(input);
  const recorder = seriesRecorder();
  recorder.add({ ...NOTHING_YET, slurryC: input.ambientC });
  let soluteBeforeKg = 0;
  let waterBeforeKg = 0;
  const run = runBrew(setup, {
    stepS,
    longestS,
    onGrid(state, outcome) {
      const soluteKg = sum(state.cupSolute);
      const beverageKg = state.cupWaterKg + soluteKg;
      const streamKg = beverageKg - waterBeforeKg - soluteBeforeKg;
      recorder.add({
        atS: state.atS,
        levelM: outcome.levelM,
        slurryC: state.slurryC,
        outflowGps: outcome.outflowKgPerS * 1000,
        aboveBedG: state.aboveKg * 1000,
        beverageG: beverageKg * 1000,
        tdsPercent: beverageKg > 0 ? (soluteKg / beverageKg) * 100 : 0,
        streamTdsPercent: streamKg > 1e-9 ? ((soluteKg - soluteBeforeKg) / streamKg) * 100 : 0,
        yieldPercent: (soluteKg / setup.doseKg) * 100,
      });
      soluteBeforeKg = soluteKg;
      waterBeforeKg = state.cupWaterKg;
    },
  });
  const series = recorder.series();
  return success({
    ...servedCup(run, input),
    drawdownS: run.drawdownS,
    yieldByClassPercent: [0, 1, 2].map((kind) => ((run.cup.byClassKg[kind] ?? 0) / setup.doseKg) * 100) as [
      number,
      number,
      number,
    ],
    beverageC: run.beverageC,
    maxLevelM: run.maxLevelM,
    overflows: run.maxLevelM > input.brewer.heightM,
    afterLift: run.lifted ? afterLift(run) : null,
    warnings: brewWarnings({ setup, series, drawdownS: run.drawdownS, maxLevelM: run.maxLevelM }),
    ...balanceErrors(run),
    series,
  });
}

function servedCup({ cup }: BrewRun, { doseG, bypassG = 0 }: BrewModelInput) {
  const undilutedKg = cup.waterKg + cup.soluteKg;
  const undiluted = {
    tdsPercent: undilutedKg > 0 ? (cup.soluteKg / undilutedKg) * 100 : 0,
    beverageG: undilutedKg * 1000,
  };
  return {
    ...(bypassG > 0 ? diluteBeverage({ ...undiluted, bypassG }) : undiluted),
    yieldPercent: (cup.soluteKg / doseG) * 100_000,
  };
}

function afterLift({ state, cup }: BrewRun) {
  const soluteKg = sum(state.cupSolute) - cup.soluteKg;
  const beverageKg = state.cupWaterKg - cup.waterKg + soluteKg;
  return { beverageG: beverageKg * 1000, tdsPercent: beverageKg > 1e-9 ? (soluteKg / beverageKg) * 100 : 0 };
}

function balanceErrors({ state, pouredKg }: BrewRun): { waterError: number; soluteError: number } {
  const waterKg = state.aboveKg + state.poresKg + state.grainsKg + state.cupWaterKg + state.evaporatedKg;
  const startKg = sum(state.grainSoluteAtStart);
  const soluteKg =
    sum(state.grainSolute) + sum(state.poreSolute) + sum(state.aboveSolute) + sum(state.cupSolute);
  return {
    // Given up before the first drop, a brew has no water to lose either.
    waterError: pouredKg > 0 ? Math.abs(waterKg - pouredKg) / pouredKg : waterKg,
    // A lot without anything soluble has nothing to lose.
    soluteError: startKg > 0 ? Math.abs(soluteKg - startKg) / startKg : soluteKg,
  };
}
