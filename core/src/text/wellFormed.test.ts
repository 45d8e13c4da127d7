import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { cutTo, wellFormed } from './wellFormed.js';

// U+1F34B is written as two code units, D83C DF4B (The Unicode Standard, section 3.9, UTF-16).
const LEMON = '\uD83C\uDF4B';

describe('a text that was cut inside a character', () => {
  it('gets the sign for one that cannot be shown in the place of each half', () => {
    expect(wellFormed(`sour ${LEMON[0] ?? ''}`)).toBe('sour \uFFFD');
    expect(wellFormed(`${LEMON[1] ?? ''} sour`)).toBe('\uFFFD sour');
    expect(wellFormed(`${LEMON}${LEMON[0] ?? ''}${LEMON}`)).toBe(`${LEMON}\uFFFD${LEMON}`);
  });

  it('is left alone where it is whole', () => {
    expect(wellFormed(`sour ${LEMON}, ñ, 日本`)).toBe(`sour ${LEMON}, ñ, 日本`);
  });

  it('can always be written in an address, which takes whole characters only', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 0, max: 0xffff })), (units) => {
        const text = wellFormed(String.fromCharCode(...units));
        // ECMA-262, encodeURIComponent: throws on half a character.
        expect(decodeURIComponent(encodeURIComponent(text))).toBe(text);
      }),
    );
  });
});

describe('cutting a text', () => {
  it('never leaves half of a character', () => {
    expect(cutTo(`ab${LEMON}`, 4)).toBe(`ab${LEMON}`);
    expect(cutTo(`ab${LEMON}`, 3)).toBe('ab');
    expect(cutTo('abc', 2)).toBe('ab');
    expect(cutTo('abc', 9)).toBe('abc');
  });
});
