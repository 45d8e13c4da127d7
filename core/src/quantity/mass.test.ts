import { describe, expect, it } from 'vitest';
import { parseMassG } from './mass.js';

// Computed: 1 lb = 453.59237 g exactly (international avoirdupois pound, 1959), 1 oz = 1/16 lb.
describe('a mass as a person writes it', () => {
  it.each([
    ['250', 250],
    ['250 g', 250],
    ['62,5g', 62.5],
    ['2.4 kg', 2400],
    ['2.4 k', 2400],
    ['2 LB', 907.18474],
    ['5 lbs.', 2267.96185],
    ['12 oz', 340.194278],
  ])('%s', (text, value) => expect(parseMassG(text)).toEqual({ ok: true, value }));

  it.each(['', 'two kilos', '3 stone', '1.2.3 g', 'g'])('“%s” is refused with how to write it', (text) => {
    const { message } = parseMassG(text) as { message: string };
    expect(message).toMatch(/250 g/);
  });
});
