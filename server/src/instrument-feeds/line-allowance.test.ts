import { describe, expect, it } from 'vitest';
import { LineAllowance } from './line-allowance.js';

describe('the lines that a feed may send', () => {
  it('are some at once, and then so many a second', () => {
    const allowance = new LineAllowance(0);
    expect(allowance.take(240, 0)).toBe(true);
    expect(allowance.take(1, 0)).toBe(false);
    expect(allowance.take(30, 500)).toBe(true);
    expect(allowance.take(1, 500)).toBe(false);
  });

  it('are not saved up for ever, nor taken back by a clock that is set back', () => {
    const allowance = new LineAllowance(0);
    expect(allowance.take(241, 3_600_000)).toBe(false);
    expect(allowance.take(240, 3_600_000)).toBe(true);
    expect(allowance.take(1, 0)).toBe(false);
  });
});
