import type { DesignFault } from './checkDesign.js';
import type { ArmPair, StageResult } from './blindResult.js';
import type { FigureApart } from './armFigures.js';

/** What a blind test says in plain words, and what it does not. */
export interface BlindSaid {
  /** A sentence for each stage. */
  answers: string[];
  /** What may not be read into them. */
  mayNotSay: string[];
}

/** How tastes and figures stand to each other. */
export interface ComparedMeter {
  strength: FigureApart | null;
  yieldPoints: FigureApart | null;
}

/**
 * The answer of a blind test.
 *
 * @param names - of the arms of the test, as `A, Tarn cone`
 * @param faults - of the design: what confounds taste confounds its answer
 * @param meter - of the first two arms; `null` where more are compared
 */
export function answerWords({
  results,
  names,
  faults,
  meter,
}: {
  results: readonly StageResult[];
  names: readonly string[];
  faults: readonly DesignFault[];
  meter: ComparedMeter | null;
}): BlindSaid {
  return {
    answers: results.map((result) => stageWords(result, names)),
    mayNotSay: [
      ...tooFewWords(results),
      ...notTheSameWords(results),
      ...looksWords(results),
      ...turnWords(results),
      ...stagesWords(results),
      ...confoundedWords(faults),
      ...faults.filter(({ kind }) => kind === 'one-brew-each').map(({ what }) => what),
      ...meterWords(results, meter),
    ],
  };
}

function stageWords(result: StageResult, names: readonly string[]): string {
  const { figures, answers, isFound, stage } = result;
  const chance = result.isByLooks
    ? 'no oftener than was allowed, over all looks'
    : chanceWords(result.adjustedPValue);
  switch (figures.kind) {
    case 'told': {
      const { right, byGuessing, noticing } = figures;
      if (!isFound) {
        return `No difference found when ${stage}: ${right} of ${answers} were right, and guessing gives ${countWords(byGuessing)}.`;
      }
      return `A difference when ${stage}: ${right} of ${answers} were right; guessing does that ${chance}. Of 100 such tasters about ${hundred(noticing.value)} notice it (${hundred(noticing.low)} to ${hundred(noticing.high)}).`;
    }
    case 'preferred': {
      const [first = 0, second = 0] = figures.votes;
      const most = Math.max(first, second);
      const name = names[first >= second ? 0 : 1] ?? '';
      if (!isFound) {
        return `No preference found when ${stage}: ${most} of ${answers} chose ${first === second ? 'each' : name}.`;
      }
      const { low, high } = figures.share;
      return `${name} is preferred when ${stage}: by ${most} of ${answers}; chance splits so unevenly ${chance}. Of 100 such tasters ${hundred(low)} to ${hundred(high)} would choose it.`;
    }
    case 'ranked':
    case 'scored':
      return pointsWords(result, names, figures);
  }
}

function pointsWords(
  { stage, isFound, answers, adjustedPValue }: StageResult,
  names: readonly string[],
  { kind, means, concordance, pairs }: Extract<StageResult['figures'], { kind: 'ranked' | 'scored' }>,
): string {
  const isRanked = kind === 'ranked';
  const order = means
    .map((value, arm) => ({ value, name: names[arm] ?? '' }))
    .sort((a, b) => (isRanked ? a.value - b.value : b.value - a.value))
    .map(({ value, name }) => `${name} ${value.toFixed(1)}`)
    .join('; ');
  const by = isRanked ? 'mean place' : 'mean points';
  const agreed = `by ${answers} tasters who agree to ${concordance.toFixed(2)} of 1 (Kendall’s W)`;
  if (!isFound) return `No difference found when ${stage}: ${by} ${order}, ${agreed}.`;
  const found = pairs.filter((pair) => pair.isFound).map((pair) => pairWords(pair, names));
  return `A difference when ${stage}: ${by} ${order}, ${agreed}; chance does that ${chanceWords(adjustedPValue)}. ${
    found.length === 0 ? 'Which two differ is not certain.' : `${found.join('; ')}.`
  }`;
}

