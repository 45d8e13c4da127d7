import { startingRecipe, USUAL_SCHOOLS } from '@vendu/core';
import { fixed, percentile, table } from '../report.js';
import { TRUTHS } from './brewsToTarget.js';
import { pairedPValue } from './paired.js';
import { AIMS, isInside, middleOf, taskOf, trueCup } from './task.js';

const LOTS = 200;

/** Starting recipes of the page inside their aim, against one fixed recipe for every lot. */
export function starts(progress: (line: string) => void): string {
  const rows = TRUTHS.flatMap(({ truth, title }) =>
    (['installed', 'house'] as const).map((name) => {
      const aim = AIMS[name];
      const cups = Array.from({ length: LOTS }, (_, seed) => {
        const task = taskOf(truth, seed, aim);
        const { kit, shape } = task.lot;
        const fixedRecipe = startingRecipe(
          {
            process: 'honey',
            elevation: null,
            roastLevel: null,
            roastAgeDays: 14,
            brewer: { shape, usualDoseG: task.start.doseG },
            schools: USUAL_SCHOOLS,
            labElevationM: kit.elevationM,
          },
          { switchedOff: ['honey'] },
        ).plan;
        const [page, same] = [task.start, fixedRecipe].map((plan) => trueCup(task, plan));
        const yieldOff = (page?.yieldPercent ?? 0) - middleOf(aim).yieldPercent;
        const tdsOff = (page?.tdsPercent ?? 0) - middleOf(aim).tdsPercent;
        return {
          page: page !== undefined && isInside(task, page),
          same: same !== undefined && isInside(task, same),
          yieldOff,
          tdsOff,
        };
      });
      progress(`${title}, ${name}`);
      const share = (of: 'page' | 'same') =>
        `${fixed((cups.filter((cup) => cup[of]).length / LOTS) * 100, 0)} %`;
      const p = pairedPValue(
        cups.map(({ page }) => page),
        cups.map(({ same }) => same),
      );
      const middle = (of: 'yieldOff' | 'tdsOff', digits: number) =>
        fixed(
          percentile(
            cups.map((cup) => cup[of]),
            0.5,
          ),
          digits,
        );
      return [
        title,
        name,
        share('page'),
        share('same'),
        p < 0.001 ? '<0.001' : fixed(p, 3),
        middle('tdsOff', 2),
        middle('yieldOff', 1),
      ];
    }),
  );
  return [
    '## Starting recipes',
    '',
    `${LOTS} lots against each truth: how often the starting recipe of the page, brewed without any error, lies inside the aim of a fresh installation (1.15 to 1.35 %, 18 to 22 points) and of a house with its own (1.20 to 1.40 %, 18.5 to 21.5), against the house recipe brewed as it is for every lot; and where the page's lie against the middle, in the median.`,
    '',
    table(['truth', 'aim', 'page', 'fixed recipe', 'luck', 'strength off', 'yield off'], rows),
  ].join('\n');
}
