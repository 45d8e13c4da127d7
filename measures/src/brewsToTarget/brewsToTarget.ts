import { availableParallelism } from 'node:os';
import { Piscina } from 'piscina';
import { fixed, table } from '../report.js';
import type { TruthName } from '../truths/truth.js';
import { pairedPValue } from './paired.js';
import { ABLATIONS } from './ablation.js';
import { ALL_ARMS } from './arms.js';
import { SPLIT_FIRST } from './splitFirst.js';
import { ARMS, type Arm, type LotOutcome, type Miss } from './study.js';
import { LOTS_A_LAB } from './task.js';
import type { LabTask } from './worker.js';

export const TRUTHS: { truth: TruthName; title: string }[] = [
  { truth: 'varied', title: 'Truth of the model’s equations, with other constants' },
  { truth: 'layered', title: 'Truth of other physics, in layers' },
];

interface ArmOutcomes {
  name: string;
  outcomes: Record<StudiedAim, LotOutcome[]>;
}

/** Aims that every arm is tried on. */
const STUDIED = ['house', 'middle'] as const;
type StudiedAim = (typeof STUDIED)[number];

/** So many labs, of ten lots each. */
const LABS = 30;

/** The measure of the whole product, on the page's own path, against two truths. */
export async function brewsToTarget(progress: (line: string) => void, labs = LABS): Promise<string> {
  const arms = ALL_ARMS.slice(0, ARMS.length);
  const studied = await studyOf(arms, labs, progress);
  return [
    '## Brews to target',
    '',
    `${labs * LOTS_A_LAB} synthetic lots against each truth, ${LOTS_A_LAB} in each of ${labs} labs, fixed seeds. Each begins with the starting recipe that the lot page gives and goes the page's own way with all its levers: once for a house's window (1.20 to 1.40 %, 18.5 to 21.5 points), once for its middle alone (±0.05 %, ±0.5 points). A brew is inside when its plan, brewed without any error, lies in the window. Finished is a recipe when the arm takes it: the page by its own chance, the others at the first measured cup inside. Every arm sees the same lots, the same hand (2 % of grind, 1 K, 0.1 g of dose, 1.5 g and 1.5 s a pour, 3 % of paper) and the same instruments (three readings of 0.02 % with 0.012 % in common, a third worse than the page believes, 1 g of beverage, 4 s of drain time). In brackets: the chance that the difference from the lot page is luck (exact paired test).`,
    '',
    ...studied.flatMap(({ title, made }) => [
      `### ${title}`,
      '',
      countTable(made),
      '',
      ...chanceLine(made[0]),
      missTable(made),
      '',
    ]),
  ].join('\n');
}

/** The same page with one part of it taken away at a time. */
export async function ablation(progress: (line: string) => void, labs = LABS / 3): Promise<string> {
  const [wholePage] = ALL_ARMS;
  const arms = [...(wholePage ? [wholePage] : []), ...ABLATIONS];
  const studied = await studyOf(arms, labs, progress);
  return [
    '## What each part of it is worth',
    '',
    `The lot page with one part taken away, on ${labs * LOTS_A_LAB} of the same lots; in brackets the chance that the difference is luck.`,
    '',
    ...studied.flatMap(({ title, made }) => [`### ${title}`, '', countTable(made), '']),
  ].join('\n');
}

/** Whether it pays to split the first brew of a lot. */
export async function splitFirst(progress: (line: string) => void, labs = LABS): Promise<string> {
  const [wholePage] = ALL_ARMS;
  const studied = await studyOf([...(wholePage ? [wholePage] : []), SPLIT_FIRST], labs, progress);
  return [
    '## A first brew in four cups',
    '',
    `The lot page on ${labs * LOTS_A_LAB} of the same lots, with the first brew whole (one cup, three readings), or in four cups of like mass, each weighed and read once: poured together in thought they are the cup, and their changes are a course of its mass. In brackets the chance that the difference is luck.`,
    '',
    ...studied.flatMap(({ title, made }) => [`### ${title}`, '', countTable(made), '']),
  ].join('\n');
}

/** Every arm on every lot of both truths. */
async function studyOf(
  arms: readonly Arm[],
  labs: number,
  progress: (line: string) => void,
): Promise<{ title: string; made: ArmOutcomes[] }[]> {
  const pool = new Piscina({
    filename: new URL('./worker.js', import.meta.url).href,
    maxThreads: availableParallelism(),
  });
  const outcomesOf = async (armIndex: number, truth: TruthName, aim: StudiedAim) => {
    const tasks = Array.from({ length: labs }, (_, labIndex): LabTask => ({
      armIndex,
      labIndex,
      truth,
      aim,
    }));
    return (await Promise.all(tasks.map((task) => pool.run(task) as Promise<LotOutcome[]>))).flat();
  };
  const studied: { title: string; made: ArmOutcomes[] }[] = [];
  for (const { truth, title } of TRUTHS) {
    const made: ArmOutcomes[] = [];
    for (const arm of arms) {
      const startMs = performance.now();
      const armIndex = ALL_ARMS.indexOf(arm);
      made.push({
        name: arm.name,
        outcomes: {
          house: await outcomesOf(armIndex, truth, 'house'),
          middle: await outcomesOf(armIndex, truth, 'middle'),
        },
      });
      progress(`${title}: ${arm.name}, ${fixed((performance.now() - startMs) / 1000, 0)} s`);
    }
    studied.push({ title, made });
  }
  await pool.destroy();
  return studied;
}

