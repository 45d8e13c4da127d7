import { runBrew } from '../brewModel/runBrew.js';
import { setupFor } from '../brewModel/setup.js';
import { sum } from '../brewModel/state.js';
import { lotFactorsOf, medianUm, type BrewConditions, type LearnedFactors } from './conditions.js';
import type { Output } from './discrepancy.js';

/** Two seconds are within 1.2 s and 0.04 points of a much finer step (95 of 100 brews), and a fit takes a hundred brews. */
const FIT_STEP_S = 2;
/** Water that drains at once, less than a drop, has no logarithm: nothing is told apart below this. */
const LEAST_DRAIN_S = 0.5;
/** A brew that has not drained by then counts as draining then: far out, but still a number to fit. */
const LONGEST_S = 900;

export interface ModelledBrew {
  drawdownS: number;
  drained: boolean;
  tdsPercent: number;
  yieldPercent: number;
  beverageG: number;
  overflows: boolean;
  /** Beverage at the times asked for, g. */
  traceG: number[];
}

/** Grind at which the steepness changes nothing, um. */
const PIVOT_UM = 700;

/** What the model makes of a brew with these factors; bypass counts, since the cup is what is read. */
export function modelledBrew(
  brew: BrewConditions,
  factors: LearnedFactors,
  traceTimesS: readonly number[] = [],
): ModelledBrew {
  return remembering(brew, traceTimesS)(factors);
}

/** The same for one brew and many factors, without simulating again where only the steepness has changed. */
export function remembering(
  brew: BrewConditions,
  traceTimesS: readonly number[],
): (factors: LearnedFactors) => ModelledBrew {
  const trace = tracer(brew);
  const known = new Map<string, ModelledBrew>();
  return (factors) => {
    const { solubility, rate, flow, retained } = factors;
    const key = [solubility, rate, flow, retained].join();
    let flat = known.get(key);
    if (!flat) {
      flat = simulated(brew, trace(factors, traceTimesS, LONGEST_S));
      known.set(key, flat);
    }
    return steepened(brew, flat, factors);
  };
}

/** Slope of a brew's strength with the logarithm of the steepness: it grows with the distance from the pivot. */
export function steepnessSlope(brew: BrewConditions, tdsPercent: number): number {
  return -tdsPercent * Math.log(medianUm(brew) / PIVOT_UM);
}

/** Strength follows the grind more, or less, than the simulation has it. */
function steepened(
  brew: BrewConditions,
  flat: ModelledBrew,
  { steepness }: Pick<LearnedFactors, 'steepness'>,
): ModelledBrew {
  const by = Math.pow(medianUm(brew) / PIVOT_UM, -Math.log(steepness));
  return { ...flat, tdsPercent: flat.tdsPercent * by, yieldPercent: flat.yieldPercent * by };
}

/** What has run into the server by the times asked for, g; in order of time. The brew is not followed beyond them. */
export function modelledOutflowG(
  brew: BrewConditions,
  factors: LearnedFactors,
  timesS: readonly number[],
): number[] {
  return tracer(brew)(factors, timesS, (timesS.at(-1) ?? 0) + FIT_STEP_S).traceG;
}

/** A brew run with any factors, and its beverage at times in their order. */
function tracer(brew: BrewConditions) {
  const setup = setupFor(brew);
  return (factors: LearnedFactors, timesS: readonly number[], longestS: number) => {
    const traceG: number[] = [];
    let beforeS = 0;
    let beforeG = 0;
    const run = runBrew(setup(lotFactorsOf(factors, brew.roastAgeDays)), {
      stepS: FIT_STEP_S,
      longestS,
      ...(timesS.length === 0
        ? {}
        : {
            onGrid(state) {
              const beverageG = (state.cupWaterKg + sum(state.cupSolute)) * 1000;
              for (
                let timeS = timesS[traceG.length];
                timeS !== undefined && timeS <= state.atS;
                timeS = timesS[traceG.length]
              ) {
                const share = (timeS - beforeS) / (state.atS - beforeS);
                traceG.push(beforeG + share * (beverageG - beforeG));
              }
              beforeS = state.atS;
              beforeG = beverageG;
            },
          }),
    });
    const cupKg = run.cup.waterKg + run.cup.soluteKg;
    // What ran out after a brewer was lifted is in no cup of it, but ran out.
    const allKg = run.state.cupWaterKg + sum(run.state.cupSolute);
    while (traceG.length < timesS.length) traceG.push(allKg * 1000);
    return { run, cupKg, traceG };
  };
}

function simulated(
  brew: BrewConditions,
  { run, cupKg, traceG }: ReturnType<ReturnType<typeof tracer>>,
): ModelledBrew {
  const beverageG = cupKg * 1000 + (brew.bypassG ?? 0);
  return {
    drawdownS: run.drawdownS ?? LONGEST_S,
    drained: run.drawdownS !== null,
    tdsPercent: beverageG > 0 ? (run.cup.soluteKg * 100_000) / beverageG : 0,
    yieldPercent: (run.cup.soluteKg * 100_000) / brew.doseG,
    beverageG,
    overflows: run.maxLevelM > brew.brewer.heightM,
    traceG,
  };
}

/** A modelled figure as the fit takes it. */
export function modelledOutput(brew: ModelledBrew, output: Output): number {
  switch (output) {
    case 'drawdown':
      return Math.log(Math.max(brew.drawdownS, LEAST_DRAIN_S));
    case 'tds':
      return brew.tdsPercent;
    case 'beverage':
      return brew.beverageG;
  }
}
