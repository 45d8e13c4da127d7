import { describe, expect, it } from 'vitest';
import { simulateBrew } from '../brewModel/simulateBrew.js';
import { BREWER_CLASSES, PAPER_PER_M } from '../brewModel/hardware.js';
import { normalDraw, seededRandom } from '../random/seededRandom.js';
import { valueOf } from '../result.js';
import type { Trace } from '../instruments/trace.js';
import { drainedS, firstDripS, outflowGps, outflowPoints, sinceStart } from './outflow.js';

const POURS = [
  { startS: 0, amountG: 40, flowGps: 6, isBloom: true },
  { startS: 45, amountG: 110, flowGps: 6 },
  { startS: 85, amountG: 100, flowGps: 6 },
];
const POURED_S = 85 + 100 / 6;

/** A scale at 10 Hz with a noise of 0.05 g and steps of 0.1 g under the server of a brew by the model. */
function brewOf({ d50Um = 720, permeability = 1, shape = 'cone' as 'cone' | 'flat-bottom' }) {
  const brew = valueOf(
    simulateBrew({
      brewer: BREWER_CLASSES[shape],
      paperPerM: PAPER_PER_M[shape === 'cone' ? 'ordinary' : 'fast'],
      doseG: 16,
      kettleC: 94,
      ambientC: 22,
      elevationM: 0,
      grind: { d50Um },
      pours: POURS,
      agitation: [],
      lot: { solubility: 1, rate: 1, permeability, clogging: 1, retained: 1, co2MgPerG: 7, ageDays: 14 },
      stepS: 0.5,
    }),
  );
  const { atS, beverageG } = brew.series;
  const random = seededRandom(3);
  const endMs = (atS.at(-1) ?? 0) * 1000;
  const atMs = Array.from({ length: Math.floor(endMs / 100) }, (_, index) => index * 100);
  const massG = atMs.map((sampleMs) => {
    const row = Math.min(atS.length - 2, Math.floor(sampleMs / 500));
    const share = sampleMs / 500 - row;
    const grams = (beverageG[row] ?? 0) * (1 - share) + (beverageG[row + 1] ?? 0) * share;
    return Math.round((grams + normalDraw(random, { mean: 0, sd: 0.05 })) * 10) / 10;
  });
  return { trace: { atMs, massG }, brew };
}

const upTo = ({ atMs, massG }: Trace, untilS: number): Trace => {
  const length = atMs.filter((each) => each <= untilS * 1000).length;
  return { atMs: atMs.slice(0, length), massG: massG.slice(0, length) };
};

