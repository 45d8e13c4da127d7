import { describe, expect, it } from 'vitest';
import type { BrewListItem } from './brews.js';
import { brewRecordsOf, readBrewsOf } from './brewRecord.js';

const BREW = {
  doseG: 16,
  beverageG: 240,
  result: { strength: { meanPercent: 1.31, comparablePercent: 0.02 } },
  isSimulated: false,
  isSetAside: false,
  cups: [],
} as unknown as BrewListItem;

describe('the brews that teach', () => {
  it('are all but those of a stand-in and those that were set aside', () => {
    const brews = [BREW, { ...BREW, isSimulated: true }, { ...BREW, isSetAside: true }];
    expect(brewRecordsOf(brews)).toHaveLength(1);
    expect(brewRecordsOf(brews)[0]).toMatchObject({ tdsPercent: 1.31, tdsComparablePercent: 0.02 });
  });

  it('say of the strength only where it was read, as a whole or cup by cup', () => {
    const unread = { ...BREW, result: null };
    const byCups = {
      ...unread,
      cups: [{ endS: 60, beverageG: 40, tdsPercent: 3 }],
    } as unknown as BrewListItem;
    expect(brewRecordsOf([unread])).toMatchObject([{ tdsPercent: null }]);
    expect(readBrewsOf([unread])).toEqual([]);
    expect(readBrewsOf([byCups])).toHaveLength(1);
  });
});
