import { describe, expect, it } from 'vitest';
import { USUAL_SCHOOLS } from '../schools/schools.js';
import { goes, judge } from './judgement.js';
import type { RuleRecord } from './ruleRecord.js';
import type { Candidate, LeverMove } from './search.js';
import type { ChangeRule } from './tasteRules.js';

const FINER: LeverMove = { lever: 'grind', from: 700, to: 650 };
const HOTTER: LeverMove = { lever: 'kettle', from: 93, to: 95 };
const AGITATE: LeverMove = { lever: 'agitation', from: 1, to: 2 };
const CALMER: LeverMove = { lever: 'agitation', from: 2, to: 1 };

const RULE: ChangeRule = {
  id: 'sour',
  wants: [
    { lever: 'grind', direction: 'down' },
    { lever: 'kettle', direction: 'up' },
  ],
  avoids: [{ lever: 'agitation', direction: 'up' }],
  because: 'sour',
};
const of = (moves: LeverMove[], chance = 0.3) => ({ moves, chance }) as Candidate;
/** The house moves the ratio first: no move here is that, unless it is said. */
const SCHOOLS = { ...USUAL_SCHOOLS, 'first-lever': 'ratio' as const };
const judged = (moves: LeverMove[], { schools = {}, chance = 0.3, records = [] as RuleRecord[] } = {}) =>
  judge(of(moves), of([], chance), [RULE], { ...SCHOOLS, ...schools }, records);

describe('a move goes the way of a rule', () => {
  it('by its lever and its direction', () => {
    expect(goes(FINER, { lever: 'grind', direction: 'down' })).toBe(true);
    expect(goes(FINER, { lever: 'grind', direction: 'up' })).toBe(false);
    expect(goes(FINER, { lever: 'kettle', direction: 'down' })).toBe(false);
    expect(goes(HOTTER, { lever: 'kettle', direction: 'up' })).toBe(true);
  });
});

describe('what a change is worth beside its chance', () => {
  it('is most where it makes the move that a rule names first, and half of it for the second', () => {
    expect(judged([FINER]).weight).toBeCloseTo(0.3);
    expect(judged([HOTTER]).weight).toBeCloseTo(0.15);
    expect(judged([FINER]).wanted).toBe(RULE);
  });

  it('is nothing where no rule speaks', () => {
    expect(judged([{ lever: 'bloom', from: 40, to: 50 }])).toEqual({
      weight: 0,
      wanted: null,
      record: null,
      avoided: [],
      school: null,
    });
  });

  it('is less than nothing where a rule speaks against one of its moves, whatever the other is', () => {
    const both = judged([FINER, AGITATE]);
    expect(both.weight).toBeCloseTo(0.3 - 1);
    expect(both.avoided).toEqual([RULE]);
    expect(judged([FINER, CALMER]).weight).toBeCloseTo(0.3);
  });

  it('is less after a rule that missed: two imagined times it was right stand against it', () => {
    const after = (came: number, missed: number) =>
      judged([FINER], { records: [{ ruleId: 'sour', came, missed }] });
    expect(after(6, 0).weight).toBeCloseTo(0.3);
    expect(after(0, 6)).toMatchObject({
      weight: expect.closeTo((0.3 * 2) / 8, 9) as number,
      record: { came: 0, missed: 6 },
    });
    expect(after(0, 0).record).toBeNull();
  });
});

describe('the house’s own way', () => {
  it('counts a little for the lever that it moves first, alone', () => {
    const schools = { 'first-lever': 'grind' as const };
    expect(judged([FINER], { schools })).toMatchObject({
      weight: expect.closeTo(0.35, 9) as number,
      school: 'the house moves the grind first',
    });
    expect(judged([FINER, HOTTER], { schools }).weight).toBeCloseTo(0.3);
    expect(judged([HOTTER], { schools })).toMatchObject({
      weight: expect.closeTo(0.15, 9) as number,
      school: null,
    });
    // A recipe that may do as it is is changed for better reasons than that.
    expect(judged([FINER], { schools, chance: 0.6 }).school).toBeNull();
    expect(judged([FINER], { schools, chance: 0.59 }).school).not.toBeNull();
  });

  it('leaves the bed still where it does, and minds no less agitation', () => {
    const schools = { agitation: 'leave-still' as const };
    expect(judged([AGITATE], { schools })).toMatchObject({
      weight: expect.closeTo(-2, 9) as number,
      school: 'the house leaves the bed still',
    });
    expect(judged([CALMER], { schools })).toMatchObject({ weight: 0, school: null });
    expect(judged([FINER, AGITATE], { schools }).school).toBe('the house leaves the bed still');
    expect(judged([HOTTER], { schools }).school).toBeNull();
  });
});
