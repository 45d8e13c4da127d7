import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { PAPER_PER_M } from './hardware.js';
import { particlesOf } from './particles.js';
import { momentsOf } from './series.js';
import { DEFAULT_LOT, simulateBrew } from './simulateBrew.js';
import { valueOf } from '../result.js';
import { GOLDEN_BREW } from '../testing/brews.js';
import type { BrewForecast, BrewModelInput } from './types.js';

const brewed = (input: BrewModelInput, stepS?: number): BrewForecast =>
  valueOf(simulateBrew(stepS === undefined ? input : { ...input, stepS }));

describe('a grind', () => {
  it('shares itself out wholly, whatever its size', () => {
    for (const d50Um of [100, 300, 680, 1200, 4000]) {
      for (const shares of particlesOf({ d50Um }).poolShares) {
        expect(shares.reduce((sum, share) => sum + share, 0)).toBeCloseTo(1, 12);
        expect(Math.min(...shares)).toBeGreaterThanOrEqual(0);
      }
    }
  });
});

describe('every brew', () => {
  const brews = fc.record({
    doseG: fc.integer({ min: 5, max: 45 }),
    d50Um: fc.integer({ min: 350, max: 1300 }),
    // Above the brewer’s 75 °C: a warm brewer may well heat cooler water.
    kettleC: fc.integer({ min: 80, max: 100 }),
    ratio: fc.integer({ min: 13, max: 18 }),
    flowGps: fc.integer({ min: 2, max: 15 }),
    gapS: fc.integer({ min: 10, max: 60 }),
    swirlS: fc.double({ min: 0, max: 90, noNaN: true }),
    elevationM: fc.integer({ min: 0, max: 2500 }),
  });

  it('keeps its water and its solutes to 1e-9, stays finite, and is never hotter than what is poured', () => {
    fc.assert(
      fc.property(brews, ({ doseG, d50Um, kettleC, ratio, flowGps, gapS, swirlS, elevationM }) => {
        const amountG = (doseG * ratio) / 2;
        const brew = brewed(
          {
            ...GOLDEN_BREW,
            doseG,
            grind: { d50Um },
            kettleC,
            elevationM,
            pours: [
              { startS: 0, amountG, flowGps },
              { startS: amountG / flowGps + gapS, amountG, flowGps },
            ],
            agitation: [{ atS: swirlS, kind: 'stir' }],
          },
          0.5,
        );
        expect(brew.waterError).toBeLessThan(1e-9);
        expect(brew.soluteError).toBeLessThan(1e-9);
        expect(brew.yieldPercent).toBeGreaterThan(0);
        expect(brew.yieldPercent).toBeLessThan(29);
        expect(Math.max(...brew.series.slurryC)).toBeLessThanOrEqual(kettleC);
        expect(
          momentsOf(brew.series).every(
            ({ tdsPercent, outflowGps }) => Number.isFinite(tdsPercent) && outflowGps >= 0,
          ),
        ).toBe(true);
      }),
      { numRuns: 60 },
    );
  });

  it('does not mind the order in which its pours are given', () => {
    const shuffled = { ...GOLDEN_BREW, pours: [...GOLDEN_BREW.pours].reverse() };
    expect(brewed(shuffled).yieldPercent).toBe(brewed(GOLDEN_BREW).yieldPercent);
  });

  it('is drained when its last pour ends where the bed took the water as fast as it came', () => {
    const trickle = {
      ...GOLDEN_BREW,
      grind: { d50Um: 1200 },
      pours: [{ startS: 0, amountG: 200, flowGps: 1 }],
    };
    const { drawdownS, series } = brewed(trickle);
    expect(momentsOf(series).find(({ atS }) => atS >= 199.9)?.aboveBedG).toBeLessThan(1.5);
    expect(drawdownS).toBe(200);
  });

  it.each<[string, Partial<BrewModelInput>, string, string]>([
    ['coffee', { doseG: 0.1 }, 'doseG', '0.5 to 500 g'],
    ['a number', { kettleC: NaN }, 'kettleC', '1 to 105 °C'],
    [
      'a pour that ends',
      { pours: [{ startS: 0, amountG: Infinity, flowGps: 5 }] },
      'pours.0.amountG',
      '0 to 5000 g',
    ],
    ['a grind', { grind: { d50Um: 0 } }, 'grind.d50Um', '50 to 5000 µm'],
    ['a sieve with holes', { grind: { parts: [], finesSieved: 2 } }, 'grind.finesSieved', '0 to 1'],
    ['a lot that can be', { lot: { ...DEFAULT_LOT, rate: -1 } }, 'lot.rate', '0 to 1000'],
  ])('needs %s, and says which figure is wrong and what it may be', (_, change, field, allowed) => {
    expect(simulateBrew({ ...GOLDEN_BREW, ...change })).toMatchObject({
      reason: 'out-of-range',
      field,
      allowed,
    });
  });

  it('needs a step that gets somewhere', () => {
    for (const stepS of [0, -1, NaN, 60]) {
      expect(simulateBrew({ ...GOLDEN_BREW, stepS })).toMatchObject({
        field: 'stepS',
        allowed: '0.01 to 5 s',
      });
    }
    expect(simulateBrew({ ...GOLDEN_BREW, longestS: Infinity })).toMatchObject({ field: 'longestS' });
  });

  it('needs water and a grind', () => {
    expect(simulateBrew({ ...GOLDEN_BREW, pours: [] })).toMatchObject({ reason: 'no-water' });
    expect(simulateBrew({ ...GOLDEN_BREW, grind: { parts: [] } })).toMatchObject({ reason: 'no-grind' });
  });

  it('answers any input at all with a brew or a reason, never a NaN', () => {
    const upTo = (max: number) => fc.oneof(fc.double(), fc.double({ min: 0, max, noNaN: true }));
    fc.assert(
      fc.property(
        upTo(60),
        upTo(2000),
        upTo(100),
        upTo(800),
        upTo(20),
        (doseG, d50Um, kettleC, amountG, flowGps) => {
          const result = simulateBrew({
            ...GOLDEN_BREW,
            doseG,
            grind: { d50Um },
            kettleC,
            pours: [{ startS: 0, amountG, flowGps }],
            stepS: 1,
            longestS: 120,
          });
          if (!result.ok) {
            expect(result.message).not.toBe('');
            return;
          }
          const { tdsPercent, yieldPercent, beverageG, beverageC, maxLevelM } = result.value;
          expect([tdsPercent, yieldPercent, beverageG, beverageC, maxLevelM].every(Number.isFinite)).toBe(
            true,
          );
        },
      ),
      { numRuns: 300 },
    );
  });
});

