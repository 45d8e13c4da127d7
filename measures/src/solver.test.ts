import { describe, expect, it } from 'vitest';
import { runBrew, setupOf } from '@vendu/core/brewModel';
import { randomBrew, REFERENCE_BREW } from './recipes.js';
import { solveBrew } from './solver.js';

// Reference: odex, an extrapolation method after Hairer, Norsett and Wanner, on the same equations at 1e-7.
const solved = (setup: ReturnType<typeof setupOf>, untilS: number) =>
  solveBrew(setup, { tolerance: 1e-7, untilS, findsDrawdown: true });

describe('the scheme against a general solver', () => {
  it.each([
    ['the reference brew', REFERENCE_BREW] as const,
    ...[11, 12, 13].map((seed) => [`recipe ${seed}`, randomBrew(seed)] as const),
  ])('agrees on %s to 0.005 points of yield and 0.1 s of drain time', (_, brew) => {
    const setup = setupOf(brew);
    const own = runBrew(setup, { stepS: 0.25, longestS: 900 });
    const reference = solved(setup, own.state.atS);
    expect(Math.abs((own.cup.soluteKg / setup.doseKg) * 100 - reference.yieldPercent)).toBeLessThan(0.005);
    expect(Math.abs((own.drawdownS ?? 0) - (reference.drawdownS ?? Infinity))).toBeLessThan(0.1);
  });

  it('comes nearer at least with the square of its step: its water is of second order', () => {
    const setup = setupOf(REFERENCE_BREW);
    const reference = solved(setup, 170).drawdownS ?? 0;
    const errors = [1, 0.5, 0.25].map(
      (stepS) => (runBrew(setup, { stepS, longestS: 900 }).drawdownS ?? 0) - reference,
    );
    for (const [index, error] of errors.slice(1).entries()) {
      expect((errors[index] ?? 0) / error).toBeGreaterThan(3);
      expect((errors[index] ?? 0) / error).toBeLessThan(8);
    }
  });
});
