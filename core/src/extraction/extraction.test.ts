import { describe, expect, it } from 'vitest';
import fc from 'fast-check';
import { normalDraw, seededRandom } from '../random/seededRandom.js';
import { brewResult } from './brewResult.js';
import { diluteBeverage } from './diluteBeverage.js';
import { extractionYieldPercent, immersionYieldPercent } from './extractionYield.js';
import { placeInWindow, CLASSIC_WINDOW, ratioLineTdsPercent } from './extractionMap.js';
import { beverageFault, readingFault } from './measurementFaults.js';
import { summariseReadings } from './readings.js';
import { beverageFromRetainedG, retainedWaterGPerG } from './retainedWater.js';
import { yieldUncertainty } from './yieldUncertainty.js';

const MEASURED = { tdsPercent: 1.35, beverageG: 212, doseG: 16 };
const STANDARD = { tdsPercent: 0.03, beverageG: 0.5, doseG: 0.1 };

describe('extraction yield of a percolation', () => {
  it('is 17.89 % for 1.35 %, 212 g, 16 g (computed; common practice: "just under 18 %")', () => {
    expect(extractionYieldPercent(MEASURED)).toBeCloseTo(17.8875, 10);
  });

  it('would read 20.25 % if the water poured stood for the beverage (computed: the error to warn of)', () => {
    expect(extractionYieldPercent({ ...MEASURED, beverageG: 240 })).toBeCloseTo(20.25, 10);
  });

  it.each([0, -1, Number.NaN])('throws on a dose of %d', (doseG) => {
    expect(() => extractionYieldPercent({ ...MEASURED, doseG })).toThrow(RangeError);
  });
});

describe('extraction yield of an immersion', () => {
  it('counts the liquid left in the bed (computed: 1.3 x (250 - 30) / 16)', () => {
    const yieldPercent = immersionYieldPercent({ tdsPercent: 1.3, waterG: 250, absorbedG: 30, doseG: 16 });
    expect(yieldPercent).toBeCloseTo(17.875, 10);
  });
});

describe('retained water', () => {
  it('is 1.17 g/g for 12 g, 200 g, 1.355 % at a yield of 21 % (computed)', () => {
    const beverageG = (21 * 12) / 1.355;
    expect(retainedWaterGPerG({ waterG: 200, beverageG, doseG: 12 })).toBeCloseTo(1.17, 2);
  });

  it('is 1.75 g/g for 16 g, 240 g poured, 212 g in the cup (common practice)', () => {
    expect(retainedWaterGPerG({ waterG: 240, beverageG: 212, doseG: 16 })).toBeCloseTo(1.75, 10);
  });

  it('gives the beverage back, and never less than nothing', () => {
    expect(beverageFromRetainedG({ waterG: 240, doseG: 16, retainedGPerG: 1.75 })).toBeCloseTo(212, 10);
    expect(beverageFromRetainedG({ waterG: 20, doseG: 16, retainedGPerG: 2 })).toBe(0);
  });
});

describe('bypass', () => {
  it('takes 180 g at 1.50 % to 1.385 % with 15 g of water (computed)', () => {
    const diluted = diluteBeverage({ tdsPercent: 1.5, beverageG: 180, bypassG: 15 });
    expect(diluted.tdsPercent).toBeCloseTo(1.385, 3);
    expect(diluted.beverageG).toBe(195);
  });

  it('leaves the yield as it was, whatever is added', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 500, noNaN: true }), (bypassG) => {
        const diluted = diluteBeverage({ ...MEASURED, bypassG });
        expect(extractionYieldPercent({ ...diluted, doseG: 16 })).toBeCloseTo(17.8875, 9);
      }),
    );
  });
});

describe('uncertainty of the yield', () => {
  it('is 0.42 points for the usual instruments (computed, JCGM 100:2008 first order)', () => {
    expect(yieldUncertainty({ measured: MEASURED, standard: STANDARD })).toBeCloseTo(0.42, 2);
  });

  it('agrees with a Monte Carlo propagation (JCGM 101:2008, 200,000 draws) within 2 %', () => {
    const random = seededRandom(20_261);
    const draws = Array.from({ length: 200_000 }, () =>
      extractionYieldPercent({
        tdsPercent: normalDraw(random, { mean: MEASURED.tdsPercent, sd: STANDARD.tdsPercent }),
        beverageG: normalDraw(random, { mean: MEASURED.beverageG, sd: STANDARD.beverageG }),
        doseG: normalDraw(random, { mean: MEASURED.doseG, sd: STANDARD.doseG }),
      }),
    );
    const mean = draws.reduce((sum, value) => sum + value, 0) / draws.length;
    const sd = Math.sqrt(draws.reduce((sum, value) => sum + (value - mean) ** 2, 0) / (draws.length - 1));
    const firstOrder = yieldUncertainty({ measured: MEASURED, standard: STANDARD });
    expect(Math.abs(sd / firstOrder - 1)).toBeLessThan(0.02);
  });
});

