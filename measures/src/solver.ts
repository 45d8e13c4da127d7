import {
  derivative,
  initialState,
  readState,
  streamAt,
  writeState,
  type BrewSetup,
} from '@vendu/core/brewModel';
import { OdexSolver } from './odex.js';

export interface SolvedBrew {
  yieldPercent: number;
  drawdownS: number | null;
  evaluations: number;
}

/** What is small for each number of a state: masses of water, of solutes, temperatures, shares. */
function scaleOf(index: number): number {
  if (index === 6 || index === 7) return 1;
  if (index === 5 || index === 10 || index === 11) return 1e-2;
  return index < 13 ? 1e-3 : 1e-5;
}

/**
 * The same equations by a general adaptive solver (Gragg, Bulirsch and Stoer), restarted at every event.
 *
 * @param untilS - where to stop
 * @param findsDrawdown - looks for the drain time inside each step, which costs the solver's dense output
 */
export function solveBrew(
  setup: BrewSetup,
  { tolerance, untilS, findsDrawdown }: { tolerance: number; untilS: number; findsDrawdown: boolean },
): SolvedBrew {
  const { input, model, inflows } = setup;
  const start = initialState(setup);
  let numbers = writeState(start);
  const change = new Array<number>(numbers.length).fill(0);
  const rates = derivative(setup);
  const pouredByS = Math.max(...inflows.map(({ endS }) => endS));
  const times = [
    ...new Set([
      0,
      ...inflows.flatMap(({ startS, endS }) => [startS, endS]),
      ...input.agitation.map(({ atS }) => atS),
      untilS,
    ]),
  ]
    .filter((atS) => atS <= untilS)
    .sort((a, b) => a - b);
  const drainedAt: number[] = [];
  let evaluations = 0;
  for (const [index, fromS] of times.entries()) {
    const toS = times[index + 1];
    for (const { atS, kind } of input.agitation) {
      if (atS !== fromS) continue;
      const state = readState(start, numbers);
      state.agitation += model.agitationOf[kind];
      state.clumped *= model.clumpsLeftBy[kind];
      numbers = writeState(state);
    }
    if (toS === undefined) break;
    const stream = streamAt(setup, fromS);
    const solver = new OdexSolver(numbers.length);
    solver.relativeTolerance = tolerance;
    solver.absoluteTolerance = numbers.map((_, at) => tolerance * scaleOf(at));
    solver.maxSteps = 1_000_000;
    const looks = findsDrawdown && drainedAt.length === 0 && fromS >= pouredByS;
    solver.denseOutput = looks;
    if (looks) solver.denseComponents = [0];
    const solved = solver.solve(
      (_, y) => {
        rates(y, stream, change);
        return change.slice();
      },
      fromS,
      numbers,
      toS,
      looks
        ? (_, before, now, y, dense) => {
            if (drainedAt.length === 0 && (y[0] ?? 0) < model.drainedKg) {
              drainedAt.push(crossing(before, now, dense, model.drainedKg));
            }
            return undefined;
          }
        : undefined,
    );
    evaluations += solved.nEval;
    numbers = solved.y;
  }
  const state = readState(start, numbers);
  const solids = state.cupSolute.reduce((sum, kg) => sum + kg, 0);
  return { yieldPercent: (solids / setup.doseKg) * 100, drawdownS: drainedAt[0] ?? null, evaluations };
}

/** Where the water above the bed falls through a mass, by halving the step on the solver's own interpolation. */
function crossing(
  before: number,
  now: number,
  dense: (component: number, x: number) => number,
  kg: number,
): number {
  let [low, high] = [before, now];
  for (let halving = 0; halving < 40; halving++) {
    const middle = (low + high) / 2;
    if (dense(0, middle) > kg) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}
