import { describe, expect, it } from 'vitest';
import { GOLDEN_CONE, GOLDEN_FLAT, GOLDEN_MODEL } from '../testing/golden.js';
import { particlesOf } from './particles.js';
import { runBrew } from './runBrew.js';
import { setupOf } from './setup.js';
import { sum } from './state.js';
import type { BrewModelInput } from './types.js';

function brewed(input: BrewModelInput, stepS: number) {
  const setup = setupOf(input, GOLDEN_MODEL);
  const moments = new Map<number, readonly number[]>();
  const run = runBrew(setup, {
    stepS,
    longestS: 900,
    onGrid: (state) => {
      const yieldPercent = (sum(state.cupSolute) / setup.doseKg) * 100;
      const { aboveKg, slurryC, cupWaterKg } = state;
      moments.set(Math.round(state.atS * 10), [aboveKg * 1000, slurryC, cupWaterKg * 1000, yieldPercent]);
    },
  });
  const beverageKg = run.cup.waterKg + run.cup.soluteKg;
  return {
    drawdownS: run.drawdownS ?? NaN,
    beverageG: beverageKg * 1000,
    tdsPercent: (run.cup.soluteKg / beverageKg) * 100,
    yieldPercent: (run.cup.soluteKg / setup.doseKg) * 100,
    byClassPercent: run.cup.byClassKg.map((kg) => (kg / setup.doseKg) * 100),
    maxLevelM: run.maxLevelM,
    at: (atS: number) => moments.get(atS * 10) ?? [],
  };
}

// What a second program, written after the same equations, comes to as its step goes to nothing (carried on from
// steps of 0.02 and 0.01 s): it guards against slips, it is no outside reference.
describe('the golden brew', () => {
  it.each([
    [1, 0.1, 0.13, 1e-3, 3e-3],
    [0.5, 0.02, 0.04, 3e-4, 1e-3],
    [0.1, 1e-3, 0.012, 4e-5, 5e-4],
  ])(
    'is met at a step of %d s within %d s, %d g, %d %%, %d points',
    (stepS, seconds, grams, percent, points) => {
      const brew = brewed(GOLDEN_CONE, stepS);
      expect(Math.abs(brew.drawdownS - 163.0211)).toBeLessThan(seconds);
      expect(Math.abs(brew.beverageG - 223.1964)).toBeLessThan(grams);
      expect(Math.abs(brew.tdsPercent - 1.353_12)).toBeLessThan(percent);
      expect(Math.abs(brew.yieldPercent - 20.1342)).toBeLessThan(points);
    },
  );

  it('splits its yield and reaches its level', () => {
    const brew = brewed(GOLDEN_CONE, 0.1);
    for (const [kind, percent] of [6.5011, 9.081, 4.552].entries()) {
      expect(brew.byClassPercent[kind]).toBeCloseTo(percent, 3);
    }
    expect(Math.abs(brew.maxLevelM * 1000 - 55.622)).toBeLessThan(0.03);
  });

  it.each([
    [30, 0, 83.439, 18.504, 7.892],
    [70, 24.015, 86.777, 92.699, 16.9],
    [120, 37.529, 86.601, 179.867, 19.04],
  ])('passes through its states: at %i s %d g above the bed, %d °C', (atS, ...moment) => {
    const reached = brewed(GOLDEN_CONE, 0.1).at(atS);
    expect(reached).toHaveLength(4);
    for (const [index, figure] of reached.entries()) {
      expect(Math.abs(figure - (moment[index] ?? NaN))).toBeLessThan(0.01);
    }
  });

  it('has a sister on a flat bottom', () => {
    const brew = brewed(GOLDEN_FLAT, 0.1);
    expect(Math.abs(brew.drawdownS - 138.0455)).toBeLessThan(0.002);
    expect(Math.abs(brew.beverageG - 211.6897)).toBeLessThan(0.012);
    expect(Math.abs(brew.tdsPercent - 1.463_26)).toBeLessThan(5e-5);
    expect(Math.abs(brew.yieldPercent - 19.3599)).toBeLessThan(5e-4);
  });

  it('has its fines, its surface and its pools', () => {
    const { finesShare, d32M, poolShares, poolRatesPerS } = particlesOf({ d50Um: 680 }, GOLDEN_MODEL);
    expect(finesShare).toBeCloseTo(0.123_48, 5);
    expect(d32M * 1e6).toBeCloseTo(222.89, 2);
    expect(poolShares[1]?.map((share) => share.toFixed(4))).toEqual([
      '0.5566',
      '0.1471',
      '0.0368',
      '0.2076',
      '0.0519',
    ]);
    expect(poolRatesPerS.map((rate) => rate.toExponential(3))).toEqual([
      '6.552e-3',
      '2.621e-2',
      '1.294e-3',
      '5.177e-3',
    ]);
  });
});
