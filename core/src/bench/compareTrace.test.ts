import { describe, expect, it } from 'vitest';
import { normalDraw, seededRandom } from '../random/seededRandom.js';
import { valueOf } from '../result.js';
import { PLAN as plan } from '../testing/brews.js';
import { compareTrace, type WaterPoint } from './compareTrace.js';

/** What a scale at 5 Hz shows of pours, with noise of 0.1 g. */
function traceOf(
  pours: readonly { startS: number; amountG: number; flowGps: number }[],
  noiseG = 0.1,
): WaterPoint[] {
  const random = seededRandom(7);
  return Array.from({ length: 700 }, (_, index) => {
    const atS = index / 5;
    const totalG = pours.reduce(
      (sum, { startS, amountG, flowGps }) => sum + Math.min(amountG, Math.max(0, (atS - startS) * flowGps)),
      0,
    );
    return { atS, totalG: totalG + normalDraw(random, { mean: 0, sd: noiseG }) };
  });
}
const compared = (pours: Parameters<typeof traceOf>[0]) =>
  valueOf(compareTrace({ plan, trace: traceOf(pours) }));

describe('a trace against its plan', () => {
  it('agrees where the hand was steady', () => {
    const { pours, unplanned } = compared(plan.pours.map((pour) => ({ ...pour, startS: pour.startS + 1 })));
    expect(pours.map(({ notes }) => notes)).toEqual([[], [], []]);
    expect(unplanned).toEqual([]);
    for (const [index, total] of [45, 145, 245].entries()) {
      expect(Math.abs((pours[index]?.totalG ?? 0) - total)).toBeLessThan(1);
      expect(Math.abs((pours[index]?.flowGps ?? 0) - 6)).toBeLessThan(0.3);
      expect(Math.abs((pours[index]?.lateByS ?? 0) - 1)).toBeLessThan(0.5);
    }
  });

  it('tells late from early, over from under, fast from slow', () => {
    const { pours } = compared([
      { startS: 0, amountG: 52, flowGps: 11 },
      { startS: 47, amountG: 85, flowGps: 6 },
      { startS: 73, amountG: 108, flowGps: 3.5 },
    ]);
    expect(pours.map(({ notes }) => notes)).toEqual([
      ['over', 'too-fast'],
      ['late', 'under'],
      ['early', 'too-slow'],
    ]);
    expect(pours[0]?.overByG).toBeCloseTo(7, 0);
    expect(pours[1]?.lateByS).toBeCloseTo(7, 0);
  });

  it('finds a pour left out and one that nobody planned', () => {
    const [bloom, main] = plan.pours;
    if (!bloom || !main) throw new Error('the plan has pours');
    const { pours, unplanned } = compared([bloom, main, { startS: 120, amountG: 60, flowGps: 6 }]);
    expect(pours[2]).toMatchObject({ startS: null, notes: ['missed'] });
    expect(unplanned).toHaveLength(1);
    expect(Math.abs((unplanned[0]?.amountG ?? 0) - 60)).toBeLessThan(1);
  });

  it('takes a stream with a short pause for one pour', () => {
    const { pours, unplanned } = compared([
      { startS: 0, amountG: 45, flowGps: 6 },
      { startS: 40, amountG: 48, flowGps: 6 },
      { startS: 50, amountG: 52, flowGps: 6 },
      { startS: 80, amountG: 100, flowGps: 6 },
    ]);
    expect(unplanned).toEqual([]);
    expect(Math.abs((pours[1]?.totalG ?? 0) - 145)).toBeLessThan(1);
  });

  it('tells the swirl that nobody marked, once anything was marked', () => {
    const trace = traceOf(plan.pours);
    const missed = (agitatedAtS?: number[]) =>
      valueOf(compareTrace({ plan, trace, ...(agitatedAtS ? { agitatedAtS } : {}) })).missedAgitation;
    expect(missed([9])).toEqual([]);
    expect(missed([])).toEqual([{ pourNumber: 1, how: 'swirl' }]);
    expect(missed([100])).toEqual([{ pourNumber: 1, how: 'swirl' }]);
    expect(missed()).toEqual([]);
  });

  it('names a point that cannot be', () => {
    const trace = traceOf(plan.pours);
    expect(compareTrace({ plan, trace: [...trace, { atS: NaN, totalG: 1 }] })).toMatchObject({
      field: 'trace.700.atS',
    });
    expect(compareTrace({ plan, trace: trace.slice(0, 2) })).toMatchObject({ reason: 'too-short' });
  });
});
