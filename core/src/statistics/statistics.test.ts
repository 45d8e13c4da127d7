import { describe, expect, it } from 'vitest';
import { seededRandom } from '../random/seededRandom.js';
import { discriminationPValue, fewestCorrect, type DiscriminationMethod } from './discrimination.js';
import { friedmanTest } from './friedman.js';
import { individualsChart } from './individualsChart.js';
import { servingOrders } from './servingOrders.js';

describe('blind tests', () => {
  // Published: ISO 4120 table A.1 and ISO 10399 (from memory); computed: exact binomial.
  it.each<[DiscriminationMethod, number, number, number]>([
    ['triangle', 6, 0.05, 5],
    ['triangle', 12, 0.05, 8],
    ['triangle', 24, 0.05, 13],
    ['triangle', 36, 0.05, 18],
    ['triangle', 48, 0.05, 22],
    ['triangle', 12, 0.01, 9],
    ['triangle', 24, 0.01, 15],
    ['triangle', 36, 0.01, 20],
    ['duo-trio', 12, 0.05, 10],
    ['duo-trio', 24, 0.05, 17],
    ['duo-trio', 36, 0.05, 24],
  ])('%s with %i answers at %d needs %i right', (method, assessors, alpha, fewest) => {
    expect(fewestCorrect({ method, assessors, alpha })).toBe(fewest);
  });

  it('have the exact tail (computed: 5 or 6 of 6 by guessing one of three, 13/729)', () => {
    expect(discriminationPValue({ method: 'triangle', assessors: 6, correct: 5 })).toBeCloseTo(13 / 729, 9);
    expect(discriminationPValue({ method: 'paired', assessors: 3, correct: 3 })).toBeCloseTo(1 / 8, 9);
    expect(discriminationPValue({ method: 'triangle', assessors: 9, correct: 0 })).toBe(1);
  });

  it('with too few answers can prove nothing, and say so', () => {
    expect(fewestCorrect({ method: 'paired', assessors: 4, alpha: 0.05 })).toBeNull();
  });

  it.each([
    [0, 0],
    [5, 6],
    [5, -1],
    [2.5, 1],
  ])('refuse %d answers with %d right', (assessors, correct) => {
    expect(() => discriminationPValue({ method: 'triangle', assessors, correct })).toThrow(RangeError);
  });
});

describe('serving orders', () => {
  it.each([2, 3, 4, 5, 6, 7, 8])(
    'of %i samples are balanced for position and carry-over (Williams 1949)',
    (sampleCount) => {
      const orders = servingOrders({ sampleCount });
      const atPosition = new Map<string, number>();
      const follows = new Map<string, number>();
      for (const order of orders) {
        expect([...order].sort((a, b) => a - b)).toEqual(
          Array.from({ length: sampleCount }, (_, sample) => sample),
        );
        order.forEach((sample, position) => {
          const place = `${sample}@${position}`;
          atPosition.set(place, (atPosition.get(place) ?? 0) + 1);
          if (position === 0) return;
          const pair = `${order[position - 1] ?? -1}>${sample}`;
          follows.set(pair, (follows.get(pair) ?? 0) + 1);
        });
      }
      expect(new Set(atPosition.values()).size).toBe(1);
      expect(follows.size).toBe(sampleCount * (sampleCount - 1));
      expect(new Set(follows.values()).size).toBe(1);
    },
  );

  it('need something to compare', () => {
    expect(() => servingOrders({ sampleCount: 1 })).toThrow(RangeError);
  });
});

