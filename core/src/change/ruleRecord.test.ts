import { describe, expect, it } from 'vitest';
import { recordOf, ruleWeight } from './ruleRecord.js';

describe('what a rule still counts', () => {
  it('is all of it until it misses, and less with every miss', () => {
    expect(ruleWeight({ came: 0, missed: 0 })).toBe(1);
    expect(ruleWeight({ came: 9, missed: 0 })).toBe(1);
    expect(ruleWeight({ came: 0, missed: 1 })).toBeCloseTo(2 / 3, 10);
    expect(ruleWeight({ came: 0, missed: 6 })).toBeCloseTo(1 / 4, 10);
    expect(ruleWeight({ came: 4, missed: 4 })).toBeCloseTo(0.6, 10);
  });

  it('has no record where it was never put to the test', () => {
    const records = [
      { ruleId: 'dry-over', came: 1, missed: 3 },
      { ruleId: 'sour', came: 0, missed: 0 },
    ];
    expect(recordOf(records, 'dry-over')).toEqual({ came: 1, missed: 3 });
    expect(recordOf(records, 'sour')).toBeNull();
    expect(recordOf(records, 'flat')).toBeNull();
  });
});
