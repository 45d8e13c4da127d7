import { describe, expect, it } from 'vitest';
import { seededRandom } from '../random/seededRandom.js';
import { NOT_SCORED } from './sheet.js';
import { tasterHistory, type IndependentSheet } from './tasterHistory.js';

const cup = (brewId: number, personId: number, dryness: number): IndependentSheet => ({
  brewId,
  stage: 'warm',
  personId,
  intensities: { ...NOT_SCORED, dryness },
});
/** What the second taster scores over the first, brew by brew. */
const pairs = (apart: readonly number[]) =>
  apart.flatMap((by, index) => [cup(index, 1, 4), cup(index, 2, 4 + by)]);
const dryness = (apart: readonly number[], personId = 2) =>
  tasterHistory(pairs(apart))
    .get(personId)
    ?.find(({ attribute }) => attribute === 'dryness');

describe('how a taster reads beside the others', () => {
  it('is a mean with Student’s interval over brews', () => {
    // t of 99 %, two-sided, with nine degrees of freedom: 3.250 (standard table, from memory).
    const told = dryness([1, 1, 1, 1, 1, 2, 2, 2, 2, 2]);
    expect(told).toMatchObject({ byPoints: 1.5, brews: 10, isHabit: true });
    expect(told?.withinPoints).toBeCloseTo((3.25 * Math.sqrt(2.5 / 9)) / Math.sqrt(10), 3);
    expect(dryness([1, 1, 1, 1, 1, 2, 2, 2, 2, 2], 1)?.byPoints).toBe(-1.5);
  });

  it('is no habit by few brews, by little, or where it goes both ways', () => {
    expect(dryness([1, 1, 1, 1, 1])?.isHabit).toBe(false);
    expect(dryness([0, 1, 0, 0, 1, 0, 0, 1, 0, 0])?.isHabit).toBe(false);
    expect(dryness([4, -3, 4, -3, 4, -2, 3, -2])?.isHabit).toBe(false);
  });

  it('counts a brew once, however many of its stages were tasted', () => {
    const stages = pairs([1, 1]).flatMap((sheet) => [sheet, { ...sheet, stage: 'cool' as const }]);
    expect(tasterHistory(stages).get(2)?.[0]?.brews).toBe(2);
  });

  it('says nothing of cups that nobody else scored', () => {
    expect(tasterHistory([cup(1, 1, 4), cup(2, 1, 5)]).get(1)).toEqual([]);
  });

  it('calls a habit by chance in less than 2 of 100 attributes of tasters who have none', () => {
    const random = seededRandom(20261130);
    const score = () => Math.round(4 + 1.2 * (random() + random() + random() - 1.5) * 2);
    let called = 0;
    const runs = 1500;
    for (let run = 0; run < runs; run += 1) {
      const sheets = Array.from({ length: 12 }, (_, brewId) => [
        cup(brewId, 1, score()),
        cup(brewId, 2, score()),
      ]).flat();
      if (tasterHistory(sheets).get(2)?.[0]?.isHabit) called += 1;
    }
    expect(called / runs).toBeLessThan(0.02);
    expect(called).toBeGreaterThan(0);
  });
});