describe('ranking by several assessors', () => {
  it('finds full agreement, and none (computed by hand)', () => {
    const alike = friedmanTest({
      scores: [
        [1, 2, 3],
        [10, 20, 30],
        [0, 5, 9],
      ],
    });
    // Computed: chi^2 = 12 / (3 x 3 x 4) x (9 + 36 + 81) - 3 x 3 x 4 = 6; W = 6 / (3 x 2) = 1.
    expect(alike).toMatchObject({ rankSums: [3, 6, 9], degreesOfFreedom: 2 });
    expect(alike?.chiSquare).toBeCloseTo(6, 12);
    expect(alike?.concordance).toBeCloseTo(1, 12);
    // Computed: of the 6^3 ways in which three rank three, 6 agree fully.
    expect(alike?.pValue).toBeCloseTo(1 / 36, 12);
    const circle = friedmanTest({
      scores: [
        [1, 2, 3],
        [2, 3, 1],
        [3, 1, 2],
      ],
    });
    expect(circle?.chiSquare).toBeCloseTo(0, 12);
    expect(circle?.pValue).toBeCloseTo(1, 12);
  });

  it('shares ranks between ties, and has nothing to say when all tie', () => {
    expect(
      friedmanTest({
        scores: [
          [5, 5, 7],
          [1, 2, 3],
        ],
      })?.rankSums,
    ).toEqual([2.5, 3.5, 6]);
    expect(
      friedmanTest({
        scores: [
          [4, 4],
          [4, 4],
        ],
      }),
    ).toBeNull();
  });

  it('raises false alarms about as often as promised (1000 panels that only guess, too many to count, seed 5)', () => {
    const random = seededRandom(5);
    const panel = () => Array.from({ length: 30 }, () => Array.from({ length: 4 }, () => random()));
    const alarms = Array.from({ length: 1000 }, panel).filter(
      (scores) => (friedmanTest({ scores })?.pValue ?? 1) < 0.05,
    );
    expect(alarms.length).toBeGreaterThan(25);
    expect(alarms.length).toBeLessThan(75);
  });

  it('refuses ragged score sheets', () => {
    expect(() => friedmanTest({ scores: [[1, 2], [1]] })).toThrow(RangeError);
    expect(() => friedmanTest({ scores: [] })).toThrow(RangeError);
  });
});

describe('the chart of single values', () => {
  // Published: NIST/SEMATECH e-Handbook 6.3.2.2, the flow-rate example.
  const FLOW_RATES = [49.6, 47.6, 49.9, 51.3, 47.8, 51.2, 52.6, 52.4, 53.6, 52.1];

  it('has the limits of the published example', () => {
    const chart = individualsChart({ values: FLOW_RATES });
    expect(chart.centre).toBeCloseTo(50.81, 10);
    expect(chart.meanMovingRange).toBeCloseTo(1.8778, 4);
    expect(chart.upperLimit).toBeCloseTo(55.8041, 3);
    expect(chart.lowerLimit).toBeCloseTo(45.8159, 3);
    expect(chart.signals).toEqual([]);
  });

  // A quiet process about 0 with sigma 1, then the pattern of each rule (Nelson 1984, from memory).
  const quiet = Array.from({ length: 20 }, (_, index) => (index % 2 === 0 ? 0.564 : -0.564));
  const rulesAfter = (...later: number[]) =>
    individualsChart({ values: [...quiet, ...later], baselineCount: quiet.length }).signals.map(
      ({ index, rule }) => `${index - quiet.length}: ${rule}`,
    );

  it.each<[string, number[], string[]]>([
    ['one far out', [3.2], ['0: beyond-3-sigma']],
    ['just inside', [2.95], []],
    ['two of three beyond two sigma', [2.2, 0.1, 2.3], ['2: two-of-three-beyond-2-sigma']],
    ['two of three on different sides', [2.2, 0.1, -2.3], []],
    ['six falling', [1.9, 1.5, 1, 0.4, 0.2, -0.2], ['5: six-in-a-row']],
    ['nine above', [0.3, 0.5, 0.2, 0.4, 0.3, 0.6, 0.2, 0.5, 0.3], ['8: nine-on-one-side']],
    ['eight above', [0.3, 0.5, 0.2, 0.4, 0.3, 0.6, 0.2, 0.5], []],
  ])('signals %s', (_, later, expected) => {
    expect(rulesAfter(...later)).toEqual(expected);
  });

  it('needs two values', () => {
    expect(() => individualsChart({ values: [1] })).toThrow(RangeError);
  });
});