function pairWords({ better, worse, agreeing, of, apart }: ArmPair, names: readonly string[]): string {
  const said = `${names[better] ?? ''} before ${names[worse] ?? ''}`;
  return apart
    ? `${said} by ${apart.mean.toFixed(1)} points (${apart.low.toFixed(1)} to ${apart.high.toFixed(1)})`
    : `${said} for ${agreeing} of ${of}`;
}

const EITHER = new Intl.ListFormat('en-GB', { type: 'disjunction' });

/** All of them in one sentence: what to do about each stands with the design. */
function confoundedWords(faults: readonly DesignFault[]): string[] {
  const instead = [...new Set(faults.flatMap((fault) => fault.instead ?? []))];
  if (instead.length === 0) return [];
  return [`It may be about ${EITHER.format(instead)} instead: see the design.`];
}

function tooFewWords(results: readonly StageResult[]): string[] {
  const few = results.find(({ figures }) => 'fewestNeeded' in figures && figures.fewestNeeded === null);
  return few ? [`${few.answers} answers are too few to show anything: even all alike could be chance.`] : [];
}

function notTheSameWords(results: readonly StageResult[]): string[] {
  if (results.length === 0 || results.some(({ isFound }) => isFound)) return [];
  const power = Math.max(...results.map(({ powerAtHalf }) => powerAtHalf ?? -1));
  const said = 'Not found is not the same: ';
  return [
    power < 0
      ? `${said}more tasters may find one.`
      : `${said}what half of people notice, so many tasters find ${hundred(power)} times in 100.`,
  ];
}

function looksWords(results: readonly StageResult[]): string[] {
  const isHeldBack = results.some(({ isByLooks, isFound }) => isByLooks && !isFound);
  return isHeldBack ? ['It was looked at early: for that it takes more right answers than it had.'] : [];
}

function turnWords(results: readonly StageResult[]): string[] {
  const bests = results.filter(({ isFound }) => isFound).map(({ figures }) => bestArm(figures));
  if (new Set(bests.filter((arm) => arm !== null)).size > 1) {
    return ['The verdict turns as the cup cools: say at which stage.'];
  }
  const isSplit = results.some(({ isFound }) => isFound) && results.some(({ isFound }) => !isFound);
  return isSplit ? ['It holds for the stage it was found at, not for the others.'] : [];
}

function bestArm(figures: StageResult['figures']): number | null {
  if (figures.kind === 'told') return null;
  const values = figures.kind === 'preferred' ? figures.votes : figures.means;
  const best = figures.kind === 'ranked' ? Math.min(...values) : Math.max(...values);
  return values.indexOf(best);
}

function stagesWords(results: readonly StageResult[]): string[] {
  const [only, ...others] = results;
  return only && others.length === 0
    ? [`Only tasted ${only.stage}: the verdict may turn at another temperature.`]
    : [];
}

function meterWords(results: readonly StageResult[], meter: ComparedMeter | null): string[] {
  if (!meter?.strength) return [];
  const { strength, yieldPoints } = meter;
  const size = `${Math.abs(strength.difference).toFixed(2)} %`;
  const apart = [
    ...(strength.isApart ? [`strength by ${size}`] : []),
    ...(yieldPoints?.isApart ? [`yield by ${Math.abs(yieldPoints.difference).toFixed(1)} points`] : []),
  ].join(', ');
  const isFound = results.some((result) => result.isFound);
  if (apart !== '') {
    return [
      isFound
        ? `The meter tells them apart too, ${apart}: part of the taste may be that. Bring both to one strength to know.`
        : `The meter tells them apart, ${apart}, though tasters did not.`,
    ];
  }
  const within = `${size} apart, known to ${strength.reach.toFixed(2)} %`;
  return isFound
    ? [
        `The meter cannot tell them apart (strength ${within}): they differ in taste, not measurably in strength.`,
      ]
    : [];
}

/** How often chance does it, as it is said. */
export function chanceWords(pValue: number): string {
  if (pValue < 0.001) return 'less than once in 1,000 times';
  if (pValue < 0.01) return `${Math.ceil(pValue * 1000)} times in 1,000`;
  const times = Math.ceil(pValue * 100);
  return times === 1 ? 'once in 100 times' : `${times} times in 100`;
}

const hundred = (share: number) => String(Math.round(share * 100));
const countWords = (count: number) => (Number.isInteger(count) ? String(count) : count.toFixed(1));
