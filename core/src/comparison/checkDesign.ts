import { mean } from 'simple-statistics';
import { formatDuration } from '../quantity/duration.js';
import { roundToTenth } from '../plan/plan.js';
import type { ComparedAxis, GrindMatch } from '../vocabulary.js';
import { armDifferences } from './armDifferences.js';
import { figureApart } from './armFigures.js';
import { armLetter, type ComparedArm } from './arms.js';
import { axesWords, AXIS_WORDS } from './axisWords.js';

/** Faults that a design may have; the same word for the same fault everywhere. */
export type DesignFaultKind =
  | 'asked-is-alike'
  | 'differs-besides'
  | 'one-grind-for-all'
  | 'not-matched'
  | 'one-brew-each'
  | 'other-hands'
  | 'other-dose'
  | 'roast-age'
  | 'other-day'
  | 'order-alike';

/** Something that weakens what a comparison can say, and what to do about it. */
export interface DesignFault {
  kind: DesignFaultKind;
  /** The answer would be about this too: two things moved at once. */
  isConfounding: boolean;
  /** What the answer may be about instead of what was asked: `the dose`. */
  instead?: string;
  what: string;
  advice: string;
}

export interface ComparisonDesign {
  /** What is asked about. */
  asks: readonly ComparedAxis[];
  arms: readonly ComparedArm[];
  matchedBy: GrindMatch;
  rounds: number;
}

/** A dose this far off another is another dose, as a share (as the proof has it). */
const DOSE_APART = 0.03;
/** Roasts this far apart taste of their age (common practice), days. */
const AGE_APART_DAYS = 3;
/** Brews further apart than this were not compared on one day, ms. */
const ONE_DAY_MS = 12 * 3_600_000;

/**
 * Looks through a comparison for what would make its answer about something else than its question: before brewing by what
 * is planned, and after it by what was done. What differs on purpose is what is asked about, and what a matched grind moves.
 */
export function checkDesign(design: ComparisonDesign): DesignFault[] {
  return [...planFaults(design), ...doneFaults(design)];
}

function planFaults({ asks, arms, matchedBy, rounds }: ComparisonDesign): DesignFault[] {
  const differences = armDifferences(arms);
  const alike = asks.filter((axis) => !differences.some((difference) => difference.axis === axis));
  const isOnPurpose = (axis: ComparedAxis) =>
    asks.includes(axis) || (matchedBy !== 'dial' && axis === 'grind') || followsFrom(axis, asks);
  const besides = differences.filter(({ axis }) => !isOnPurpose(axis));
  const asksKit = asks.some((axis) => axis === 'brewer' || axis === 'paper' || axis === 'lot');
  return [
    ...(alike.length === 0
      ? []
      : [
          {
            kind: 'asked-is-alike' as const,
            isConfounding: true,
            what: `The arms are alike in ${axesWords(alike)}.`,
            advice: `Choose versions that differ in ${axesWords(alike)}, or ask about what does differ.`,
          },
        ]),
    ...besides.map(({ axis, values }) => ({
      kind: 'differs-besides' as const,
      isConfounding: true,
      instead: axesWords([axis]),
      what: `Not alike in ${axesWords([axis])} either: ${byArm(values)}.`,
      advice: `Give all arms the same ${AXIS_WORDS[axis]}, or ask about it too.`,
    })),
    ...(asksKit && matchedBy === 'dial' && !asks.includes('grind')
      ? [
          {
            kind: 'one-grind-for-all' as const,
            isConfounding: false,
            what: 'One grind suits one arm best; the answer holds for this grind alone.',
            advice: 'Match the grind by drain time or by yield, or brew it at a second grind.',
          },
        ]
      : []),
    ...(rounds === 1
      ? [
          {
            kind: 'one-brew-each' as const,
            isConfounding: false,
            what: 'One brew of each arm: a pour that went wrong looks like the arm.',
            advice: 'Brew each twice, in turned order.',
          },
        ]
      : []),
  ];
}

/** A change of these moves those with it, however careful the hand. */
function followsFrom(axis: ComparedAxis, asks: readonly ComparedAxis[]): boolean {
  if (axis === 'paper') return asks.includes('brewer');
  if (axis === 'pours') return asks.includes('bloom');
  if (axis === 'pouring') return asks.includes('regulator');
  return false;
}

function doneFaults({ asks, arms, matchedBy }: ComparisonDesign): DesignFault[] {
  const brewed = arms.filter(({ brews }) => brews.length > 0);
  if (brewed.length < arms.length) return [];
  return [
    ...handsFault(arms),
    ...(asks.includes('dose') ? [] : doseFault(arms)),
    ...ageFault(arms),
    ...dayFault(arms),
    ...orderFault(arms),
    ...(matchedBy === 'dial' ? [] : matchFaults(arms, matchedBy)),
  ];
}

