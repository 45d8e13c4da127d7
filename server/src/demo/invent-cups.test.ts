import { describe, expect, it } from 'vitest';
import { seededRandom, type BrewForecast } from '@vendu/core';
import { inventCups } from './invent-cups.js';

const cup = (untilS: number) => ({ untilS, colour: '', haze: 'clear' as const, notes: '', isWanted: true });

describe('the cups of an invented brew', () => {
  it('weigh and hold together what the whole holds, the first stronger than the last', () => {
    // 100 g of 2 % by 60 s, 200 g of 1.4 % by 120 s: the second cup has 100 g of 0.8 %, by hand.
    const series = { atS: [0, 60, 120], beverageG: [0, 100, 200], tdsPercent: [0, 2, 1.4] };
    const cups = inventCups(
      [cup(60), cup(120)],
      series as unknown as BrewForecast['series'],
      seededRandom(3),
    );
    expect(cups.map(({ place, startS, endS }) => [place, startS, endS])).toEqual([
      [1, 0, 60],
      [2, 60, 120],
    ]);
    expect(cups[0]?.beverageG).toBeCloseTo(100, -1);
    expect(Math.abs((cups[0]?.tdsPercent ?? 0) - 2)).toBeLessThan(0.05);
    expect(Math.abs((cups[1]?.tdsPercent ?? 0) - 0.8)).toBeLessThan(0.05);
  });
});
