import { mean } from 'simple-statistics';
import { atLeast, shareInterval, unevenSplit } from '../statistics/binomialTails.js';
import { blindPower } from '../statistics/blindPower.js';
import { fewestCorrect, GUESSING, type DiscriminationMethod } from '../statistics/discrimination.js';
import { earlyLooks } from '../statistics/earlyLooks.js';
import { friedmanTest } from '../statistics/friedman.js';
import { holmAdjusted } from '../statistics/holm.js';
import { pairedDifference } from '../statistics/pairedDifference.js';
import { fewestPreferring } from '../statistics/pairedPreference.js';
import type { BlindMethod, TastingStage } from '../vocabulary.js';
import type { OpenedAnswer } from './blindAnswer.js';

/** Two arms of a ranking or of points. */
export interface ArmPair {
  /** Indices of arms: the first came out before, or with more points. */
  better: number;
  worse: number;
  /** How many tasters put it before the other, of how many who did not tie. */
  agreeing: number;
  of: number;
  /** Mean difference of points and its interval; `null` of a ranking. */
  apart: { mean: number; low: number; high: number } | null;
  /** Raised for the number of pairs (Holm). */
  pValue: number;
  isFound: boolean;
}

/** What the cups gave, by the kind of question. */
export type BlindFigures =
  | {
      kind: 'told';
      right: number;
      /** Right by guessing alone, on average. */
      byGuessing: number;
      fewestNeeded: number | null;
      /** Share of tasters who notice, guessing taken out; never below 0. */
      noticing: { value: number; low: number; high: number };
    }
  | {
      kind: 'preferred';
      /** By arm. */
      votes: number[];
      fewestNeeded: number | null;
      /** Share for the arm that has more. */
      share: { value: number; low: number; high: number };
    }
  | {
      kind: 'ranked' | 'scored';
      /** Mean rank, 1 the best, or mean points, by arm. */
      means: number[];
      /** Kendall's W, 0 to 1. */
      concordance: number;
      pairs: ArmPair[];
    };

/** The answer of one stage. */
export interface StageResult {
  stage: TastingStage;
  answers: number;
  /** Chance of this or more by guessing alone. */
  pValue: number;
  /** The same, raised for the number of stages that were asked about (Holm). */
  adjustedPValue: number;
  isFound: boolean;
  /** It was looked at early, and is held to what was left to spend: its chance alone says too much. */
  isByLooks: boolean;
  /** Chance that so many tasters find what half of people notice; `null` of rankings and points. */
  powerAtHalf: number | null;
  figures: BlindFigures;
}

/** Half of people notice it: a difference that matters at a counter (assumed). */
const HALF_NOTICE = 0.5;

/** Looks that were taken at a test of one stage before it was opened. */
export interface LooksTaken {
  /** Answers at which it was to end in any case. */
  planned: number;
  /** Answers there were at each look, rising. */
  looksAt: readonly number[];
}

/**
 * What a blind test showed, stage by stage. Several stages are several chances of a false alarm, and are held to it
 * together.
 *
 * @param arms - how many were compared
 * @param answers - by stage, opened with the key, in the order in which they came; stages without any are left out
 * @param looks - of a test that was looked at early: then its last answer is held to what is left to spend
 */
export function blindResult({
  method,
  arms,
  alpha,
  answers,
  looks = null,
}: {
  method: BlindMethod;
  arms: number;
  alpha: number;
  answers: readonly { stage: TastingStage; opened: readonly OpenedAnswer[] }[];
  looks?: LooksTaken | null;
}): StageResult[] {
  const given = answers.filter(({ opened }) => opened.length > 0);
  const stages = given.map(({ stage, opened }) => ({
    stage,
    answers: opened.length,
    ...figuresOf(method, arms, alpha, opened),
    // As the strictest of the stages is held to it.
    powerAtHalf: powerOf(method, alpha / given.length, opened.length),
  }));
  const adjusted = holmAdjusted(stages.map(({ pValue }) => pValue));
  return stages.map((result, index) => {
    const adjustedPValue = adjusted[index] ?? 1;
    const early = looks && foundByLooks(method, alpha, given[index]?.opened ?? [], looks);
    return {
      ...result,
      adjustedPValue,
      isFound: early ?? adjustedPValue <= alpha,
      isByLooks: early !== null,
    };
  });
}

/**
 * Whether a look found enough: each at its own count, the present one too.
 *
 * @returns `null` of a method that is not looked at early
 */
export function foundByLooks(
  method: BlindMethod,
  alpha: number,
  opened: readonly OpenedAnswer[],
  { planned, looksAt }: LooksTaken,
): boolean | null {
  if (method === 'ranking' || method === 'scores') return null;
  const all = [...new Set([...looksAt, opened.length])];
  return earlyLooks({ method, looksAt: all, planned: Math.max(planned, opened.length), alpha }).some(
    ({ assessors, fewest }) => fewest !== null && countTold(opened.slice(0, assessors)) >= fewest,
  );
}

