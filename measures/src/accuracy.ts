import { runBrew, setupOf } from '@vendu/core/brewModel';
import { randomBrew } from './recipes.js';
import { fixed, percentile, table } from './report.js';
import { solveBrew } from './solver.js';

const RECIPES = 400;
const LONGEST_S = 900;

/** The scheme at its step for display against the reference, on recipes nobody chose. */
export function accuracy(): string {
  const yieldErrors: number[] = [];
  const timeErrors: number[] = [];
  let undrained = 0;
  for (let seed = 1; seed <= RECIPES; seed++) {
    const setup = setupOf(randomBrew(seed));
    const own = runBrew(setup, { stepS: 0.25, longestS: LONGEST_S });
    const reference = solveBrew(setup, { tolerance: 1e-8, untilS: own.state.atS, findsDrawdown: true });
    if (own.drawdownS === null || reference.drawdownS === null) {
      undrained += 1;
      continue;
    }
    yieldErrors.push(Math.abs((own.cup.soluteKg / setup.doseKg) * 100 - reference.yieldPercent));
    timeErrors.push(Math.abs(own.drawdownS - reference.drawdownS));
  }
  const row = (name: string, errors: number[], digits: number, bound: number) => [
    name,
    fixed(percentile(errors, 0.5), digits),
    fixed(percentile(errors, 0.95), digits),
    fixed(Math.max(...errors), digits),
    `${fixed((errors.filter((error) => error <= bound).length / errors.length) * 100, 1)} % within ${bound}`,
  ];
  return [
    '## Error of the scheme',
    '',
    `${RECIPES} random recipes at 0.25 s against the solver at 1e-8; ${undrained} never drained within ${LONGEST_S} s and are left out.`,
    '',
    table(
      ['figure', 'median', '95 %', 'largest', 'asked'],
      [row('finished yield, points', yieldErrors, 4, 0.02), row('drain time, s', timeErrors, 2, 1.2)],
    ),
  ].join('\n');
}
