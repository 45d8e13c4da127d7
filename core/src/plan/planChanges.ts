import { formatDuration } from '../quantity/duration.js';
import { formatRatio } from '../quantity/ratio.js';
import { agitationWords } from './agitating.js';
import { cupScheduleWords } from './cupSchedule.js';
import { endWords } from './endWords.js';
import { grindWords } from './grinding.js';
import { pouringWords, startWords } from './pouringWords.js';
import { planRatio, planWaterG, pourKettlesC, roundToTenth, runningTotalsG, type BrewPlan } from './plan.js';

/** One figure that differs between two plans, with both readings ready for print. */
export interface PlanChange {
  figure:
    | 'dose'
    | 'water'
    | 'ratio'
    | 'kettle'
    | 'grind'
    | 'pours'
    | 'bloom'
    | 'pouring'
    | 'regulator'
    | 'agitation'
    | 'drawdown'
    | 'ball'
    | 'lid'
    | 'on-top'
    | 'dry-bed'
    | 'tail'
    | 'cups'
    | 'bypass'
    | 'serving';
  from: string;
  to: string;
}

/**
 * What changed between two plans, and only that. A changed dose or water is named; the ratio is named
 * when it differs in its printed figure.
 */
export function planChanges({ from, to }: { from: BrewPlan; to: BrewPlan }): PlanChange[] {
  return FIGURES.flatMap(({ figure, print }) => {
    const before = print(from);
    const after = print(to);
    return before === after ? [] : [{ figure, from: before, to: after }];
  });
}

const FIGURES: { figure: PlanChange['figure']; print: (plan: BrewPlan) => string }[] = [
  { figure: 'grind', print: grindWords },
  { figure: 'kettle', print: kettleWords },
  { figure: 'dose', print: (plan) => `${roundToTenth(plan.doseG)} g` },
  { figure: 'water', print: (plan) => `${planWaterG(plan)} g` },
  { figure: 'ratio', print: (plan) => formatRatio(planRatio(plan)) },
  { figure: 'bloom', print: printBloom },
  { figure: 'pours', print: printPours },
  { figure: 'pouring', print: printPouring },
  {
    figure: 'regulator',
    print: ({ regulatorGps }) => (regulatorGps === undefined ? 'none' : `${regulatorGps} g/s`),
  },
  { figure: 'on-top', print: ({ showerPlate }) => (showerPlate ? 'shower plate' : 'nothing') },
  { figure: 'dry-bed', print: ({ needlesDry }) => (needlesDry ? 'needled' : 'shaken flat') },
  { figure: 'agitation', print: printAgitation },
  {
    figure: 'drawdown',
    print: (plan) => `${plan.lifts ? 'lifted at ' : ''}${endWords(plan)}`,
  },
  {
    figure: 'ball',
    print: ({ ballUntilS }) => (ballUntilS ? `until ${formatDuration(ballUntilS)}` : 'none'),
  },
  {
    figure: 'lid',
    print: ({ lidOpensS }) => (lidOpensS === undefined ? 'shut' : `opened at ${formatDuration(lidOpensS)}`),
  },
  { figure: 'tail', print: ({ tailApart }) => (tailApart ? 'in its own cup' : 'left out') },
  { figure: 'cups', print: ({ cups }) => (cups ? cupScheduleWords(cups) : 'one') },
  { figure: 'bypass', print: ({ bypassG }) => (bypassG ? `${bypassG} g` : 'none') },
  { figure: 'serving', print: printServing },
];

/** What the kettle is set to, first and where a pour sets it anew: `96 °C, 91 °C from pour 2`. */
export function kettleWords(plan: BrewPlan): string {
  const changes = pourKettlesC(plan).flatMap((kettleC, index, all) =>
    index > 0 && kettleC !== all[index - 1] ? [`${kettleC} °C from pour ${index + 1}`] : [],
  );
  const firstC = plan.pours[0]?.kettleC ?? plan.kettleC;
  return [`${firstC} °C`, ...changes].join(', ');
}

function printBloom({ pours }: BrewPlan): string {
  const [first, second] = pours;
  if (!first?.isBloom) return 'none';
  return second ? `${first.amountG} g to ${formatDuration(second.startS)}` : `${first.amountG} g`;
}

function printPours(plan: BrewPlan): string {
  const totals = runningTotalsG(plan);
  return plan.pours
    .map((pour, index) => ({ pour, totalG: totals[index] }))
    .filter(({ pour }) => !pour.isBloom)
    .map(({ pour, totalG }) => `${totalG} g at ${formatDuration(pour.startS)}`)
    .join(', ');
}

function printPouring({ pours }: BrewPlan): string {
  const told = pours.map((pour) => {
    const said = [startWords(pour), pouringWords(pour)].filter((words) => words !== null);
    return said.length === 0 ? null : said.join(', ');
  });
  const [first] = told;
  if (told.every((words) => words === first)) return first ?? 'as usual';
  return told.flatMap((words, index) => (words ? [`${words} at ${index + 1}`] : [])).join(', ');
}

function printAgitation({ pours }: BrewPlan): string {
  const done = pours.flatMap((pour, index) =>
    pour.agitation === 'none' ? [] : [`${agitationWords(pour)} after ${index + 1}`],
  );
  return done.length === 0 ? 'none' : done.join(', ');
}

function printServing({ beverageMixed, decants }: BrewPlan): string {
  const done = [
    ...(beverageMixed === undefined ? [] : [beverageMixed === 'stir' ? 'stirred' : 'swirled']),
    ...(decants ? ['decanted'] : []),
  ];
  return done.length === 0 ? 'as it is' : done.join(', ');
}
