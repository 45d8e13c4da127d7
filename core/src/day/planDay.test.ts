import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { followWindows, type DayAfter, type DayCrew, type DayJob } from './dayJob.js';
import { costOf, planDay, type DayInput, type DayPlan } from './planDay.js';

const windows = followWindows({ roomC: 21 });
const job = (id: string, facts: Partial<DayJob> = {}): DayJob => ({
  id,
  brewMin: 9,
  dueMin: null,
  stages: ['hot', 'warm', 'cool'],
  sipMg: 20,
  ...facts,
});
const crew = (people: number, facts: Partial<DayCrew> = {}): DayCrew => ({
  people: Array.from({ length: people }, (_, index) => ({
    name: `P${index}`,
    fromMin: 540,
    toMin: 1020,
    caffeineMg: 0,
  })),
  kettles: 2,
  ...facts,
});
const input = (facts: Partial<DayInput> = {}): DayInput => ({
  jobs: ['a', 'b', 'c', 'd', 'e'].map((id) => job(id)),
  afters: [],
  crew: crew(1),
  nowMin: 540,
  windows,
  ...facts,
});

/** What no plan may break: hands, kettles, hours, windows. */
function faultsOf(plan: DayPlan, { jobs, crew: { people, kettles }, nowMin, afters }: DayInput): string[] {
  const faults: string[] = [];
  for (const [index, one] of plan.tasks.entries()) {
    const person = people[one.person];
    if (!person || one.startMin < Math.max(nowMin, person.fromMin) || one.endMin > person.toMin)
      faults.push('hours');
    for (const other of plan.tasks.slice(index + 1)) {
      const overlap = one.startMin < other.endMin && other.startMin < one.endMin;
      if (overlap && one.person === other.person) faults.push('hands');
    }
    const brewing = plan.tasks.filter(
      ({ task, startMin, endMin }) => task === 'brew' && startMin <= one.startMin && one.startMin < endMin,
    );
    if (brewing.length > kettles) faults.push('kettles');
    const drainedMin =
      plan.tasks.find(({ task, jobId }) => task === 'brew' && jobId === one.jobId)?.endMin ??
      afters.find(({ id }) => id === one.jobId)?.drainedMin;
    if (one.task === 'brew') continue;
    const window = windows[one.task];
    const after = one.startMin - (drainedMin ?? NaN);
    if (!(after >= window.fromMin && after <= window.toMin)) faults.push('window');
  }
  for (const { id, stages } of jobs) {
    const own = plan.tasks.filter(({ jobId }) => jobId === id).length;
    if (own !== (plan.left.includes(id) ? 0 : stages.length + 2)) faults.push('incomplete');
  }
  return faults;
}

describe('a day at the bench', () => {
  it('makes the next brew while one cools: five take far less than five times one', () => {
    const alone = planDay(input({ jobs: [job('a')] }));
    const five = planDay(input());
    expect(faultsOf(five, input())).toEqual([]);
    expect(five.left).toEqual([]);
    expect(alone.endMin - 540).toBeGreaterThan(55);
    expect(five.endMin - 540).toBeLessThan(2.2 * (alone.endMin - 540));
  });

  it('is sooner done by two pairs of hands, unless there is one kettle', () => {
    const two = planDay(input({ crew: crew(2) }));
    const oneKettle = planDay(input({ crew: crew(2, { kettles: 1 }) }));
    const one = planDay(input());
    expect(two.endMin).toBeLessThan(one.endMin);
    expect(oneKettle.endMin).toBeGreaterThanOrEqual(two.endMin);
    expect(Math.abs((two.caffeineMg[0] ?? 0) - (two.caffeineMg[1] ?? 0))).toBeLessThanOrEqual(60);
  });

  it('brews what is due first, and says what is late all the same', () => {
    const jobs = [job('a'), job('b'), job('c', { dueMin: 555 })];
    const plan = planDay(input({ jobs }));
    expect(plan.order[0]).toBe('c');
    expect(plan.lateMin).toBe(0);
    expect(planDay(input({ jobs: [job('a', { dueMin: 500 })] })).lateMin).toBe(49);
  });

  it('keeps an order that somebody set', () => {
    expect(planDay(input(), ['d', 'b', 'a', 'e', 'c']).order).toEqual(['d', 'b', 'a', 'e', 'c']);
    expect(planDay(input(), ['e', 'gone']).order[0]).toBe('e');
  });

  it('tastes what stands already before anything new, and says what nobody can get to', () => {
    const after: DayAfter = {
      id: 'x',
      drainedMin: 530,
      left: ['read', 'taste-warm', 'taste-cool'],
      sipMg: 20,
    };
    const plan = planDay(input({ afters: [after], jobs: [job('a')] }));
    expect(plan.tasks.filter(({ jobId }) => jobId === 'x').map(({ task }) => task)).toEqual([
      'read',
      'taste-warm',
      'taste-cool',
    ]);
    const late = planDay(input({ afters: [{ ...after, drainedMin: 480 }], jobs: [] }));
    expect(late.missed).toEqual([
      { id: 'x', follow: 'taste-warm' },
      { id: 'x', follow: 'read' },
    ]);
  });

  it('leaves what does not fit, and all of it where nobody is in', () => {
    const short = crew(1, { people: [{ name: 'P', fromMin: 540, toMin: 620, caffeineMg: 0 }] });
    const plan = planDay(input({ crew: short }));
    expect(plan.left.length).toBeGreaterThan(0);
    expect(faultsOf(plan, input({ crew: short }))).toEqual([]);
    expect(planDay(input({ crew: crew(0) }))).toMatchObject({ left: ['a', 'b', 'c', 'd', 'e'], endMin: 540 });
  });

  it('never breaks hands, kettles, hours or windows, whatever the day (property)', () => {
    const days = fc.record({
      jobs: fc.array(
        fc.record({
          brewMin: fc.integer({ min: 5, max: 15 }),
          dueMin: fc.option(fc.integer({ min: 540, max: 900 })),
          stages: fc.subarray(['hot', 'warm', 'cool'] as const),
        }),
        { maxLength: 8 },
      ),
      people: fc.integer({ min: 1, max: 3 }),
      kettles: fc.integer({ min: 1, max: 2 }),
      hours: fc.integer({ min: 1, max: 8 }),
    });
    fc.assert(
      fc.property(days, ({ jobs, people, kettles, hours }) => {
        const day = input({
          jobs: jobs.map((facts, index) => job(String(index), facts)),
          crew: {
            kettles,
            people: crew(people).people.map((person) => ({ ...person, toMin: 540 + 60 * hours })),
          },
        });
        expect(faultsOf(planDay(day), day)).toEqual([]);
      }),
      { numRuns: 40 },
    );
  });

  it('costs no more than the order it was given', () => {
    const day = input({
      jobs: ['a', 'b', 'c', 'd', 'e', 'f'].map((id, index) => job(id, { brewMin: 6 + 2 * index })),
    });
    const given = planDay(day, ['f', 'e', 'd', 'c', 'b', 'a']);
    expect(costOf(planDay(day), day)).toBeLessThanOrEqual(costOf(given, day));
  });
});
