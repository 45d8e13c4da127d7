import { BREWER_CLASSES, PAPER_PER_M } from '@vendu/core';
import { BREW_MODEL } from '@vendu/core/brewModel';
import { fixed, percentile, table } from '../report.js';
import { FACTS, SET_ASIDE, type Fact } from './facts.js';
import { fitConstants, outcomeOf } from './fitConstants.js';
import type { Fitted } from './parameters.js';

/** Where less than this share of its prior's spread is left, the brews tell something of a constant. */
const TOLD = 0.8;

/** The constants fitted to brews of practice, how surely, and what each brew would have been forecast at without its source. */
export function practiceFacts(progress: (line: string) => void): string {
  progress('the fit to all brews');
  const fit = fitConstants(FACTS);
  const sources = [...new Set(FACTS.map(({ source }) => source))];
  const apart = sources.flatMap((source) => {
    progress(`a fit without the brews of source ${source}`);
    const { fitted } = fitConstants(FACTS.filter((fact) => fact.source !== source));
    return FACTS.filter((fact) => fact.source === source).map((fact) => forecast(fact, fitted));
  });
  const aside = SET_ASIDE.map((fact) => forecast(fact, fit.fitted));
  const offs = [...apart, ...aside].flatMap(({ off }) => (off === null ? [] : [Math.abs(off)]));
  return [
    '## Brews of practice',
    '',
    'The constants are fitted to these: that they are met is no validation. What practice left unsaid (flows, some times, swirls) is assumed.',
    '',
    table(
      ['brew', 'practice', 'drains', 'TDS %', 'yield', 'cup, g'],
      FACTS.map((fact) => {
        const { drawdownS, tdsPercent, yieldPercent, beverageG } = outcomeOf(fact, fit.fitted);
        return [
          fact.name,
          fact.told,
          `${fixed(drawdownS, 0)} s`,
          fixed(tdsPercent, 2),
          fixed(yieldPercent, 1),
          fixed(beverageG, 0),
        ];
      }),
    ),
    '',
    '### What a forecast without a measured brew is worth',
    '',
    `Each brew by a fit that never saw a brew of its source, with the size that its word stands for; and one lot at three doses that was set aside from the start (its brewers and pours are assumed). Drain time off by ${fixed(percentile(offs, 0.5), 0)} % in the median, ${fixed(Math.max(...offs), 0)} % at worst.`,
    '',
    table(
      ['brew', 'practice', 'forecast', 'off', 'TDS %'],
      [...apart, ...aside].map(({ fact, drawdownS, off, tdsPercent }) => [
        fact.name,
        fact.told,
        `${fixed(drawdownS, 0)} s`,
        off === null ? '' : `${off > 0 ? '+' : ''}${fixed(off, 0)} %`,
        fixed(tdsPercent, 2),
      ]),
    ),
    '',
    '### The constants',
    '',
    `Left of the prior's spread: 1 where the brews tell nothing of a constant. Above ${TOLD} it is what was assumed, and stands here for honesty only.`,
    '',
    table(
      ['constant', 'fitted', 'in the code', 'left of the spread', ''],
      fit.constants
        .filter(({ name }) => !name.startsWith('grind of'))
        .map(({ name, value, spreadLeft }) => [
          name,
          value.toPrecision(4),
          inCode(name)?.toPrecision(4) ?? '',
          fixed(spreadLeft, 2),
          spreadLeft > TOLD ? 'prior' : '',
        ]),
    ),
    '',
    `Missed: ${fixed(fit.missed, 1)} (sum of squares over ${counted(FACTS)} figures, in standard deviations); moved from the priors: ${fixed(fit.moved, 1)}.`,
  ].join('\n');
}

function forecast(fact: Fact, fitted: Fitted) {
  const { drawdownS, tdsPercent } = outcomeOf(fact, fitted);
  return {
    fact,
    drawdownS,
    tdsPercent,
    off: fact.drawdownS ? (drawdownS / fact.drawdownS[0] - 1) * 100 : null,
  };
}

function counted(facts: readonly Fact[]): number {
  const figures = ['drawdownS', 'tdsPercent', 'yieldPercent', 'beverageG'] as const;
  return facts.reduce((sum, fact) => sum + figures.filter((figure) => fact[figure]).length, 0);
}

/** What the model brews with. */
export function inCode(name: string): number | undefined {
  const [, wall] = /^wall of (.*)$/.exec(name) ?? [];
  const [, paper] = /^paper (.*)$/.exec(name) ?? [];
  if (wall) return BREWER_CLASSES[wall as keyof typeof BREWER_CLASSES].drainShare;
  if (paper) return PAPER_PER_M[paper as keyof typeof PAPER_PER_M];
  if (name === 'missed by a spiral') return BREW_MODEL.unevenBy.spiral;
  return BREW_MODEL[name as 'cellM'];
}
