import { mean, quantile, variance } from 'simple-statistics';
import { describe, expect, it } from 'vitest';
import { normalDraw, seededRandom } from '../random/seededRandom.js';
import { normalAbove } from './normalAbove.js';

describe('a normal figure above a bound', () => {
  it('has the moments of the half-normal distribution above its own mean', () => {
    // Published: mean sqrt(2/pi) and variance 1 - 2/pi (from memory; an exact sum anyone can redo).
    const half = normalAbove({ mean: 0, sd: 1, bound: 0 });
    expect(half.mean).toBeCloseTo(Math.sqrt(2 / Math.PI), 9);
    expect(half.variance).toBeCloseTo(1 - 2 / Math.PI, 9);
    expect(half.probability).toBeCloseTo(0.5, 12);
  });

  it.each([-1, 0.5, 1.5])('agrees with drawing and throwing away, bound %d', (bound) => {
    const random = seededRandom(11);
    const drawn = Array.from({ length: 200_000 }, () => normalDraw(random, { mean: 0.3, sd: 1.2 }));
    const kept = drawn.filter((each) => each > bound);
    const above = normalAbove({ mean: 0.3, sd: 1.2, bound });
    expect(Math.abs(above.mean - mean(kept))).toBeLessThan(0.02);
    expect(Math.abs(above.variance - variance(kept))).toBeLessThan(0.02);
    expect(Math.abs(above.probability - kept.length / drawn.length)).toBeLessThan(0.01);
    for (const share of [0.05, 0.5, 0.95]) {
      expect(Math.abs(above.quantile(share) - quantile(kept, share))).toBeLessThan(0.03);
    }
  });

  it('is what it was where the bound is far below, and just above the bound where that is far above', () => {
    expect(normalAbove({ mean: 5, sd: 2, bound: -100 })).toMatchObject({
      mean: 5,
      variance: 4,
      probability: 1,
    });
    for (const bound of [5.99, 6.01, 12, 60]) {
      const { mean: left, variance: spread } = normalAbove({ mean: 0, sd: 1, bound });
      expect(left).toBeGreaterThan(bound);
      expect(left).toBeLessThan(bound + 1 / bound);
      expect(spread).toBeGreaterThan(0);
      expect(spread).toBeLessThan(1 / bound ** 2 + 1e-3);
      expect(normalAbove({ mean: 0, sd: 1, bound }).quantile(0.05)).toBeGreaterThan(bound);
    }
    // No step where the series takes over.
    const [under, over] = [5.999, 6.001].map((bound) => normalAbove({ mean: 0, sd: 1, bound }).mean);
    expect(Math.abs((over ?? NaN) - (under ?? NaN))).toBeLessThan(0.01);
  });
});
