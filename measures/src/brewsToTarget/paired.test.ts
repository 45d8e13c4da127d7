import { describe, expect, it } from 'vitest';
import { pairedPValue } from './paired.js';

const outcomes = (onlyFirst: number, onlySecond: number, both: number): [boolean[], boolean[]] => {
  const pairs = [
    ...Array.from({ length: onlyFirst }, () => [true, false]),
    ...Array.from({ length: onlySecond }, () => [false, true]),
    ...Array.from({ length: both }, () => [true, true]),
  ];
  return [pairs.map(([a]) => a === true), pairs.map(([, b]) => b === true)];
};

// Computed: the binomial with a fair coin, by hand.
describe('the paired test', () => {
  it('is that of a fair coin on the lots that differ', () => {
    expect(pairedPValue(...outcomes(5, 0, 40))).toBeCloseTo(2 / 32, 12);
    expect(pairedPValue(...outcomes(1, 9, 3))).toBeCloseTo((2 * 11) / 1024, 12);
    expect(pairedPValue(...outcomes(8, 8, 0))).toBe(1);
    expect(pairedPValue(...outcomes(0, 0, 10))).toBe(1);
  });
});
