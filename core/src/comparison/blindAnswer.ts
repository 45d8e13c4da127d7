import { failure, type Failure } from '../result.js';
import type { BlindMethod } from '../vocabulary.js';
import type { BlindSet } from './serveBlind.js';

/** What a taster says of coded cups: the one that was asked for, all from best to last, or points for each. */
export interface BlindAnswer {
  chosen?: string;
  ranked?: readonly string[];
  scores?: Readonly<Record<string, number>>;
}

/** Points are given from here to there; the middle is neither good nor bad. */
export const BLIND_SCORES = { low: 1, high: 9 } as const;

/** An answer with the key: right or wrong, or by arm. */
export type OpenedAnswer =
  | { kind: 'told'; isRight: boolean }
  | { kind: 'preferred'; arm: number }
  | { kind: 'ranked'; arms: number[] }
  /** Points by arm. */
  | { kind: 'scored'; scores: number[] };

/** What is wrong with an answer; `null` where nothing is. */
export function blindAnswerFault(
  method: BlindMethod,
  cups: BlindSet,
  { chosen, ranked, scores }: BlindAnswer,
): Failure<'incomplete-answer'> | null {
  const codes = cups.filter(({ isReference }) => !isReference).map(({ code }) => code);
  const said = codes.join(', ');
  if (method === 'ranking') {
    const isAll = ranked?.length === codes.length && codes.every((code) => ranked.includes(code));
    return isAll ? null : failure('incomplete-answer', `Rank each of ${said} once.`);
  }
  if (method === 'scores') {
    const isEach = codes.every((code) => {
      const score = scores?.[code];
      return (
        score !== undefined &&
        Number.isInteger(score) &&
        score >= BLIND_SCORES.low &&
        score <= BLIND_SCORES.high
      );
    });
    return isEach && Object.keys(scores ?? {}).length === codes.length
      ? null
      : failure(
          'incomplete-answer',
          `Give each of ${said} a whole number from ${BLIND_SCORES.low} to ${BLIND_SCORES.high}.`,
        );
  }
  return chosen !== undefined && codes.includes(chosen)
    ? null
    : failure('incomplete-answer', `Choose one of ${said}.`);
}

/**
 * Reads an answer by the key.
 *
 * @param answer - without fault by {@link blindAnswerFault}
 * @throws RangeError on one that has a fault: it was checked before it was stored
 */
export function openAnswer(method: BlindMethod, cups: BlindSet, answer: BlindAnswer): OpenedAnswer {
  const fault = blindAnswerFault(method, cups, answer);
  if (fault) throw new RangeError(fault.message);
  const armOf = (code: string | undefined) => cups.find((cup) => cup.code === code)?.arm ?? -1;
  const coded = cups.filter(({ isReference }) => !isReference);
  switch (method) {
    case 'triangle': {
      const chosen = armOf(answer.chosen);
      return { kind: 'told', isRight: coded.filter(({ arm }) => arm === chosen).length === 1 };
    }
    case 'duo-trio':
      return {
        kind: 'told',
        isRight: armOf(answer.chosen) === cups.find(({ isReference }) => isReference)?.arm,
      };
    case 'paired':
      return { kind: 'preferred', arm: armOf(answer.chosen) };
    case 'ranking':
      return { kind: 'ranked', arms: (answer.ranked ?? []).map(armOf) };
    case 'scores':
      return {
        kind: 'scored',
        scores: coded
          .slice()
          .sort((a, b) => a.arm - b.arm)
          .map(({ code }) => answer.scores?.[code] ?? 0),
      };
  }
}
