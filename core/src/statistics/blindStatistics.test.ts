import { describe, expect, it } from 'vitest';
import { seededRandom } from '../random/seededRandom.js';
import { atLeast, shareInterval, unevenSplit } from './binomialTails.js';
import { assessorsNeeded, blindPower } from './blindPower.js';
import { bradleyTerry } from './bradleyTerry.js';
import { fewestCorrect } from './discrimination.js';
import { earlyLooks } from './earlyLooks.js';
import { friedmanTest } from './friedman.js';
import { holmAdjusted } from './holm.js';
import { pairedDifference } from './pairedDifference.js';
import { fewestPreferring } from './pairedPreference.js';

describe('a preference that nobody foretold', () => {
  // Published: ISO 5495, two-sided (from memory); computed: exact binomial, both tails.
  it.each([
    [12, 10],
    [20, 15],
    [24, 18],
    [30, 21],
  ])('of %i tasters needs %i for one of the two', (assessors, fewest) => {
    expect(fewestPreferring({ assessors, alpha: 0.05 })).toBe(fewest);
    expect(unevenSplit(fewest, assessors)).toBeLessThanOrEqual(0.05);
    expect(unevenSplit(fewest - 1, assessors)).toBeGreaterThan(0.05);
  });

  it('is nothing in five tasters who all agree, and something in six (computed: 1/16 and 1/32)', () => {
    expect(fewestPreferring({ assessors: 5, alpha: 0.05 })).toBeNull();
    expect(unevenSplit(0, 5)).toBeCloseTo(1 / 16, 12);
    expect(fewestPreferring({ assessors: 6, alpha: 0.05 })).toBe(6);
  });
});

describe('the exact interval of a share', () => {
  // Published: Clopper and Pearson's limits as tabled in textbooks (from memory).
  it.each([
    [0, 10, 0, 0.3085],
    [5, 10, 0.1871, 0.8129],
    [10, 10, 0.6915, 1],
  ])('of %i in %i is %d to %d', (successes, trials, low, high) => {
    const interval = shareInterval(successes, trials);
    expect(interval.low).toBeCloseTo(low, 4);
    expect(interval.high).toBeCloseTo(high, 4);
  });

  it('leaves out one in forty at each end (computed by the tail itself)', () => {
    const { low, high } = shareInterval(7, 20);
    expect(atLeast(7, 20, low)).toBeCloseTo(0.025, 6);
    expect(1 - atLeast(8, 20, high)).toBeCloseTo(0.025, 6);
  });
});

describe('how many tasters it takes', () => {
  it('is 16 for a triangle that half of people notice (published: ISO 4120, alpha 0.05, beta 0.2, from memory)', () => {
    expect(assessorsNeeded({ method: 'triangle', alpha: 0.05, noticing: 0.5, power: 0.8 })).toBe(16);
  });

  it('agrees with tests that are made (4000 panels of 12, seed 8)', () => {
    const random = seededRandom(8);
    const fewest = fewestCorrect({ method: 'triangle', assessors: 12, alpha: 0.05 }) ?? 99;
    const isRight = () => random() < 0.5 || random() < 1 / 3;
    const found = Array.from({ length: 4000 }, () => Array.from({ length: 12 }, isRight)).filter(
      (panel) => panel.filter(Boolean).length >= fewest,
    ).length;
    const power = blindPower({ method: 'triangle', alpha: 0.05, noticing: 0.5, assessors: 12 });
    expect(Math.abs(found / 4000 - power)).toBeLessThan(0.025);
  });

  it('is nothing below the fewest that can show anything', () => {
    expect(blindPower({ method: 'paired', alpha: 0.05, noticing: 1, assessors: 5 })).toBe(0);
    expect(assessorsNeeded({ method: 'triangle', alpha: 0.05, noticing: 0.01, power: 0.9 })).toBeNull();
  });
});

describe('rank sums, counted', () => {
  // Published: Friedman's tables as reprinted in textbooks (from memory): 0.042 and 0.017.
  it('have the chances of the tables', () => {
    const three = friedmanTest({
      scores: [
        [1, 2, 3],
        [1, 2, 3],
        [1, 2, 3],
        [1, 3, 2],
      ],
    });
    expect(three).toMatchObject({ isCounted: true });
    expect(three?.chiSquare).toBeCloseTo(6.5, 9);
    expect(three?.pValue).toBeCloseTo(0.042, 3);
    const four = friedmanTest({
      scores: [
        [1, 2, 3, 4],
        [1, 2, 3, 4],
        [2, 1, 3, 4],
      ],
    });
    expect(four?.chiSquare).toBeCloseTo(8.2, 9);
    expect(four?.pValue).toBeCloseTo(0.017, 3);
  });

  it('of two samples are a count of signs (computed: exact binomial)', () => {
    const scores = [...Array.from({ length: 9 }, () => [2, 1]), [1, 2]];
    expect(friedmanTest({ scores })?.pValue).toBeCloseTo(unevenSplit(9, 10), 12);
  });
});

