import type { BrewView } from '@vendu/contract';
import { isSplit } from './Cups';

/** What a person does with a brew, one thing at a time; its name is the end of the address. */
export type BrewPart = 'measure' | 'taste' | 'cups' | 'record';

/** Cups are there where a brew was split. */
export function partsOf(brew: BrewView): BrewPart[] {
  return isSplit(brew) ? ['measure', 'taste', 'cups', 'record'] : ['measure', 'taste', 'record'];
}

/** What is to be done with a brew now: the first part that lacks something, else its record. */
export function partDue(brew: BrewView): BrewPart {
  if (brew.readings.length === 0 || brew.beverageG === null) return 'measure';
  if (brew.tastings.length === 0 || brew.verdict === null) return 'taste';
  return isSplit(brew) && brew.fractions.length === 0 ? 'cups' : 'record';
}

/** How far a part is, in few words. */
export function partWords(part: BrewPart, brew: BrewView): string {
  switch (part) {
    case 'measure': {
      const { length } = brew.readings;
      return [
        brew.beverageG === null ? '' : `${brew.beverageG} g`,
        length === 0 ? '' : `${length} ${length === 1 ? 'reading' : 'readings'}`,
      ]
        .filter(Boolean)
        .join(', ');
    }
    case 'taste': {
      const stages = [...new Set(brew.tastings.map(({ stage }) => stage))];
      return stages.length === 0 ? 'not tasted' : stages.join(', ');
    }
    case 'cups':
      return brew.fractions.length === 0 ? 'not filled in' : `${brew.fractions.length} cups`;
    case 'record':
      return brew.corrections.length === 0 ? 'as marked' : 'corrected';
  }
}
