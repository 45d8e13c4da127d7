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

  it('numbers the pours as the plan does, missed ones too, in whatever order the points come', () => {
    const poured = traceOf(plan.pours.slice(0, 2));
    const { pours } = valueOf(compareTrace({ plan, trace: poured }));
    expect(pours.map(({ pourNumber }) => pourNumber)).toEqual([1, 2, 3]);
    expect(pours[2]).toEqual({
      pourNumber: 3,
      startS: null,
      endS: null,
      totalG: null,
      flowGps: null,
      lateByS: null,
      overByG: null,
      fasterByGps: null,
      notes: ['missed'],
    });
    expect(valueOf(compareTrace({ plan, trace: poured.toReversed() })).pours).toEqual(pours);
  });

  it('gives each pour the stream nearest to its time, and each stream to one pour', () => {
    // A splash five seconds before the second pour, which itself is on time.
    const { pours, unplanned } = compared([
      ...plan.pours.slice(0, 1),
      { startS: 30, amountG: 10, flowGps: 6 },
      ...plan.pours.slice(1),
    ]);
    expect(Math.abs(pours[1]?.lateByS ?? 99)).toBeLessThan(1);
    expect(unplanned.map(({ startS }) => Math.round(startS))).toEqual([30]);
    // A stream 26 s off is not that pour; at 24 s it is.
    const off = (byS: number) =>
      compared([
        ...plan.pours.slice(0, 2),
        { startS: (plan.pours[2]?.startS ?? 0) + byS, amountG: 100, flowGps: 6 },
      ]);
    expect(off(27).pours[2]?.notes).toEqual(['missed']);
    expect(off(23).pours[2]?.notes).toContain('late');
  });

  it('measures start, end, total and flow of a stream without noise to the reading', () => {
    const { pours } = valueOf(compareTrace({ plan, trace: traceOf(plan.pours, 0) }));
    for (const [index, pour] of plan.pours.entries()) {
      const seen = pours[index];
      expect(Math.abs((seen?.startS ?? 99) - pour.startS)).toBeLessThanOrEqual(0.4);
      expect(Math.abs((seen?.endS ?? 99) - pour.startS - pour.amountG / pour.flowGps)).toBeLessThanOrEqual(
        0.4,
      );
      expect(seen?.flowGps).toBeCloseTo(pour.flowGps, 6);
    }
  });

  it('does not call a drip or a nudge of the scale a pour', () => {
    const nudged = traceOf(plan.pours, 0).map(({ atS, totalG }) => ({
      atS,
      totalG: totalG + (atS > 125 && atS < 127 ? 3.5 : 0),
    }));
    expect(valueOf(compareTrace({ plan, trace: nudged })).unplanned).toEqual([]);
  });

  it('knows a swirl marked up to twenty seconds from its time, each mark for one swirl', () => {
    const trace = traceOf(plan.pours);
    const [bloom] = plan.pours;
    const dueS = (bloom?.startS ?? 0) + (bloom?.amountG ?? 0) / (bloom?.flowGps ?? 1);
    const missed = (atS: number) =>
      valueOf(compareTrace({ plan, trace, agitatedAtS: [atS] })).missedAgitation.length;
    expect([missed(dueS - 19.9), missed(dueS + 19.9), missed(dueS + 20.1), missed(dueS - 20.1)]).toEqual([
      0, 0, 1, 1,
    ]);
  });

  it('needs three points', () => {
    const points = traceOf(plan.pours, 0).slice(0, 3);
    expect(compareTrace({ plan, trace: points }).ok).toBe(true);
  });

  it('names a point that cannot be', () => {
    const trace = traceOf(plan.pours);
    expect(compareTrace({ plan, trace: [...trace, { atS: NaN, totalG: 1 }] })).toMatchObject({
      field: 'trace.700.atS',
    });
    expect(compareTrace({ plan, trace: trace.slice(0, 2) })).toMatchObject({ reason: 'too-short' });
  });
});
