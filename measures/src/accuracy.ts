import { runBrew, setupOf } from '@vendu/core/brewModel';
import { randomBrew } from './recipes.js';
import { fixed, percentile, table } from './report.js';
import { solveBrew } from './solver.js';

const RECIPES = 400;
const LONGEST_S = 900;
/** A fine step, the one for display, the one of fits and searches. */
const STEPS_S = [0.25, 1, 2];
/** Errors that no user could see, and how often they are asked to be smaller. */
const ASKED = { drawdownS: 1, yieldPoints: 0.02 };

/** The scheme against the reference, on recipes nobody chose. */
export function accuracy(): string {
  const errors = STEPS_S.map(() => ({ drawdownS: [] as number[], yieldPoints: [] as number[] }));
  let undrained = 0;
  for (let seed = 1; seed <= RECIPES; seed++) {
    const setup = setupOf(randomBrew(seed));
    const fine = runBrew(setup, { stepS: 0.25, longestS: LONGEST_S });
    const untilS = fine.state.atS;
    const reference = solveBrew(setup, { tolerance: 1e-8, untilS, findsDrawdown: true });
    if (fine.drawdownS === null || reference.drawdownS === null) {
      undrained += 1;
      continue;
    }
    for (const [index, stepS] of STEPS_S.entries()) {
      const own = runBrew(setup, { stepS, longestS: untilS });
      const ownYield = (own.cup.soluteKg / setup.doseKg) * 100;
      errors[index]?.drawdownS.push(Math.abs((own.drawdownS ?? untilS) - reference.drawdownS));
      errors[index]?.yieldPoints.push(Math.abs(ownYield - reference.yieldPercent));
    }
  }
  const row = (figure: string, stepS: number, list: number[], digits: number, bound: number) => [
    figure,
    stepS,
    fixed(percentile(list, 0.5), digits),
    fixed(percentile(list, 0.95), digits),
    fixed(Math.max(...list), digits),
    `${fixed((list.filter((error) => error <= bound).length / list.length) * 100, 1)} % within ${bound}`,
  ];
  return [
    '## Error of the scheme',
    '',
    `${RECIPES} random recipes of 10 to 40 g, one to five pours, 450 to 1,200 µm, against the solver at 1e-8; ${undrained} never drained within ${LONGEST_S} s and are left out. Display takes 1 s, fits and searches 2 s.`,
    '',
    table(
      ['figure', 'step, s', 'median', '95 %', 'largest', ''],
      [
        ...STEPS_S.map((stepS, index) =>
          row('drain time, s', stepS, errors[index]?.drawdownS ?? [], 2, ASKED.drawdownS),
        ),
        ...STEPS_S.map((stepS, index) =>
          row('yield, points', stepS, errors[index]?.yieldPoints ?? [], 4, ASKED.yieldPoints),
        ),
      ],
    ),
  ].join('\n');
}
