import { describe, expect, it } from 'vitest';
import { planDay } from '@vendu/core';
import type { TodayBrew, TodayView } from '@vendu/contract';
import {
  clockOf,
  dayInputOf,
  hoursToday,
  minuteOf,
  NOTHING_CHOSEN,
  sequenceOf,
  withPresence,
  type TodayChoice,
} from './dayOfToday';
import { whyWords } from './todayWords';

const brew = (id: string, facts: Partial<TodayBrew> = {}): TodayBrew => ({
  id,
  lotId: 3,
  lotName: 'Ridge',
  recipe: { id: 7, versionId: 11, versionNumber: 2, brewerName: 'Cone' },
  action: 'next-brew',
  isPressing: false,
  daysToLaunch: null,
  reasons: [],
  alarms: [],
  brewMin: 9,
  stages: ['hot', 'warm', 'cool'],
  sipMg: 20,
  doseG: 16,
  gramsLeftG: 400,
  ...facts,
});
const today = (facts: Partial<TodayView> = {}): TodayView => ({
  brews: [brew('recipe-7'), brew('lot-4', { isPressing: true })],
  moreBrews: 0,
  afters: [],
  people: [
    { id: 1, name: 'Joss', caffeineMg: 0, hours: null },
    { id: 2, name: 'Tamsin', caffeineMg: 90, hours: null },
  ],
  kettles: 2,
  roomC: 21,
  launches: [],
  zeroChecks: [],
  signatures: [],
  ...facts,
});
const at = (hour: number, minute = 0) => new Date(2026, 10, 30, hour, minute);

describe('the day that is planned', () => {
  it('is what is left of it, with whoever is in and without what waits', () => {
    const input = dayInputOf(today(), { ...NOTHING_CHOSEN, out: ['Joss'], skipped: ['recipe-7'] }, at(9, 30));
    expect(input.nowMin).toBe(570);
    expect(input.crew.people).toEqual([{ name: 'Tamsin', caffeineMg: 90, fromMin: 570, toMin: 1080 }]);
    expect(input.jobs.map(({ id, dueMin }) => [id, dueMin])).toEqual([['lot-4', 720]]);
  });

  it('goes on for some hours however late it is, and what presses keeps its time', () => {
    const input = dayInputOf(today(), NOTHING_CHOSEN, at(22));
    expect(input.crew.people[0]?.toMin).toBe(22 * 60 + 180);
    expect(input.jobs[1]?.dueMin).toBe(22 * 60 + 90);
    expect(clockOf(24 * 60 + 5)).toBe('00:05');
  });

  it('counts cups that stand from their real end, from before midnight too', () => {
    const after = { brewId: 5, number: 2, lotName: 'Ridge', left: ['read' as const], sipMg: 20 };
    const drainedAt = new Date(at(0, 10).getTime() - 30 * 60_000).toISOString();
    const input = dayInputOf(today({ afters: [{ ...after, drainedAt }] }), NOTHING_CHOSEN, at(0, 10));
    expect(input.afters).toEqual([{ id: 'brew-5', drainedMin: -20, left: ['read'], sipMg: 20 }]);
    expect(minuteOf(at(1), at(0, 10))).toBe(60);
  });
});

describe('the order of the brews', () => {
  const brews = [brew('quick'), brew('long', { brewMin: 200 })];
  const input = dayInputOf(today({ brews }), NOTHING_CHOSEN, at(17));
  const shown = (order: string[] | null) => sequenceOf(planDay(input, order), order);

  it('is the plan’s, and what does not fit into the day comes last', () => {
    expect(planDay(input).left).toEqual(['long']);
    expect(shown(null)).toEqual(['quick', 'long']);
  });

  it('is what somebody set, also of a brew that does not fit into the day', () => {
    expect(shown(['long', 'quick'])).toEqual(['long', 'quick']);
  });

  it('takes what came since behind it, and forgets what is gone', () => {
    expect(shown(['gone', 'long'])).toEqual(['long', 'quick']);
  });
});

describe('who is in', () => {
  const joss = { id: 1, name: 'Joss', caffeineMg: 0, hours: { from: '12:30', until: '20:30' } };
  const [early, late] = [{ nowMin: 9 * 60 }, { nowMin: 21 * 60 }];
  const hours = (chosen: Pick<TodayChoice, 'out' | 'stays'>, { nowMin }: { nowMin: number }) =>
    hoursToday(joss, chosen, nowMin);

  it('is there in his hours, from now on once they began', () => {
    expect(hours(NOTHING_CHOSEN, early)).toEqual({ fromMin: 750, toMin: 1230 });
    expect(hours(NOTHING_CHOSEN, { nowMin: 800 })).toEqual({ fromMin: 800, toMin: 1230 });
    expect(hours(NOTHING_CHOSEN, late)).toBeNull();
    expect(hours(NOTHING_CHOSEN, { nowMin: 1230 })).toBeNull();
  });

  it('is ticked out and in again, and stays longer where somebody says so', () => {
    const out = withPresence(NOTHING_CHOSEN, joss, { isIn: false, ...early });
    expect(hours(out, early)).toBeNull();
    expect(hours(withPresence(out, joss, { isIn: true, ...early }), early)).not.toBeNull();
    const stays = withPresence(NOTHING_CHOSEN, joss, { isIn: true, ...late });
    expect(hours(stays, late)).toEqual({ fromMin: 1260, toMin: 1440 });
    expect(hours(withPresence(stays, joss, { isIn: false, ...late }), late)).toBeNull();
  });

  it('is planned with no more than that', () => {
    const input = dayInputOf(today({ people: [joss] }), NOTHING_CHOSEN, at(9));
    expect(input.crew.people).toEqual([{ name: 'Joss', caffeineMg: 0, fromMin: 750, toMin: 1230 }]);
  });
});

describe('why a brew stands in the day', () => {
  it('is said with what presses', () => {
    expect(whyWords(brew('a', { action: 'first-brew', daysToLaunch: 2 }))).toBe('first brew; launch in 2 d');
    expect(
      whyWords(
        brew('b', {
          action: 'recheck',
          alarms: [
            { figure: 'yield', brewId: 1, number: 6, value: 18, centre: 20, signals: ['beyond-limit'] },
          ],
          reasons: [{ kind: 'time', sinceDays: 20 }],
        }),
      ),
    ).toBe('recheck; went off in yield; last brewed 20 days ago');
  });
});
