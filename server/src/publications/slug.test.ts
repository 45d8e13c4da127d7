import { describe, expect, it } from 'vitest';
import { slugOf } from './slug.js';

describe('a readable address', () => {
  it.each([
    ['Umuseke Ridge Kittiwake cone', 'umuseke-ridge-kittiwake-cone'],
    ['Marañal / “Côté” Nº 5', 'maranal-cote-no-5'],
    ['  --  ', 'recipe'],
    ['日本', 'recipe'],
  ])('%j becomes %j', (words, slug) => {
    expect(slugOf(words)).toBe(slug);
  });

  it('never ends in a hyphen, however long the words are', () => {
    expect(slugOf('word '.repeat(60))).toMatch(/^[a-z-]{1,120}$/);
    expect(slugOf('word '.repeat(60))).not.toMatch(/-$/);
  });
});
