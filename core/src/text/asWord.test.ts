import { describe, expect, it } from 'vitest';
import { asWord } from './asWord.js';

describe('a word as tasters write it', () => {
  it.each([
    ['raisin', 'Raisins'],
    ['raisins', 'raisin'],
    ['peach', 'ripe peaches'],
    ['cherry', 'cherries'],
    ['cherries', 'cherry'],
    ['lemon', 'a lemony end'],
    ['molasses', 'molasses'],
    ['c++ (odd)', 'c++ (odd)'],
  ])('“%s” is heard in “%s”', (word, text) => expect(asWord(word).test(text)).toBe(true));

  it.each([
    ['tea', 'steady'],
    ['date', 'dated'],
    ['apple', 'pineapple'],
  ])('“%s” is not heard in “%s”', (word, text) => expect(asWord(word).test(text)).toBe(false));
});
