import { describe, expect, it } from 'vitest';
import { seededRandom } from '@vendu/core';
import { inventCups } from './invent-cups.js';

const cup = (untilS: number) => ({ untilS, colour: '', haze: 'clear' as const, notes: '', isWanted: true });

describe('the cups of an invented brew', () => {
  it('weigh and hold together what the whole holds, the first stronger than the last', () => {
    // 100 g of 2 % by 60 s, 200 g of 1.4 % by 120 s: the second cup has 100 g of 0.8 %, by hand.
    const filled = [
      { atS: 60, beverageG: 100, solidsG: 2 },
      { atS: 120, beverageG: 200, solidsG: 2.8 },
    ];
    const cups = inventCups([cup(60), cup(120)], filled, seededRandom(3));
    expect(cups.map(({ place, startS, endS }) => [place, startS, endS])).toEqual([
      [1, 0, 60],
      [2, 60, 120],
    ]);
    expect(cups[0]?.beverageG).toBeCloseTo(100, -1);
    expect(Math.abs((cups[0]?.tdsPercent ?? 0) - 2)).toBeLessThan(0.05);
    expect(Math.abs((cups[1]?.tdsPercent ?? 0) - 0.8)).toBeLessThan(0.05);
  });
});