it('several tests keep one chance of a false alarm (Holm; computed by hand)', () => {
  expect(holmAdjusted([0.01, 0.04, 0.03, 0.005]).map((value) => Number(value.toFixed(4)))).toEqual([
    0.03, 0.06, 0.06, 0.02,
  ]);
  expect(holmAdjusted([0.8, 0.9])).toEqual([1, 1]);
  expect(holmAdjusted([])).toEqual([]);
});

describe('standings by pairs', () => {
  it('of two are the odds (computed: ln 3, and its error by the binomial)', () => {
    const [first, second] =
      bradleyTerry([
        [0, 9],
        [3, 0],
      ]) ?? [];
    expect((first?.logOdds ?? 0) - (second?.logOdds ?? 0)).toBeCloseTo(Math.log(3), 8);
    // Each stands half the difference from the middle.
    expect(first?.sd).toBeCloseTo(0.5 / Math.sqrt(12 * 0.75 * 0.25), 8);
  });

  it('win as often as they are expected to (the condition of the greatest likelihood)', () => {
    const wins = [
      [0, 7, 5, 9],
      [3, 0, 4, 6],
      [5, 6, 0, 7],
      [1, 4, 3, 0],
    ];
    const found = bradleyTerry(wins) ?? [];
    for (const [a, row] of wins.entries()) {
      const expected = wins.reduce((total, _, b) => {
        if (a === b) return total;
        const odds = Math.exp((found[b]?.logOdds ?? 0) - (found[a]?.logOdds ?? 0));
        return total + ((row[b] ?? 0) + (wins[b]?.[a] ?? 0)) / (1 + odds);
      }, 0);
      expect(expected).toBeCloseTo(
        row.reduce((total, won) => total + won, 0),
        6,
      );
    }
    expect(found.reduce((total, { logOdds }) => total + logOdds, 0)).toBeCloseTo(0, 8);
  });

  it('have no end where one never lost, or two halves never met', () => {
    expect(
      bradleyTerry([
        [0, 4],
        [0, 0],
      ]),
    ).toBeNull();
    expect(
      bradleyTerry([
        [0, 2, 0, 0],
        [2, 0, 0, 0],
        [0, 0, 0, 2],
        [0, 0, 2, 0],
      ]),
    ).toBeNull();
  });
});

describe('looking before all have answered', () => {
  it('at the end alone is the usual test', () => {
    const [only] = earlyLooks({ method: 'triangle', looksAt: [24], planned: 24, alpha: 0.05 });
    expect(only?.fewest).toBe(fewestCorrect({ method: 'triangle', assessors: 24, alpha: 0.05 }));
  });

  it.each(['triangle', 'duo-trio', 'paired'] as const)(
    'keeps the false alarms of a %s to what they were said to be (2000 panels that guess, seed 3)',
    (method) => {
      const random = seededRandom(3);
      const looks = earlyLooks({ method, looksAt: [6, 12, 18, 24], planned: 24, alpha: 0.05 });
      const guessing = method === 'triangle' ? 1 / 3 : 1 / 2;
      const alarms = Array.from({ length: 2000 }, () => {
        const panel = Array.from({ length: 24 }, () => random() < guessing);
        return looks.some(({ assessors, fewest }) => {
          const right = panel.slice(0, assessors).filter(Boolean).length;
          const told = method === 'paired' ? Math.max(right, assessors - right) : right;
          return fewest !== null && told >= fewest;
        });
      }).filter(Boolean).length;
      const last = looks.at(-1)?.spent ?? 1;
      expect(last).toBeLessThanOrEqual(0.05);
      // Four standard errors of a share of 2000.
      expect(Math.abs(alarms / 2000 - last)).toBeLessThan(4 * Math.sqrt((0.05 * 0.95) / 2000));
    },
  );

  it('asks for more the earlier it is', () => {
    const shares = earlyLooks({ method: 'triangle', looksAt: [12, 24, 36], planned: 36, alpha: 0.05 }).map(
      ({ assessors, fewest }) => (fewest ?? Infinity) / assessors,
    );
    expect(shares).toEqual([...shares].sort((a, b) => b - a));
  });
});

describe('points by the same people', () => {
  // Published: Student's own example of 1908, hours of sleep gained by ten patients (from memory): t = 4.06, mean 1.58.
  it('give the mean difference and where it lies', () => {
    const gained = [1.2, 2.4, 1.3, 1.3, 0, 1, 1.8, 0.8, 4.6, 1.4];
    const found = pairedDifference(gained);
    expect(found?.mean).toBeCloseTo(1.58, 6);
    expect(found?.pValue).toBeCloseTo(0.0028, 4);
    expect(found?.low).toBeCloseTo(0.7, 2);
    expect(found?.high).toBeCloseTo(2.46, 2);
  });

  it('of one taster, or all alike, are told as they are', () => {
    expect(pairedDifference([1])).toBeNull();
    expect(pairedDifference([0, 0, 0])).toMatchObject({ mean: 0, pValue: 1 });
    expect(pairedDifference([2, 2, 2])).toMatchObject({ mean: 2, low: 2, high: 2, pValue: 0.25 });
  });
});