interface Figure {
  head: string;
  aim: StudiedAim;
  of: (outcome: LotOutcome) => boolean;
}

const insideBy = (aim: StudiedAim, most: number): Figure => ({
  head: `${aim === 'house' ? 'inside' : 'middle'} by ${most}`,
  aim,
  of: ({ brews }) => brews.slice(0, most).some(({ isInside }) => isInside),
});
const finishedBy3 = ({ finishedAt }: LotOutcome) => finishedAt !== null && finishedAt <= 3;
const isRight = ({ finishedAt, brews }: LotOutcome) => brews[(finishedAt ?? 0) - 1]?.isInside === true;

const FIGURES: readonly Figure[] = [
  insideBy('house', 1),
  insideBy('house', 2),
  insideBy('house', 3),
  {
    head: 'right and finished by 3',
    aim: 'house',
    of: (outcome) => finishedBy3(outcome) && isRight(outcome),
  },
  {
    head: 'finished wrong by 3',
    aim: 'house',
    of: (outcome) => finishedBy3(outcome) && !isRight(outcome),
  },
  {
    head: 'measured inside by 2',
    aim: 'house',
    of: ({ brews }) => brews.slice(0, 2).some(({ isMeasuredInside }) => isMeasuredInside),
  },
  insideBy('middle', 2),
  insideBy('middle', 3),
];

/** Shares of lots, each beside its paired test against the first arm. */
function countTable(arms: readonly ArmOutcomes[]): string {
  const reference = arms[0]?.outcomes;
  return table(
    ['strategy', ...FIGURES.map(({ head }) => head)],
    arms.map(({ name, outcomes }, index) => [
      name,
      ...FIGURES.map(({ aim, of }) => {
        const right = outcomes[aim].map(of);
        const share = `${fixed((right.filter(Boolean).length / right.length) * 100, 0)} %`;
        return index === 0 || !reference
          ? share
          : `${share} (${chance(pairedPValue(reference[aim].map(of), right))})`;
      }),
    ]),
  );
}

/** What the page said of the recipes it took, and how many of them were right. */
function chanceLine(page: ArmOutcomes | undefined): string[] {
  if (!page) return [];
  const said = STUDIED.map((aim) => {
    const taken = page.outcomes[aim].filter(({ statedChance }) => statedChance !== null);
    const stated = taken.reduce((sum, { statedChance }) => sum + (statedChance ?? 0), 0) / taken.length;
    const right = taken.filter(isRight).length / taken.length;
    return `${aim === 'house' ? 'for the window' : 'for its middle'} ${taken.length} recipes, stated ${fixed(stated * 100, 0)} %, right ${fixed(right * 100, 0)} %`;
  });
  return [`The chance that the lot page states of the recipes it takes: ${said.join('; ')}.`, ''];
}

function chance(p: number): string {
  return p < 0.001 ? '<0.001' : fixed(p, p < 0.1 ? 3 : 2);
}

/** On the way to the middle: how far forecasts were off after so many brews, and how often their bands of nine in ten held. */
function missTable(arms: readonly ArmOutcomes[]): string {
  const forecasting = arms.filter(({ outcomes }) => outcomes.middle.some(({ misses }) => misses.length > 1));
  return table(
    [
      'forecast of the next brew',
      'after',
      'of',
      'time rms, s',
      'TDS rms, %',
      'yield rms',
      'bands hold t / TDS / yield',
    ],
    forecasting.flatMap(({ name, outcomes }) =>
      [0, 1, 2, 3].flatMap((brewsBefore) => {
        const misses = outcomes.middle
          .flatMap((outcome) => outcome.misses)
          .filter((miss) => miss.brewsBefore === brewsBefore);
        return misses.length === 0 ? [] : [missRow(name, brewsBefore, misses)];
      }),
    ),
  );
}

function missRow(name: string, brewsBefore: number, misses: readonly Miss[]): string[] {
  const rms = (figure: 'drawdownS' | 'tdsPercent' | 'yieldPercent') =>
    Math.sqrt(misses.reduce((sum, miss) => sum + miss[figure] ** 2, 0) / misses.length);
  const held = (figure: keyof Miss['held']) =>
    fixed((misses.filter((miss) => miss.held[figure]).length / misses.length) * 100, 0);
  return [
    name,
    `${brewsBefore} brew${brewsBefore === 1 ? '' : 's'}`,
    String(misses.length),
    fixed(rms('drawdownS'), 1),
    fixed(rms('tdsPercent'), 3),
    fixed(rms('yieldPercent'), 2),
    `${held('drawdownS')} / ${held('tdsPercent')} / ${held('yieldPercent')} %`,
  ];
}
