import type { ModelledPattern, PourPattern, PourTrigger } from '../vocabulary.js';
import type { Pour } from './plan.js';

const PATTERN_WORDS: Record<PourPattern, string> = {
  centre: 'in the centre',
  circle: 'in circles',
  spiral: 'in spirals',
  'spiral-out': 'spiralling outwards',
  'spiral-in': 'spiralling inwards',
  wall: 'along the wall',
  pulses: 'in pulses',
};

/** How one pour is poured, in the trade's words, as far as its plan says; `null` where it says nothing. */
export function pouringWords({ pattern, heightCm }: Pick<Pour, 'pattern' | 'heightCm'>): string | null {
  const said = [
    ...(pattern === undefined ? [] : [PATTERN_WORDS[pattern]]),
    ...(heightCm === undefined ? [] : [`from ${heightCm} cm`]),
  ];
  return said.length === 0 ? null : said.join(' ');
}

/** A finger's breadth, mm: where nobody says how high the water may stand (common practice). */
export const USUAL_LEVEL_MM = 15;

const TRIGGER_WORDS: Record<PourTrigger, (levelMm: number) => string> = {
  through: () => 'when all of it is through',
  'bed-shows': () => 'when the bed shows',
  level: (levelMm) => `when the water stands ${levelMm} mm over the bed`,
};

/** What a pour waits for, in the trade's words; `null` where it starts by the clock. */
export function startWords({ startsWhen, levelMm }: Pick<Pour, 'startsWhen' | 'levelMm'>): string | null {
  return startsWhen === undefined ? null : TRIGGER_WORDS[startsWhen](levelMm ?? USUAL_LEVEL_MM);
}

/** What the brew model knows of a pattern: whether the stream stays in the middle or comes about (assumed). */
export function modelledPattern(pattern: PourPattern): ModelledPattern {
  if (pattern === 'centre' || pattern === 'circle') return pattern;
  return pattern === 'wall' ? 'circle' : 'spiral';
}
