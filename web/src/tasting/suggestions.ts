import { LEXICON, type LexiconWord } from '@vendu/core';

const MOST = 7;

/** A word to complete with; those of the house have no family. */
export type Suggestion = Pick<LexiconWord, 'word'> & { family: LexiconWord['family'] | null };

/** Words that begin as typed, then those that have it inside; what the sheet has already is not offered. */
export function suggestionsFor(
  typed: string,
  { houseWords, taken }: { houseWords: readonly string[]; taken: readonly string[] },
): Suggestion[] {
  const text = typed.trim().toLowerCase();
  if (text === '') return [];
  const all: Suggestion[] = [...LEXICON, ...houseWords.map((word) => ({ word, family: null }))].filter(
    ({ word }) => !taken.includes(word),
  );
  const begins = all.filter(({ word }) => word.startsWith(text));
  const holds = all.filter(({ word }) => !word.startsWith(text) && word.includes(text));
  return [...begins, ...holds].slice(0, MOST);
}

/** Notes as they are kept: words parted by commas. */
export function wordsOf(notes: string): string[] {
  return notes
    .split(',')
    .map((word) => word.trim())
    .filter((word) => word !== '');
}
