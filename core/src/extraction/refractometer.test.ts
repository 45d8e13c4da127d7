import { describe, expect, it } from 'vitest';
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
  // Source: Grubbs' worked example, NIST/SEMATECH e-Handbook 1.3.5.17.1: eight values, G = 2.4687 against a
  // critical 2.1266 at 5 %, the largest is out. Shifted and scaled into readings, which changes neither.
  it('is found in the published example', () => {
    const masses = [199.31, 199.53, 200.19, 200.82, 201.92, 201.95, 202.18, 245.57];
    const found = valueOf(outlyingReading({ tdsPercents: masses.map((mass) => (mass - 190) / 10) }));
    expect(found?.index).toBe(7);
  });

  it('is not found among readings that scatter as instruments do', () => {
    expect(valueOf(outlyingReading({ tdsPercents: [1.34, 1.35, 1.36, 1.37] }))).toBeNull();
    expect(valueOf(outlyingReading({ tdsPercents: [1.35, 1.35, 1.35, 1.36] }))).toBeNull();
    expect(valueOf(outlyingReading({ tdsPercents: [1.35, 1.35, 1.35, 1.35] }))).toBeNull();
  });

  it('needs four readings', () => {
    expect(outlyingReading({ tdsPercents: [1.35, 1.35, 1.5] })).toMatchObject({ reason: 'too-few-readings' });
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
