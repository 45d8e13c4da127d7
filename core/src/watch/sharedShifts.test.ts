import { describe, expect, it } from 'vitest';
import { normalDraw, seededRandom } from '../random/seededRandom.js';
import { sharedShifts, suspectedWith, type LotShift } from './sharedShifts.js';
import { causeWords, sharedWords } from './watchWords.js';

const shift = (grinder: string, byStrengthSd: number, byDrainSd: number | null = null): LotShift => ({
  lotId: 1,
  grinder,
  byStrengthSd,
  byDrainSd,
});

describe('what lots share', () => {
  it('is the grinder’s where strength and drain time moved on it and not elsewhere', () => {
    const shifts = [shift('house', -2.4, -1.8), shift('house', -2, -2.4), shift('travel', 0.3, 0.1)];
    expect(sharedShifts(shifts)).toEqual([{ grinder: 'house', lots: 2, byStrengthSd: -2.2 }]);
    expect(sharedWords(sharedShifts(shifts)[0]!)).toMatch(/^house: 2 lots on it came out weaker/);
  });

  it('is the meter’s where strength moved on every grinder and drain times held', () => {
    const shifts = [shift('house', -2.2, 0.3), shift('house', -2, -0.4), shift('travel', -1.6, 0.2)];
    const [found, ...more] = sharedShifts(shifts);
    expect(found).toMatchObject({ grinder: null, lots: 3 });
    expect(more).toEqual([]);
    expect(sharedWords(found!)).toMatch(/^The refractometer: 3 lots, on every grinder, read weaker/);
  });

  it('is nobody’s where nothing was timed and every grinder moved, or one lot alone did', () => {
    expect(sharedShifts([shift('house', -2.2), shift('house', -2), shift('travel', -2.4)])).toEqual([]);
    expect(sharedShifts([shift('house', -4, -4)])).toEqual([]);
    expect(sharedShifts([])).toEqual([]);
  });

  it('of one grinder alone is the meter’s where drain times held, by the same reason', () => {
    const shifts = [shift('house', 2.2, 0.3), shift('house', 2, -0.4), shift('house', 1.9, 0.2)];
    expect(sharedShifts(shifts)).toMatchObject([{ grinder: null, lots: 3 }]);
    expect(suspectedWith(shifts, { grinder: 'house', side: 1 })).toBeNull();
  });

  // A warning is worth what it says: of labs where nothing drifted few get one, of those where something did most.
  const lab = (random: () => number, drift: (grinder: string) => [strength: number, drain: number]) =>
    ['house', 'house', 'house', 'house', 'travel', 'travel'].map((grinder) => {
      const [strength, drain] = drift(grinder);
      const around = (mean: number) => normalDraw(random, { mean, sd: Math.sqrt(4 / 3) });
      return shift(grinder, around(strength), around(drain));
    });
  const shareOf = (drift: Parameters<typeof lab>[1], isRight: (found: (string | null)[]) => boolean) => {
    const random = seededRandom(7);
    const labs = Array.from({ length: 2000 }, () => sharedShifts(lab(random, drift)));
    return labs.filter((found) => isRight(found.map(({ grinder }) => grinder))).length / labs.length;
  };

  it('warns by chance in fewer than 4 of 100 labs', () => {
    expect(
      shareOf(
        () => [0, 0],
        (found) => found.length > 0,
      ),
    ).toBeLessThan(0.04);
  });

  it('finds a grinder that moved its lots by two deviations, and a meter that did', () => {
    const grinder = shareOf(
      (of) => (of === 'house' ? [-2, -2] : [0, 0]),
      (found) => found.join() === 'house',
    );
    const meter = shareOf(
      () => [-2, 0],
      ([first]) => first === null,
    );
    expect(grinder).toBeGreaterThan(0.7);
    expect(meter).toBeGreaterThan(0.8);
  });
});

it('a meter under suspicion is told with what tells', () => {
  expect(causeWords({ kind: 'meter', lots: 4 }).tellsApart).toMatch(/^Zero it, and read one sample/);
});