/** Right ones; of a preference those for the arm that has more. */
function countTold(opened: readonly OpenedAnswer[]): number {
  const right = opened.filter((answer) => answer.kind === 'told' && answer.isRight).length;
  const votes = [0, 1].map(
    (arm) => opened.filter((answer) => answer.kind === 'preferred' && answer.arm === arm).length,
  );
  return Math.max(right, ...votes);
}

type Found = Pick<StageResult, 'pValue' | 'figures'>;

function powerOf(method: BlindMethod, alpha: number, assessors: number): number | null {
  if (method === 'ranking' || method === 'scores') return null;
  return blindPower({ method, alpha, noticing: HALF_NOTICE, assessors });
}

function figuresOf(method: BlindMethod, arms: number, alpha: number, opened: readonly OpenedAnswer[]): Found {
  if (method === 'ranking' || method === 'scores') return ofPoints(method, arms, alpha, opened);
  return method === 'paired' ? ofVotes(alpha, opened) : ofTold(method, alpha, opened);
}

function ofTold(
  method: Exclude<DiscriminationMethod, 'paired'>,
  alpha: number,
  opened: readonly OpenedAnswer[],
): Found {
  const right = opened.filter((answer) => answer.kind === 'told' && answer.isRight).length;
  const guessing = GUESSING[method];
  const noticing = (share: number) => Math.max(0, (share - guessing) / (1 - guessing));
  const { low, high } = shareInterval(right, opened.length);
  return {
    pValue: atLeast(right, opened.length, guessing),
    figures: {
      kind: 'told',
      right,
      byGuessing: guessing * opened.length,
      fewestNeeded: fewestCorrect({ method, assessors: opened.length, alpha }),
      noticing: { value: noticing(right / opened.length), low: noticing(low), high: noticing(high) },
    },
  };
}

function ofVotes(alpha: number, opened: readonly OpenedAnswer[]): Found {
  const votes = [0, 1].map(
    (arm) => opened.filter((answer) => answer.kind === 'preferred' && answer.arm === arm).length,
  );
  const most = Math.max(...votes);
  return {
    pValue: unevenSplit(most, opened.length),
    figures: {
      kind: 'preferred',
      votes,
      fewestNeeded: fewestPreferring({ assessors: opened.length, alpha }),
      share: { value: most / opened.length, ...shareInterval(most, opened.length) },
    },
  };
}

function ofPoints(
  method: 'ranking' | 'scores',
  arms: number,
  alpha: number,
  opened: readonly OpenedAnswer[],
): Found {
  const isRanking = method === 'ranking';
  // Higher is better for all that follows: a first place counts as much as there are arms.
  const scores = opened.map((answer) => pointsOf(answer, arms));
  const overall = friedmanTest({ scores });
  const pairs = pairsOf(scores, arms, isRanking);
  const pValues = holmAdjusted(pairs.map(({ pValue }) => pValue));
  const pValue = overall?.pValue ?? 1;
  const meanOf = (arm: number) => mean(scores.map((row) => row[arm] ?? 0));
  return {
    pValue,
    figures: {
      kind: isRanking ? 'ranked' : 'scored',
      means: Array.from({ length: arms }, (_, arm) => (isRanking ? arms + 1 - meanOf(arm) : meanOf(arm))),
      concordance: overall?.concordance ?? 0,
      // Pairs are looked at after the whole has shown that there is something to look for.
      pairs: pairs.map((pair, index) => {
        const raised = pValues[index] ?? 1;
        return { ...pair, pValue: raised, isFound: pValue <= alpha && raised <= alpha };
      }),
    },
  };
}

function pointsOf(answer: OpenedAnswer, arms: number): number[] {
  if (answer.kind === 'scored') return answer.scores;
  if (answer.kind !== 'ranked') return [];
  return Array.from({ length: arms }, (_, arm) => arms - answer.arms.indexOf(arm));
}

/** Each pair of arms, by signs where they were ranked and by differences where they have points. */
function pairsOf(scores: readonly number[][], arms: number, isRanking: boolean): Omit<ArmPair, 'isFound'>[] {
  const all = Array.from({ length: arms }, (_, arm) => arm);
  return all.flatMap((first) =>
    all.slice(first + 1).map((second) => {
      const ahead = scores.filter((row) => (row[first] ?? 0) > (row[second] ?? 0)).length;
      const behind = scores.filter((row) => (row[first] ?? 0) < (row[second] ?? 0)).length;
      const total = scores.reduce((sum, row) => sum + (row[first] ?? 0) - (row[second] ?? 0), 0);
      const [better, worse] =
        total < 0 || (total === 0 && behind > ahead) ? [second, first] : [first, second];
      const agreeing = better === first ? ahead : behind;
      const apart = isRanking
        ? null
        : pairedDifference(scores.map((row) => (row[better] ?? 0) - (row[worse] ?? 0)));
      return {
        better,
        worse,
        agreeing,
        of: ahead + behind,
        apart: apart && { mean: apart.mean, low: apart.low, high: apart.high },
        pValue: apart?.pValue ?? (ahead + behind === 0 ? 1 : unevenSplit(agreeing, ahead + behind)),
      };
    }),
  );
}
