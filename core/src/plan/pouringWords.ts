import type { PourPattern, PourTrigger } from '../vocabulary.js';
import type { Pour } from './plan.js';

const PATTERN_WORDS: Record<PourPattern, string> = {
  centre: 'in the centre',
  circle: 'in circles',
  spiral: 'in spirals',
};

/** How one pour is poured, in the trade's words, as far as its plan says; `null` where it says nothing. */
export function pouringWords({ pattern, heightCm }: Pick<Pour, 'pattern' | 'heightCm'>): string | null {
  const said = [
    ...(pattern === undefined ? [] : [PATTERN_WORDS[pattern]]),
    ...(heightCm === undefined ? [] : [`from ${heightCm} cm`]),
  ];
  return said.length === 0 ? null : said.join(' ');
}

const TRIGGER_WORDS: Record<PourTrigger, string> = {
  through: 'when all of it is through',
  'bed-shows': 'when the bed shows',
};

/** What a pour waits for, in the trade's words; `null` where it starts by the clock. */
export function startWords({ startsWhen }: Pick<Pour, 'startsWhen'>): string | null {
  return startsWhen === undefined ? null : TRIGGER_WORDS[startsWhen];
}
