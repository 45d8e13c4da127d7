import { simulateBrew, valueOf } from '@vendu/core';
import { runBrew, setupOf } from '@vendu/core/brewModel';
import { REFERENCE_BREW } from './recipes.js';
import { fixed, percentile, table, timesOf } from './report.js';
import { solveBrew } from './solver.js';

const TOLERANCES = [3e-3, 1e-3, 3e-4, 1e-4, 1e-5, 1e-6];
const REFERENCE_TOLERANCE = 1e-8;
const BOTH_STOP_S = 200;

/** Time of one brew with its series, against a general solver on the same equations, errors beside the times. */
export function brewSpeed(): string {
  const setup = setupOf(REFERENCE_BREW);
  const end = { stepS: 0.25, longestS: BOTH_STOP_S };
  const withSeries = timesOf(() => valueOf(simulateBrew(REFERENCE_BREW)), { warmUps: 200, runs: 400 });
  // Both sides stop at the same time on the clock, so that the same cup is compared.
  const own = runBrew(setup, end);
  const untilS = own.state.atS;
  const ownMs = percentile(
    timesOf(() => runBrew(setup, end), { warmUps: 200, runs: 400 }),
    0.5,
  );
  const reference = solveBrew(setup, {
    tolerance: REFERENCE_TOLERANCE,
    untilS,
    findsDrawdown: false,
  }).yieldPercent;
  const ownYield = (own.cup.soluteKg / setup.doseKg) * 100;
  const ownError = Math.abs(ownYield - reference);
  const solved = TOLERANCES.map((tolerance) => {
    const options = { tolerance, untilS, findsDrawdown: false };
    const { yieldPercent, evaluations } = solveBrew(setup, options);
    const ms = percentile(
      timesOf(() => solveBrew(setup, options), { warmUps: 5, runs: 15 }),
      0.5,
    );
    return { tolerance, ms, error: Math.abs(yieldPercent - reference), evaluations };
  });
  const usable = solved.filter(({ error }) => Number.isFinite(error) && error < 1);
  const fair = usable.reduce((best, each) =>
    Math.abs(Math.log(each.error / ownError)) < Math.abs(Math.log(best.error / ownError)) ? each : best,
  );
  const fine = solved.find(({ tolerance }) => tolerance === 1e-6);
  const row = (name: string, ms: number, error: number, evaluations: string) => [
    name,
    fixed(ms, 3),
    error < 1 ? error.toExponential(1) : 'diverged',
    evaluations,
    `${fixed(ms / ownMs, 1)} x`,
  ];
  return [
    '## One brew',
    '',
    `A brew of ${fixed(own.drawdownS ?? 0, 0)} s to the drain, ${fixed(untilS, 0)} s in all, in steps of 0.25 s, with its series: median **${fixed(percentile(withSeries, 0.5), 2)} ms**, 10th to 90th percentile ${fixed(percentile(withSeries, 0.1), 2)} to ${fixed(percentile(withSeries, 0.9), 2)} ms.`,
    '',
    'Against a general adaptive solver on the same equations, restarted at every event. Error: of the yield at the same time on the clock against the solver at a tolerance of 1e-8, in yield points.',
    '',
    table(
      ['scheme', 'median ms', 'error, points', 'evaluations', 'time of ours'],
      [
        row('ours, 0.25 s, no series', ownMs, ownError, String(Math.round(untilS / 0.25))),
        ...solved.map(({ tolerance, ms, error, evaluations }) =>
          row(`odex, ${tolerance.toExponential(0)}`, ms, error, String(evaluations)),
        ),
      ],
    ),
    '',
    `The fair pair is odex at ${fair.tolerance.toExponential(0)}, whose error is nearest to ours: it takes **${fixed(fair.ms / ownMs, 1)} times** as long${fine ? `; at 1e-6, ${fixed(fine.ms / ownMs, 1)} times` : ''}.`,
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
    const options = { stepS: 0.25, longestS: 1200 };
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
