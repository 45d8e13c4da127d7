import { describe, expect, it } from 'vitest';
import { boilsTooSoonM } from './boilingNote.js';
import { elevationAdvice } from './elevationAdvice.js';
import { grindName } from './grindName.js';

describe('a card in another place', () => {
  // Barometric formula and steam tables: water boils at 96.7 C at 1,000 m and at 93.2 C at 2,000 m.
  it('says from where on the kettle cannot be as hot as asked', () => {
    expect(boilsTooSoonM(96.7)).toBe(1000);
    expect(boilsTooSoonM(93.2)).toBeGreaterThanOrEqual(1950);
    expect(boilsTooSoonM(93.2)).toBeLessThanOrEqual(2100);
    expect(boilsTooSoonM(60)).toBeNull();
  });

  it('tells a kitchen on a hill what its kettle can do, and one by the sea nothing', () => {
    // 2,000 m: 93.2 C, 3 to 4 degrees short of 97.
    const told = elevationAdvice({ kettleC: 97, elevationM: 2000 });
    expect(told).toMatchObject({
      ok: true,
      value: expect.stringMatching(/^Water boils at 93\.[123] °C \(200 °F\).*4 °C\.$/) as string,
    });
    expect(elevationAdvice({ kettleC: 97, elevationM: 50 })).toEqual({ ok: true, value: '' });
    expect(elevationAdvice({ kettleC: 97, elevationM: 9000 })).toMatchObject({
      ok: false,
      reason: 'out-of-range',
    });
  });

  it('calls grinds by their words, finer to coarser', () => {
    expect([400, 500, 700, 800, 1200].map(grindName)).toEqual([
      'fine',
      'medium fine',
      'medium',
      'medium coarse',
      'coarse',
    ]);
  });
});
