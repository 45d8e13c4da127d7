import type { PourPattern } from '../vocabulary.js';
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