describe('the four classic levers and their neighbours', () => {
  const base = brewed(GOLDEN_BREW);
  const drain = (brew: BrewForecast) => brew.drawdownS ?? Infinity;

  // Common practice: finer, hotter and more water per dose each extract more; finer and swirls drain slower.
  it.each<[string, Partial<BrewModelInput>, 1 | -1, 1 | -1 | 0]>([
    ['finer', { grind: { d50Um: 630 } }, 1, 1],
    ['coarser', { grind: { d50Um: 730 } }, -1, -1],
    ['hotter', { kettleC: 98 }, 1, -1],
    ['more water', { pours: [...GOLDEN_BREW.pours, { startS: 95, amountG: 30, flowGps: 5 }] }, 1, 1],
    ['one swirl more', { agitation: [...GOLDEN_BREW.agitation, { atS: 100, kind: 'swirl' }] }, 1, 1],
    ['fines sieved out', { grind: { d50Um: 680, finesShare: 0.05 } }, -1, -1],
    ['thick paper', { paperPerM: PAPER_PER_M.thick }, 1, 1],
  ])('%s moves yield and drain time as the trade knows', (_, change, yieldSign, timeSign) => {
    const brew = brewed({ ...GOLDEN_BREW, ...change });
    expect(Math.sign(brew.yieldPercent - base.yieldPercent)).toBe(yieldSign);
    if (timeSign !== 0) expect(Math.sign(drain(brew) - drain(base))).toBe(timeSign);
  });

  it('has steps of the size found on trial: 50 um finer gives 0.6-0.8 points and 8-13 s', () => {
    const finer = brewed({ ...GOLDEN_BREW, grind: { d50Um: 630 } });
    expect(finer.yieldPercent - base.yieldPercent).toBeGreaterThan(0.6);
    expect(finer.yieldPercent - base.yieldPercent).toBeLessThan(0.8);
    expect(drain(finer) - drain(base)).toBeGreaterThan(8);
    expect(drain(finer) - drain(base)).toBeLessThan(13);
  });
});
