import { describe, expect, it } from 'vitest';
import { PROCESSES } from '../vocabulary.js';
import { isLongFermented, isOfLongFermentation } from './fermentation.js';
import { isHigh, isLow, middleElevationM } from './grown.js';

// Metres and families common practice.
describe('where a lot grew', () => {
  it('counts by the middle of its range', () => {
    expect(middleElevationM({ fromM: 1500, toM: 1900 })).toBe(1700);
  });

  it.each([
    [1200, true, false],
    [1201, false, false],
    [1699, false, false],
    [1700, false, true],
  ])('%i m is low: %s, high: %s', (elevationM, low, high) => {
    const elevation = { fromM: elevationM - 100, toM: elevationM + 100 };
    expect([isLow(elevation), isHigh(elevation)]).toEqual([low, high]);
  });

  it.each([
    ['low', true, false],
    ['middling', false, false],
    ['high', false, true],
  ] as const)('is taken at its word where there is no figure: %s', (word, low, high) => {
    expect([isLow(word), isHigh(word)]).toEqual([low, high]);
  });
});

it('long fermentation has three processes, and a co-ferment is of the family', () => {
  expect(PROCESSES.filter(isLongFermented)).toEqual([
    'anaerobic',
    'carbonic-maceration',
    'long-fermentation',
  ]);
  expect(
    PROCESSES.filter((process) => isOfLongFermentation({ process }) && !isLongFermented(process)),
  ).toEqual(['co-fermented']);
});
