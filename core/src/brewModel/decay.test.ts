import { describe, expect, it } from 'vitest';
import { left, leftOfAdded, meanOfAdded } from './decay.js';

describe('a store that empties during a step', () => {
  it('follows the exponential to the third power of the step', () => {
    for (const x of [0.01, 0.02, 0.04]) {
      expect(Math.abs(left(x) - Math.exp(-x))).toBeLessThan(0.2 * x ** 3);
      expect(Math.abs(leftOfAdded(x) - (1 - Math.exp(-x)) / x)).toBeLessThan(0.2 * x ** 2);
    }
  });

  it('keeps the balance: what came in is what is left and what has left', () => {
    for (const x of [0, 1e-9, 0.3, 5, 1e6]) {
      const [storeG, addedG] = [7, 3];
      const endG = storeG * left(x) + addedG * leftOfAdded(x);
      const meanG = storeG * leftOfAdded(x) + addedG * meanOfAdded(x);
      expect(endG + x * meanG).toBeCloseTo(storeG + addedG, 6);
      expect(endG).toBeGreaterThanOrEqual(0);
    }
  });

  it('is defined for a step in which nothing leaves', () => {
    expect([left(0), leftOfAdded(0), meanOfAdded(0)]).toEqual([1, 1, 0.5]);
  });
});
