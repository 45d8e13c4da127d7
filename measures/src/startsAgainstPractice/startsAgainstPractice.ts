import {
  BREWER_CLASSES,
  fittedStart,
  formatDuration,
  PAPER_PER_M,
  planRatio,
  USUAL_SCHOOLS,
  type FittedStart,
} from '@vendu/core';
import { fixed, percentile, table } from '../report.js';
import { PRACTICE_LOTS, type PracticeLot } from './lots.js';

/** What goes with ratios about 1:16 by mass balance: 1.35 % was stated at yields from 18 to 21 points (common practice). */
const PRACTICE_WINDOW = {
  tdsLowPercent: 1.3,
  tdsHighPercent: 1.45,
  yieldLowPercent: 18,
  yieldHighPercent: 21,
};

/** Near enough to be the same advice. */
const NEAR = { kettleC: 2, ratio: 0.5, timeShare: 0.2 };

/** Starting recipes of contrasting lots beside what practice would expect of them. */
export function startsAgainstPractice(): string {
  const rows = PRACTICE_LOTS.map((lot) => ({ lot, start: startOf(lot) }));
  const near = rows.map(({ lot, start }) => nearOf(lot, start));
  const count = (of: keyof (typeof near)[number]) =>
    `${near.filter((each) => each[of]).length} of ${near.length}`;
  const middle = (of: (row: (typeof rows)[number]) => number) => percentile(rows.map(of), 0.5);
  return [
    '## Starting recipes against practice',
    '',
    `${rows.length} contrasting lots, each with the kettle, ratio and drain time that the rules of the trade expect of it, written down before the starts were computed; the page's own starting recipe, aim of those who brew so (${PRACTICE_WINDOW.tdsLowPercent.toFixed(2)} to ${PRACTICE_WINDOW.tdsHighPercent} %, ${PRACTICE_WINDOW.yieldLowPercent} to ${PRACTICE_WINDOW.yieldHighPercent} points), an ordinary paper. Near: kettle within ${NEAR.kettleC} °C, ratio within ${NEAR.ratio}, time within ${NEAR.timeShare * 100} %.`,
    '',
    table(
      ['', 'near', 'off, in the median'],
      [
        [
          'kettle',
          count('kettle'),
          `${fixed(
            middle(({ lot, start }) => start.plan.kettleC - lot.expected.kettleC),
            0,
          )} °C`,
        ],
        [
          'ratio',
          count('ratio'),
          fixed(
            middle(({ lot, start }) => planRatio(start.plan) - lot.expected.ratio),
            1,
          ),
        ],
        [
          'drain time',
          count('time'),
          `${fixed(middle(({ lot, start }) => start.plan.drawdownS / lot.expected.drawdownS - 1) * 100, 0)} %`,
        ],
        ['all three', count('all'), ''],
        ['the plan inside its own forecast', count('insideForecast'), ''],
      ],
    ),
    '',
    table(
      ['lot', 'kettle, practice', 'ratio, practice', 'time, practice'],
      rows.map(({ lot: { name, expected }, start: { plan } }) => [
        name,
        `${plan.kettleC}, ${expected.kettleC}`,
        `${fixed(planRatio(plan), 1)}, ${expected.ratio}`,
        `${formatDuration(plan.drawdownS)}, ${formatDuration(expected.drawdownS)}`,
      ]),
    ),
  ].join('\n');
}

function startOf({ facts }: PracticeLot): FittedStart {
  const { brewer = { shape: 'cone', usualDoseG: 16 } as const } = facts;
  return fittedStart({
    facts: {
      elevation: null,
      roastLevel: 'medium-light',
      roastAgeDays: 10,
      schools: USUAL_SCHOOLS,
      labElevationM: 0,
      ...facts,
      brewer,
    },
    switchedOff: [],
    kit: {
      brewer: BREWER_CLASSES[brewer.shape],
      paperPerM: PAPER_PER_M.ordinary,
      ambientC: 21,
      elevationM: 0,
    },
    houseWindow: PRACTICE_WINDOW,
    aim: null,
    reach: { finestUm: 300, coarsestUm: 1400 },
    earlierLots: [],
  });
}

function nearOf({ expected }: PracticeLot, { plan, forecast }: FittedStart) {
  const kettle = Math.abs(plan.kettleC - expected.kettleC) <= NEAR.kettleC;
  const ratio = Math.abs(planRatio(plan) - expected.ratio) <= NEAR.ratio + 1e-9;
  const time = Math.abs(plan.drawdownS / expected.drawdownS - 1) <= NEAR.timeShare;
  const { low, high } = forecast.drawdownS;
  // A brewer that is lifted off ends when it is, whenever it would have drained.
  const insideForecast = plan.lifts === true || (low <= plan.drawdownS && plan.drawdownS <= high);
  return { kettle, ratio, time, all: kettle && ratio && time, insideForecast };
}
