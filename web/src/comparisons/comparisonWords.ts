import { AXIS_WORDS, type BlindMethod, type ComparedAxis, type GrindMatch } from '@vendu/core';

export const METHOD_WORDS: Record<BlindMethod, string> = {
  triangle: 'Triangle',
  'duo-trio': 'Duo-trio',
  paired: 'Preference',
  ranking: 'Ranking',
  scores: 'Points',
};

/** What each kind of test puts before a taster. */
export const METHOD_NOTES: Record<BlindMethod, string> = {
  triangle: 'Three cups, two alike: which one is different?',
  'duo-trio': 'A known cup and two coded ones: which of them is the known one?',
  paired: 'Two cups: which one is preferred?',
  ranking: 'Three or four cups, put in order from best to last.',
  scores: 'Two to four cups, 1 to 9 points each.',
};

export const MATCH_WORDS: Record<GrindMatch, string> = {
  dial: 'by the dial',
  drain: 'by drain time',
  yield: 'by yield',
};

export const axisLabel = (axis: ComparedAxis): string =>
  AXIS_WORDS[axis].charAt(0).toUpperCase() + AXIS_WORDS[axis].slice(1);

/** A question to begin with, by what is asked about. */
export function usualQuestion(asks: readonly ComparedAxis[]): string {
  const [axis, ...more] = asks;
  if (axis === undefined) return '';
  if (more.length > 0) return `Which is better, by ${asks.map((each) => AXIS_WORDS[each]).join(' and ')}?`;
  return axis === 'lot' || axis === 'brewer' || axis === 'paper' || axis === 'water' || axis === 'grinder'
    ? `Which ${AXIS_WORDS[axis]} is better?`
    : `What does the ${AXIS_WORDS[axis]} do?`;
}