describe('a scale under the server alone', () => {
  it.each([
    ['a usual bed', {}],
    ['a fine one', { d50Um: 560 }],
    ['a coarse one', { d50Um: 950 }],
    ['a clogging one', { permeability: 0.4 }],
    ['a flat bottom', { shape: 'flat-bottom' as const }],
  ])('finds the end of the drawdown of %s within 10 s', (_, bed) => {
    const { trace, brew } = brewOf(bed);
    const found = drainedS(trace, POURED_S);
    expect(Math.abs((found ?? Infinity) - (brew.drawdownS ?? 0))).toBeLessThan(10);
  });

  /** Grams at 10 Hz, as a function of seconds. */
  const scaleOf = (untilS: number, gramsAt: (atS: number) => number): Trace => {
    const atMs = Array.from({ length: untilS * 10 + 1 }, (_, index) => index * 100);
    return { atMs, massG: atMs.map((each) => gramsAt(each / 1000)) };
  };

  it('hears the first drip at a gram that stays for a second, and no knock', () => {
    const dripAt = (untilS: number, staysS = Infinity) =>
      firstDripS(scaleOf(untilS, (atS) => (atS >= 5 && atS < 5 + staysS ? 1 : 0)));
    expect(dripAt(6)).toBe(5);
    // Not before it has stayed.
    expect(dripAt(5)).toBeNull();
    expect(dripAt(30, 0.5)).toBeNull();
    expect(firstDripS(scaleOf(10, (atS) => (atS >= 5 ? 0.9 : 0)))).toBeNull();
    // What lay on the scale before is its zero.
    expect(firstDripS(scaleOf(10, (atS) => (atS >= 5 ? 301 : 300)))).toBe(5);
    // It may bounce to half of it.
    expect(firstDripS(scaleOf(10, (atS) => (atS < 5 ? 0 : atS < 5.3 ? 1 : 0.5)))).toBe(5);
    expect(firstDripS(scaleOf(10, (atS) => (atS < 5 ? 0 : atS < 5.3 ? 1 : 0.4)))).toBeNull();
  });

  it('reads the outflow as the slope of the last three seconds', () => {
    const trace = scaleOf(20, (atS) => (atS < 10 ? 2 * atS : 20 + 0.5 * (atS - 10)));
    expect(outflowGps(trace, 8000)).toBeCloseTo(2, 9);
    expect(outflowGps(trace, 13_000)).toBeCloseTo(0.5, 9);
    // Seven points are too few, eight are enough.
    expect(outflowGps(trace, 600)).toBeNull();
    expect(outflowGps(trace, 700)).toBeCloseTo(2, 9);
    // A server taken off is no outflow.
    expect(
      outflowGps(
        scaleOf(20, (atS) => -16 * atS),
        8000,
      ),
    ).toBeNull();
    expect(
      outflowGps(
        scaleOf(20, (atS) => 15 * atS),
        8000,
      ),
    ).toBeCloseTo(15, 9);
  });

  it('says nothing of the end while water still stands on the bed', () => {
    const { trace, brew } = brewOf({});
    for (let untilS = POURED_S; untilS < (brew.drawdownS ?? 0); untilS += 5) {
      expect(drainedS(upTo(trace, untilS), POURED_S)).toBeNull();
    }
  });

  it('leaves the end to the eye where the server was taken off in between', () => {
    const { trace, brew } = brewOf({});
    const takenMs = (POURED_S + 15) * 1000;
    const massG = trace.massG.map((grams, index) =>
      (trace.atMs[index] ?? 0) > takenMs ? grams - 120 : grams,
    );
    expect(drainedS({ ...trace, massG }, POURED_S)).toBeNull();
    expect(brew.drawdownS).toBeGreaterThan(POURED_S + 15);
  });

  it('hears the first drip, on its own zero, and no knock', () => {
    const { trace, brew } = brewOf({});
    const row = brew.series.beverageG.findIndex((grams) => grams >= 1);
    const trueS = brew.series.atS[row] ?? 0;
    expect(Math.abs((firstDripS(trace) ?? Infinity) - trueS)).toBeLessThan(1);
    // Not tared: the server stands on it.
    const heavy = { ...trace, massG: trace.massG.map((grams) => grams + 412) };
    expect(firstDripS(heavy)).toBe(firstDripS(trace));
    expect(sinceStart(heavy).massG[0]).toBe(0);
    const knocked = { ...upTo(trace, 2), massG: upTo(trace, 2).massG.map((_, at) => (at === 5 ? 6 : 0)) };
    expect(firstDripS(knocked)).toBeNull();
  });

  it('tells the outflow at a moment, and its beverage every few seconds', () => {
    const atMs = Array.from({ length: 200 }, (_, index) => index * 100);
    const trace = { atMs, massG: atMs.map((each) => 300 + (each / 1000) * 2) };
    expect(outflowGps(trace, 10_000)).toBeCloseTo(2, 6);
    expect(outflowGps(trace, 500)).toBeNull();
    const points = outflowPoints(trace, { everyS: 5, untilS: 12 });
    expect(points.map(({ atS }) => atS)).toEqual([5, 10]);
    // 2 g/s, less half of the half second that is looked at.
    for (const { atS, beverageG } of points) expect(Math.abs(beverageG - atS * 2)).toBeLessThan(0.7);
  });
});