function handsFault(arms: readonly ComparedArm[]): DesignFault[] {
  const hands = arms.map(({ brews }) =>
    [...new Set(brews.map(({ brewedBy }) => brewedBy))].sort().join(' and '),
  );
  if (new Set(hands).size === 1) return [];
  return [
    {
      kind: 'other-hands',
      isConfounding: true,
      instead: 'the hands',
      what: `Other hands poured: ${byArm(hands)}.`,
      advice: 'Have the same hands brew all arms, or each pair of hands brew every arm as often.',
    },
  ];
}

function doseFault(arms: readonly ComparedArm[]): DesignFault[] {
  const doses = arms.map(({ brews, plan }) => mean(brews.map(({ doseG }) => doseG)) / plan.doseG);
  if (Math.max(...doses) / Math.min(...doses) - 1 <= DOSE_APART) return [];
  return [
    {
      kind: 'other-dose',
      isConfounding: true,
      instead: 'the dose',
      what: `Doses came out unequal: ${byArm(
        arms.map(({ brews }) => `${roundToTenth(mean(brews.map(({ doseG }) => doseG)))} g`),
      )}.`,
      advice: 'Weigh the dose after grinding, and brew that arm again.',
    },
  ];
}

function ageFault(arms: readonly ComparedArm[]): DesignFault[] {
  const ages = arms.map(({ brews }) => mean(brews.map(({ roastAgeDays }) => roastAgeDays)));
  if (Math.max(...ages) - Math.min(...ages) <= AGE_APART_DAYS) return [];
  return [
    {
      kind: 'roast-age',
      isConfounding: true,
      instead: 'the age of the roast',
      what: `The roasts were of other ages: ${byArm(ages.map((age) => `${Math.round(age)} days`))}.`,
      advice: 'Brew all arms from roasts of the same week.',
    },
  ];
}

function dayFault(arms: readonly ComparedArm[]): DesignFault[] {
  const spans = arms.map(({ brews }) => brews.map(({ startedAtMs }) => startedAtMs));
  const isMetByAll = (at: number) =>
    spans.every((moments) => moments.some((moment) => Math.abs(moment - at) <= ONE_DAY_MS));
  const lonely = spans.flatMap((moments, arm) => (moments.every(isMetByAll) ? [] : [armLetter(arm)]));
  if (lonely.length === 0) return [];
  return [
    {
      kind: 'other-day',
      isConfounding: true,
      instead: 'the day',
      what:
        lonely.length === arms.length
          ? 'The arms were not brewed on one day.'
          : `${lonely.join(' and ')} ${lonely.length === 1 ? 'was' : 'were'} brewed on a day when another arm was not.`,
      advice: 'Brew every arm again on each day that anything is compared.',
    },
  ];
}

function orderFault(arms: readonly ComparedArm[]): DesignFault[] {
  const repeats = Math.min(...arms.map(({ brews }) => brews.length));
  if (repeats < 2) return [];
  const byTime = arms.map(({ brews }) => brews.map(({ startedAtMs }) => startedAtMs).sort((a, b) => a - b));
  const firsts = Array.from({ length: repeats }, (_, round) => {
    const moments = byTime.map((of) => of[round] ?? Infinity);
    return moments.indexOf(Math.min(...moments));
  });
  if (new Set(firsts).size > 1) return [];
  return [
    {
      kind: 'order-alike',
      isConfounding: true,
      instead: 'the order',
      what: `${armLetter(firsts[0] ?? 0)} was always brewed first.`,
      advice: 'Turn the order from round to round.',
    },
  ];
}

/** Matched by what came of it: whether it did. */
function matchFaults(arms: readonly ComparedArm[], matchedBy: Exclude<GrindMatch, 'dial'>): DesignFault[] {
  const [first, ...others] = arms;
  const figure = matchedBy === 'drain' ? ('drainS' as const) : ('yieldPercent' as const);
  return others.flatMap((other, index): DesignFault[] => {
    const apart = first && figureApart(first, other, figure);
    if (!apart?.isApart) return [];
    const size =
      matchedBy === 'drain'
        ? formatDuration(Math.abs(Math.round(apart.difference)))
        : `${roundToTenth(Math.abs(apart.difference))} points`;
    const way = matchedBy === 'drain' ? ['slower', 'faster'] : ['higher', 'lower'];
    return [
      {
        kind: 'not-matched',
        isConfounding: true,
        instead: 'the grind',
        what: `Not matched by ${matchedBy}: ${armLetter(index + 1)} came ${size} ${apart.difference > 0 ? way[0] : way[1]} than A.`,
        advice: `Grind ${armLetter(index + 1)} ${apart.difference > 0 ? 'coarser' : 'finer'} and brew it again.`,
      },
    ];
  });
}

const byArm = (values: readonly string[]) =>
  values.map((value, arm) => `${armLetter(arm)} ${value}`).join('; ');
