import { describe, expect, it } from 'vitest';
import { normalDraw, seededRandom } from '../random/seededRandom.js';
import { valueOf } from '../result.js';
import {
  diluteBeverage,
  extractionYieldPercent,
  immersionYieldPercent,
  ratioLineTdsPercent,
  yieldUncertainty,
} from './checkedExtraction.js';
import { correctForZero, outlyingReading, sampleNotes, tdsFromBrix } from './refractometer.js';

describe('a refractometer', () => {
  it('in degrees Brix reads sucrose: 1.6 °Bx are about 1.36 % TDS (common practice: 0.85)', () => {
    expect(valueOf(tdsFromBrix({ brixDegrees: 1.6 }))).toBeCloseTo(1.36, 12);
    expect(tdsFromBrix({ brixDegrees: -1 })).toMatchObject({ field: 'brixDegrees', allowed: '0 to 30 °Bx' });
  });

  it('takes off a zero that moved evenly between its checks', () => {
    const { tdsPercents, hasDrifted } = valueOf(
      correctForZero({ tdsPercents: [1.36, 1.37, 1.38], zeroBeforePercent: 0, zeroAfterPercent: 0.04 }),
    );
    expect(tdsPercents.map((reading) => Number(reading.toFixed(6)))).toEqual([1.35, 1.35, 1.35]);
    expect(hasDrifted).toBe(true);
    expect(valueOf(correctForZero({ tdsPercents: [1.36], zeroBeforePercent: 0.01 }))).toEqual({
      tdsPercents: [1.35],
      hasDrifted: false,
    });
    expect(correctForZero({ tdsPercents: [1.36, NaN], zeroBeforePercent: 0 })).toMatchObject({
      field: 'tdsPercents.1',
    });
  });

  it('says when a sample is too hot to read, or was zeroed at another temperature', () => {
    const instrument = { lowestC: 10, highestC: 40 };
    const notes = (sampleC: number, zeroedAtC: number | null) =>
      valueOf(sampleNotes({ sampleC, zeroedAtC, instrument }));
    expect(notes(60, null)).toEqual(['too-hot']);
    expect(notes(5, 6)).toEqual(['too-cold']);
    expect(notes(30, 22)).toEqual(['zeroed-at-another-temperature']);
    expect(notes(24, 22)).toEqual([]);
  });
});

describe('an outlying reading', () => {
  const found = (tdsPercents: number[]) => valueOf(outlyingReading({ tdsPercents }));

  // Computed: 0.015 x sqrt(1 + 1/2) x 2.394 (normal, 1 - 0.05/6) = 0.044 % among three readings.
  it('is one farther off than the instrument repeats, even among three', () => {
    expect(found([1.35, 1.36, 1.4])).toEqual({ index: 2, offPercent: expect.closeTo(0.045, 9) as number });
    expect(found([1.35, 1.36, 1.39])).toBeNull();
    expect(found([1.27, 1.35, 1.35])?.index).toBe(0);
  });

  it('is not found among readings that scatter as instruments do', () => {
    expect(found([1.34, 1.35, 1.36, 1.37])).toBeNull();
    expect(found([1.35, 1.35, 1.35, 1.36])).toBeNull();
    expect(found([1.35, 1.35, 1.35, 1.35])).toBeNull();
  });

  // Computed by drawing: readings of the stated repeatability, and one of them 0.08 % off.
  it('is found nine times of ten where it is 0.08 off, and called one time of twenty where none is', () => {
    const random = seededRandom(77);
    const reading = () => normalDraw(random, { mean: 1.35, sd: 0.015 });
    const sets = Array.from({ length: 2000 }, () => [reading(), reading(), reading()]);
    const called = sets.filter((set) => found(set) !== null).length / sets.length;
    expect(called).toBeGreaterThan(0.02);
    expect(called).toBeLessThan(0.07);
    const off = sets.map(([first = 0, ...rest]) => [first + 0.08, ...rest]);
    expect(off.filter((set) => found(set)?.index === 0).length / off.length).toBeGreaterThan(0.9);
  });

  it('needs three readings', () => {
    expect(outlyingReading({ tdsPercents: [1.35, 1.5] })).toMatchObject({ reason: 'too-few-readings' });
  });
});

describe('formulas with their input checked', () => {
  const measured = { tdsPercent: 1.35, beverageG: 212, doseG: 16 };

  it('answer as the bare ones do', () => {
    expect(valueOf(extractionYieldPercent(measured))).toBeCloseTo(17.8875, 10);
    expect(valueOf(ratioLineTdsPercent({ yieldPercent: 20, waterPerDose: 1000 / 55 }))).toBeCloseTo(1.236, 3);
  });

  it.each([
    [extractionYieldPercent({ ...measured, doseG: 0 }), 'doseG', '0.1 to 10000 g'],
    [extractionYieldPercent({ ...measured, tdsPercent: NaN }), 'tdsPercent', '0 to 30 %'],
    [
      immersionYieldPercent({ tdsPercent: 1.3, waterG: -1, absorbedG: 30, doseG: 16 }),
      'waterG',
      '0 to 100000 g',
    ],
    [diluteBeverage({ tdsPercent: 1.5, beverageG: 0, bypassG: 15 }), 'beverageG', '0.1 to 100000 g'],
    [ratioLineTdsPercent({ yieldPercent: 20, waterPerDose: 2 }), 'waterPerDose', '2.1 to 100 g/g'],
    [
      yieldUncertainty({ measured, standard: { tdsPercent: 0.03, beverageG: Infinity, doseG: 0.1 } }),
      'beverageG',
      '0 to 1000 g',
    ],
  ])('name the figure that cannot be, %#', (result, field, allowed) => {
    expect(result).toMatchObject({ reason: 'out-of-range', field, allowed });
  });
});
