import { describe, expect, it } from 'vitest';
import { ageNoteWords } from '../card/ageNote.js';
import { normalDraw, seededRandom } from '../random/seededRandom.js';
import { ageing, ageingAdvice, ageingWords } from './ageing.js';
import type { WatchedBrew } from './watchedBrew.js';

const brew = (
  roastAgeDays: number,
  tdsPercent: number | null,
  changes: Partial<WatchedBrew> = {},
): WatchedBrew => ({
  id: 1,
  number: 1,
  startedAt: '2026-11-01T09:00:00.000Z',
  by: 'A',
  roastBatchId: 1,
  roastedOn: '2026-10-20',
  roastAgeDays,
  grinder: 'house',
  brewer: 'cone',
  paper: 'white',
  water: 'mixed',
  tdsPercent,
  yieldPercent: null,
  drainS: null,
  liked: null,
  ...changes,
});
const proof = [brew(9, 1.3), brew(12, 1.32), brew(14, 1.31)];
const chart = { sd: 0.03 };

describe('how a public recipe ages', () => {
  it('is the difference of the older brews from the proof, with what it may be off by', () => {
    const found = ageing({ proof, rechecks: [brew(13, 1.31), brew(21, 1.24), brew(25, 1.22)], chart });
    // By hand: (1.24 + 1.22) / 2 - 1.31 = -0.08; 0.03 * sqrt(1/2 + 1/3) = 0.0274.
    expect(found?.byPercent).toBeCloseTo(-0.08, 10);
    expect(found?.sdPercent).toBeCloseTo(0.027386, 6);
    expect(found).toMatchObject({ fromDay: 21, brews: 2, isTold: true });
    expect(ageingWords(found)).toBe('From day 21 on, 2 brews came out 0.08 ± 0.03 % weaker than proven.');
    expect(ageingAdvice(found)).toBe('grind a little finer');
  });

  it('says nothing of one brew, of another grinder or water, or where nothing was proven', () => {
    expect(ageing({ proof, rechecks: [brew(21, 1.2)], chart })).toBeNull();
    const elsewhere = [brew(21, 1.2, { grinder: 'other' }), brew(22, 1.2, { water: 'hard' }), brew(23, null)];
    expect(ageing({ proof, rechecks: elsewhere, chart })).toBeNull();
    expect(ageing({ proof: [], rechecks: [brew(21, 1.2), brew(22, 1.2)], chart })).toBeNull();
    expect(ageingWords(null)).toMatch(/not known/);
  });

  it('calls a difference told by chance in about 5 of 100, and advises nothing then', () => {
    const random = seededRandom(20);
    const spread = (mean: number) => normalDraw(random, { mean, sd: chart.sd });
    let told = 0;
    for (let lot = 0; lot < 2000; lot++) {
      const found = ageing({
        proof: [9, 10, 11].map((day) => brew(day, spread(1.3))),
        rechecks: [20, 24, 30].map((day) => brew(day, spread(1.3))),
        chart,
      });
      if (found?.isTold) told += 1;
      else expect(ageingAdvice(found)).toBe('');
    }
    expect(told / 2000).toBeGreaterThan(0.03);
    expect(told / 2000).toBeLessThan(0.065);
  });
});

it('a card says it with one full stop', () => {
  expect(ageNoteWords({ fromDay: 20, words: ' grind a little finer. ' })).toBe(
    'From day 20 after the roast: grind a little finer.',
  );
});
