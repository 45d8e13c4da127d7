import { describe, expect, it } from 'vitest';
import { diluteBeverage } from '../extraction/diluteBeverage.js';
import { dilutionG, referenceRecords, type ReferenceTrial } from './referenceCups.js';

const trials = (over: Partial<ReferenceTrial>, right: number, wrong: number): ReferenceTrial[] =>
  Array.from({ length: right + wrong }, (_, index) => ({
    kind: 'strength',
    differencePercent: 0.05,
    isRight: index < right,
    ...over,
  }));

describe('reference cups', () => {
  it('take as much water as brings a cup down by what is looked for (the dilution itself as the check)', () => {
    const waterG = dilutionG({ cupG: 60, tdsPercent: 1.35, differencePercent: 0.05 });
    expect(waterG).toBeCloseTo(2.308, 3);
    expect(diluteBeverage({ tdsPercent: 1.35, beverageG: 60, bypassG: waterG }).tdsPercent).toBeCloseTo(
      1.3,
      9,
    );
  });

  it('are told by kind and size, guessing taken out (computed: (6/9 - 1/3) / (2/3) = 0.5)', () => {
    const records = referenceRecords([
      ...trials({ kind: 'repeat', differencePercent: null }, 3, 1),
      ...trials({ differencePercent: 0.05 }, 3, 6),
      ...trials({ differencePercent: 0.15 }, 6, 3),
    ]);
    expect(records.map(({ kind, differencePercent }) => [kind, differencePercent])).toEqual([
      ['strength', 0.15],
      ['strength', 0.05],
      ['repeat', null],
    ]);
    // Published: ISO 4120, 9 answers need 6 right at alpha 0.05 (from memory; computed: 0.0424).
    expect(records[0]).toMatchObject({ trials: 9, right: 6, byGuessing: 3, isMoreThanGuessing: true });
    expect(records[0]?.found.value).toBeCloseTo(0.5, 9);
    expect(records[1]).toMatchObject({ isMoreThanGuessing: false, found: { value: 0, low: 0 } });
    expect(records[2]).toMatchObject({ byGuessing: 2, isMoreThanGuessing: false });
  });

  it('say nothing of nobody', () => {
    expect(referenceRecords([])).toEqual([]);
  });
});