describe('refractometer readings', () => {
  it('are summed up with the mean, the spread and an uncertainty that repeating cannot shrink away', () => {
    const summary = summariseReadings([1.34, 1.36, 1.35]);
    expect(summary?.meanPercent).toBeCloseTo(1.35, 10);
    expect(summary?.spreadPercent).toBeCloseTo(0.02, 10);
    expect(summary?.sdPercent).toBeCloseTo(0.01, 10);
    expect(summary?.uncertaintyPercent).toBeCloseTo(Math.hypot(0.03, 0.01 / Math.sqrt(3)), 10);
    expect(summary?.comparablePercent).toBeCloseTo(Math.hypot(0.01, 0.015 / Math.sqrt(3)), 10);
    expect(summary?.notes).toEqual([]);
    expect(summariseReadings(Array(400).fill(1.35))?.uncertaintyPercent).toBeCloseTo(0.03, 10);
  });

  it('say when they are too few or disagree', () => {
    expect(summariseReadings([])).toBeNull();
    expect(summariseReadings([1.35])?.notes).toEqual(['too-few']);
    expect(summariseReadings([1.31, 1.36, 1.335])?.notes).toEqual([]);
    expect(summariseReadings([1.3, 1.4, 1.5])?.notes).toEqual(['spread-wide']);
    expect(summariseReadings([1.35, 1.27, 1.35])).toMatchObject({
      notes: ['one-off'],
      outlying: { index: 1 },
    });
  });
});

describe('the result of a brew', () => {
  const brew = { doseG: 16, waterG: 240, beverageG: 212, readingsPercent: [1.35, 1.35, 1.35] };

  it('is nothing until something was read', () => {
    expect(brewResult({ ...brew, readingsPercent: [] })).toBeNull();
  });

  it('is measured where the beverage was weighed', () => {
    expect(brewResult(brew)?.yield).toMatchObject({ basis: 'weighed' });
    const result = brewResult(brew);
    expect(result?.yield.yieldPercent).toBeCloseTo(17.8875, 10);
    expect(result?.yield.basis === 'weighed' && result.yield.retainedGPerG).toBeCloseTo(1.75, 10);
    expect(result?.yield.basis === 'weighed' && result.yield.uncertaintyPoints).toBeCloseTo(0.42, 2);
  });

  it('is marked assumed, with the band of retained water 1.2 to 2.3 g/g, where it was not', () => {
    const assumed = brewResult({ ...brew, beverageG: null })?.yield;
    // Computed: 1.35 x (240 - r x 16) / 16 for r = 2.0, 2.3, 1.2.
    expect(assumed).toMatchObject({ basis: 'assumed', assumedRetainedGPerG: 2 });
    expect(assumed?.yieldPercent).toBeCloseTo(17.55, 10);
    expect(assumed?.basis === 'assumed' && assumed.lowPercent).toBeCloseTo(17.145, 10);
    expect(assumed?.basis === 'assumed' && assumed.highPercent).toBeCloseTo(18.63, 10);
  });
});

describe('the extraction map', () => {
  it('puts 55 g per litre at 20 % yield on 1.236 % (computed: 0.20 x 55 / (1000 - 110))', () => {
    expect(ratioLineTdsPercent({ yieldPercent: 20, waterPerDose: 1000 / 55 })).toBeCloseTo(1.236, 3);
  });

  it('tells strength and yield apart against the window', () => {
    const place = (tdsPercent: number, yieldPercent: number) =>
      placeInWindow({ tdsPercent, yieldPercent, window: CLASSIC_WINDOW });
    expect(place(1.25, 20)).toEqual({ strength: 'inside', yield: 'inside' });
    expect(place(1.4, 17)).toEqual({ strength: 'above', yield: 'below' });
    expect(place(1.0, 23)).toEqual({ strength: 'below', yield: 'above' });
  });
});

describe('figures that cannot be right', () => {
  it('catches a slipped decimal point and says what was probably meant', () => {
    expect(readingFault({ tdsPercent: 1.3 })).toBeNull();
    expect(readingFault({ tdsPercent: 13 })?.message).toContain('1.30');
    expect(readingFault({ tdsPercent: 135 })?.message).toContain('1.35');
    expect(readingFault({ tdsPercent: 0 })?.message).not.toContain('meant');
  });

  it('catches a beverage as heavy as the water', () => {
    expect(beverageFault({ beverageG: 212, waterG: 240 })).toBeNull();
    expect(beverageFault({ beverageG: 240, waterG: 240 })).toMatchObject({
      reason: 'beverage-heavier-than-water',
    });
    // Water that was added to the beverage is in it.
    expect(beverageFault({ beverageG: 280, waterG: 250, bypassG: 60 })).toBeNull();
    expect(beverageFault({ beverageG: 310, waterG: 250, bypassG: 60 })).toMatchObject({
      message: expect.stringContaining('the 250 g poured and 60 g added') as string,
      allowed: 'below 310 g',
    });
  });
});
