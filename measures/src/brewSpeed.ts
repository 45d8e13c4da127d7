import { simulateBrew, valueOf } from '@vendu/core';
import { runBrew, setupOf } from '@vendu/core/brewModel';
import { REFERENCE_BREW } from './recipes.js';
import { fixed, percentile, table, timesOf } from './report.js';
import { solveBrew } from './solver.js';

const TOLERANCES = [3e-3, 1e-3, 3e-4, 1e-4, 1e-5, 1e-6];
/** A fine step, the one for display, and the one of fits, searches and spreads. */
const STEPS_S = [0.25, 1, 2];
const OWN_BREWS = 20;
const WARM_UPS = 6;
const ROUNDS = 25;
const REFERENCE_TOLERANCE = 1e-8;
const BOTH_STOP_S = 200;

/** Time of one brew with its series, against a general solver on the same equations, errors beside the times. */
export function brewSpeed(): string {
  const setup = setupOf(REFERENCE_BREW);
  const withSeries = timesOf(() => valueOf(simulateBrew(REFERENCE_BREW)), { warmUps: 200, runs: 400 });
  // Both sides stop at the same time on the clock, so that the same cup is compared.
  const untilS = runBrew(setup, { stepS: 0.25, longestS: BOTH_STOP_S }).state.atS;
  const reference = solveBrew(setup, { tolerance: REFERENCE_TOLERANCE, untilS, findsDrawdown: false });
  const errorOf = (yieldPercent: number) => Math.abs(yieldPercent - reference.yieldPercent);
  const schemes = [
    ...STEPS_S.map((stepS) => {
      const options = { stepS, longestS: untilS };
      return {
        name: `ours, ${stepS} s, no series`,
        // Several brews at a time: one alone is too short for the clock.
        times: OWN_BREWS,
        brew: () => runBrew(setup, options).cup.soluteKg,
        evaluations: Math.round(untilS / stepS),
      };
    }),
    ...TOLERANCES.map((tolerance) => {
      const options = { tolerance, untilS, findsDrawdown: false };
      return {
        name: `odex, ${tolerance.toExponential(0)}`,
        times: 1,
        brew: () => (solveBrew(setup, options).yieldPercent / 100) * setup.doseKg,
        evaluations: solveBrew(setup, options).evaluations,
      };
    }),
  ];
  // Taken in turns, so that a machine that is slow for a while is slow for all of them.
  const taken = schemes.map(() => [] as number[]);
  for (let round = 0; round < WARM_UPS + ROUNDS; round++) {
    for (const [index, { brew, times }] of schemes.entries()) {
      const startMs = performance.now();
      for (let time = 0; time < times; time++) brew();
      if (round >= WARM_UPS) taken[index]?.push((performance.now() - startMs) / times);
    }
  }
  const results = schemes.map(({ name, brew, evaluations }, index) => ({
    name,
    ms: percentile(taken[index] ?? [], 0.5),
    error: errorOf((brew() / setup.doseKg) * 100),
    evaluations,
  }));
  const own = results.slice(0, STEPS_S.length);
  const solved = results.slice(STEPS_S.length);
  const fairTo = (error: number) =>
    solved
      .filter((each) => each.error < 1)
      .reduce((best, each) =>
        Math.abs(Math.log(each.error / error)) < Math.abs(Math.log(best.error / error)) ? each : best,
      );
  const fine = solved.at(-1);
  return [
    '## One brew',
    '',
    `A brew that ends after ${fixed(untilS, 0)} s, as it is displayed, with its series: median **${fixed(percentile(withSeries, 0.5), 2)} ms**, 10th to 90th percentile ${fixed(percentile(withSeries, 0.1), 2)} to ${fixed(percentile(withSeries, 0.9), 2)} ms.`,
    '',
    'Against a general adaptive solver on the same equations, restarted at every event. Error: of the yield at the same time on the clock against the solver at a tolerance of 1e-8, in yield points.',
    '',
    table(
      ['scheme', 'median ms', 'error, points', 'evaluations'],
      [...own, ...solved].map(({ name, ms, error, evaluations }) => [
        name,
        fixed(ms, 3),
        error < 1 ? error.toExponential(1) : 'diverged',
        evaluations,
      ]),
    ),
    '',
    ...own.map(({ name, ms, error }) => {
      const fair = fairTo(error);
      return `- ${name}: the fair pair, whose error is nearest, is ${fair.name}, which takes **${fixed(fair.ms / ms, 1)} times** as long; at 1e-6 it takes ${fixed((fine?.ms ?? NaN) / ms, 1)} times.`;
    }),
    '',
    ...linearCost(),
  ].join('\n');
}

/** Brews of one, two and four times the length. */
function linearCost(): string[] {
  const rows = [1, 2, 4].map((times) => {
    const pours = Array.from({ length: 3 * times }, (_, index) => ({
      startS: index * 50,
      amountG: 80,
      flowGps: 5,
    }));
    const setup = setupOf({ ...REFERENCE_BREW, pours });
    const options = { stepS: 1, longestS: 1200 };
    const lengthS = runBrew(setup, options).state.atS;
    const ms = percentile(
      timesOf(() => runBrew(setup, options), { warmUps: 50, runs: 100 }),
      0.5,
    );
    return [fixed(lengthS, 0), fixed(ms, 3), fixed((ms / lengthS) * 1000, 2)];
  });
  return [
    'Cost grows with the length of the brew and nothing else:',
    '',
    table(['brew, s', 'median ms', 'µs per second of brew'], rows),
  ];
}
