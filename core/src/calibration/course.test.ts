import { describe, expect, it } from 'vitest';
import { wanderSdG, wandersTogether } from './course.js';

describe('how far the course of a beverage wanders from the model', () => {
  // Figures of the constants: 0.8 g for each g of dose half-way, a quarter of that at the ends.
  it.each([
    [0, 3],
    [0.25, 9.75],
    [0.5, 12],
    [1, 3],
    [-0.5, 3],
    [1.5, 3],
  ])('at %f of 15 g is %f g', (through, sdG) => {
    expect(wanderSdG(15, through)).toBeCloseTo(sdG, 9);
  });

  it('is forgotten after a minute and a half, in both directions alike', () => {
    expect(wandersTogether(40, 40)).toBe(1);
    expect(wandersTogether(40, 130)).toBeCloseTo(Math.exp(-1), 9);
    expect(wandersTogether(130, 40)).toBeCloseTo(Math.exp(-1), 9);
  });
});
