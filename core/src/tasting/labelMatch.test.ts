import { describe, expect, it } from 'vitest';
import { sheetOf } from '../testing/sheets.js';
import { labelMatch } from './labelMatch.js';
import { LEXICON, notesIn } from './lexicon.js';

const words = (text: string) => notesIn(text).map(({ word }) => word);

describe('the lexicon', () => {
  it('has each word once', () => {
    const all = LEXICON.map(({ word }) => word);
    expect(new Set(all).size).toBe(all.length);
  });

  it('hears the longer word, either number, and nothing that is denied', () => {
    expect(words('orange peel, Raisins')).toEqual(['orange peel', 'raisin']);
    expect(words('no jasmine, some black tea')).toEqual(['black tea']);
  });

  it('hears no word inside another', () => {
    expect(words('steady')).toEqual([]);
    expect(words('pineapple')).toEqual(['pineapple']);
  });

  it('finds every word of its own', () => {
    for (const { word } of LEXICON) expect(words(word)).toContain(word);
  });
});

describe('what the label promises beside what was tasted', () => {
  const match = labelMatch({
    labelNotes: ['Blackcurrant', 'bergamot', 'black tea'],
    sheets: [
      sheetOf('Ilse', { stage: 'hot', notes: 'orange peel, blackcurrants' }),
      sheetOf('Joss', {
        notes: 'redcurrant, plum, silky',
        aromas: { dry: 'jasmine', swirled: '', emptied: '' },
      }),
      sheetOf('Tamsin', { notes: 'plum' }),
    ],
  });

  it('is found by its word, near by its family, or not there', () => {
    expect(match.notes).toEqual([
      { note: 'Blackcurrant', how: 'found', instead: [], by: [{ by: 'Ilse', stage: 'hot' }] },
      { note: 'bergamot', how: 'near', instead: ['orange peel'], by: [{ by: 'Ilse', stage: 'hot' }] },
      { note: 'black tea', how: 'not-found', instead: [], by: [] },
    ]);
  });

  it('says what came besides, by mouth or nose, what most said first; how it feels is no promise', () => {
    expect(match.besides.map(({ word, by }) => [word, by.length])).toEqual([
      ['plum', 2],
      ['jasmine', 1],
    ]);
  });
});
