import { describe, expect, it } from 'vitest';
import { PLAN } from '../testing/brews.js';
import { runningTotalsG } from '../plan/plan.js';
import type { Happening } from './brewEntry.js';
import { entryName, lastToUndo, withEntry, type BrewLog } from './brewLog.js';
import { brewSoFar, planMoved } from './brewSoFar.js';
import { logOf } from './logOf.js';

const marked = (
  stepIndex: number,
  atMs: number,
  more: { skipped?: boolean; by?: 'outflow' | 'table' } = {},
) => ({
  kind: 'marked' as const,
  atMs,
  stepIndex,
  skipped: false,
  by: 'hand' as const,
  ...more,
});
const of = (...happened: (Happening & { atMs: number })[]): BrewLog => logOf('here', happened);
/** The undo key, pressed on a log. */
const undo = (log: BrewLog): BrewLog => {
  const last = lastToUndo(log);
  return last ? withEntry(log, 'here', { kind: 'undone', of: last, atMs: 0 }) : log;
};
/** Takes the last entry of a log back, whatever it is. */
const takenBack = (log: BrewLog): BrewLog => {
  const last = log.at(-1);
  return last ? withEntry(log, 'here', { kind: 'undone', of: last, atMs: 0 }) : log;
};

describe('a brew by its log', () => {
  it('is nothing yet where nothing was told', () => {
    expect(brewSoFar([])).toEqual({
      run: { marks: [] },
      wasStarted: false,
      steps: [],
      events: [],
      prepared: [],
      leftOut: [],
      notServed: [],
      finesG: null,
      beverageG: null,
      readings: [],
      totalsMoved: [],
      answered: [],
      cups: null,
      note: '',
      isDripHeard: false,
      drainHeard: 'no',
    });
    expect(brewSoFar(of({ kind: 'noted', atMs: 0, text: 'a' }))).toMatchObject({
      wasStarted: false,
      isDripHeard: false,
    });
  });

  it('has each total and each kettle at its own step, read after the step was marked', () => {
    const kettle = (stepIndex: number, kettleC: number) => ({
      kind: 'kettle-read' as const,
      atMs: 9000,
      stepIndex,
      kettleC,
      instrument: '',
      isSimulated: false,
    });
    const log = of(
      { kind: 'total-read', atMs: 0, stepIndex: 0, totalG: 7 },
      kettle(0, 80),
      marked(0, 0),
      marked(1, 8000),
      { kind: 'total-read', atMs: 9000, stepIndex: 1, totalG: 120 },
      { kind: 'agitated', atMs: 9500, how: 'swirl' },
      kettle(1, 91),
    );
    expect(brewSoFar(log)).toMatchObject({
      steps: [{ totalG: null }, { totalG: 120 }],
      events: [
        { kind: 'agitated', atS: 9.5, how: 'swirl' },
        { kind: 'kettle-read', atS: 8, kettleC: 91 },
      ],
    });
  });

  it('keeps the first of two marks of one step, and goes on behind a mark that was taken back once it is made again', () => {
    const there = { device: 'there', number: 2, ...marked(1, 6000) };
    const log = [...of(marked(0, 0), marked(1, 7000), marked(2, 30_000)), there];
    expect(brewSoFar(log).run.marks.map(({ atMs }) => atMs)).toEqual([0, 7000, 30_000]);
    const undone = [1, 2].reduce<BrewLog>(
      (all, at) => withEntry(all, 'here', { kind: 'undone', of: at === 1 ? log[1]! : there, atMs: 0 }),
      log,
    );
    expect(brewSoFar(undone).run.marks).toHaveLength(1);
    expect(brewSoFar(withEntry(undone, 'here', marked(1, 9000))).run.marks.map(({ atMs }) => atMs)).toEqual([
      0, 9000, 30_000,
    ]);
  });

  it('has its steps on the clock that the first mark started, with what was read at each', () => {
    const log = of(
      marked(0, 5000),
      { kind: 'total-read', atMs: 9000, stepIndex: 0, totalG: 41 },
      marked(1, 12_004, { skipped: true }),
      marked(2, 46_500),
      { kind: 'kettle-read', atMs: 47_000, stepIndex: 2, kettleC: 92, instrument: '', isSimulated: false },
      { kind: 'kettle-read', atMs: 49_000, stepIndex: 2, kettleC: 93, instrument: '', isSimulated: false },
    );
    const { steps, events, wasStarted } = brewSoFar(log);
    expect(wasStarted).toBe(true);
    expect(steps).toEqual([
      { stepIndex: 0, atS: 0, skipped: false, totalG: 41 },
      { stepIndex: 1, atS: 7, skipped: true, totalG: null },
      { stepIndex: 2, atS: 41.5, skipped: false, totalG: null },
    ]);
    // The last word on a kettle, at the time of its pour.
    expect(events).toEqual([
      { kind: 'kettle-read', atS: 41.5, kettleC: 93, instrument: '', isSimulated: false },
    ]);
  });

  it('has no later step before an earlier one, whatever the clock did', () => {
    const { run } = brewSoFar(of(marked(0, 9000), marked(1, 4000), marked(2, 12_000)));
    expect(run.marks.map(({ atMs }) => atMs)).toEqual([9000, 9000, 12_000]);
  });

  it('takes back by one key what was marked last, and what was read of it', () => {
    let log = of(
      marked(0, 0),
      { kind: 'total-read', atMs: 4000, stepIndex: 0, totalG: 44 },
      { kind: 'agitated', atMs: 6000, how: 'stir' },
    );
    log = undo(log);
    expect(brewSoFar(log)).toMatchObject({ steps: [{ totalG: 44 }], events: [] });
    log = undo(log);
    expect(brewSoFar(log)).toMatchObject({ steps: [], wasStarted: true });
    expect(undo(log)).toBe(log);
    log = withEntry(log, 'here', marked(0, 20_000));
    expect(brewSoFar(log).steps).toEqual([{ stepIndex: 0, atS: 0, skipped: false, totalG: null }]);
  });

  it('has nothing of what happened before a start that was taken back', () => {
    const log = undo(of(marked(0, 1000)));
    const began = [{ kind: 'agitated' as const, atMs: 3000, how: 'swirl' as const }, marked(0, 9000)];
    expect(brewSoFar(began.reduce((all, each) => withEntry(all, 'here', each), log)).events).toEqual([]);
  });

  it('knows what is ready and what was left out by the last word on it', () => {
    const log = of(
      { kind: 'left-out', atMs: 0, task: 'rinse' },
      { kind: 'prepared', atMs: 0, task: 'water' },
      { kind: 'left-out', atMs: 0, task: 'discard' },
      { kind: 'prepared', atMs: 0, task: 'rinse' },
      marked(0, 1000),
    );
    expect(brewSoFar(log)).toMatchObject({
      prepared: ['water', 'rinse'],
      leftOut: ['discard'],
      events: [{ kind: 'not-prepared', atS: 0, task: 'discard' }],
    });
    expect(brewSoFar(takenBack(log.slice(0, 2))).prepared).toEqual([]);
  });

  it('moves later totals where a miss was answered so, and knows which misses are answered', () => {
    const log = of(
      marked(0, 0),
      { kind: 'miss-answered', atMs: 8000, pourNumber: 1, byG: 0 },
      { kind: 'miss-answered', atMs: 50_000, pourNumber: 2, byG: 6 },
    );
    const soFar = brewSoFar(log);
    expect(soFar.answered).toEqual([1, 2]);
    expect(soFar.totalsMoved).toEqual([{ fromPour: 3, byG: 6 }]);
    expect(soFar.events).toEqual([{ kind: 'totals-moved', atS: 50, fromPour: 3, byG: 6 }]);
    const [first, second, ...later] = runningTotalsG(PLAN);
    expect(runningTotalsG(planMoved(PLAN, soFar))).toEqual([first, second, ...later.map((g) => g + 6)]);
  });

  it('lets the eye mark the drain once the scale’s mark was taken back', () => {
    let log = of(marked(0, 0), { kind: 'first-drip', atMs: 14_200 }, marked(1, 90_000, { by: 'outflow' }));
    expect(brewSoFar(log)).toMatchObject({
      isDripHeard: true,
      drainHeard: 'marked',
      events: [{ kind: 'first-drip', atS: 14.2 }],
    });
    log = undo(log);
    expect(brewSoFar(log).drainHeard).toBe('refused');
    log = withEntry(log, 'here', marked(1, 95_000));
    expect(brewSoFar(log)).toMatchObject({ drainHeard: 'refused', steps: [{}, { atS: 95 }] });
    const byHand = of(marked(0, 0), marked(1, 1000, { by: 'outflow' }), marked(2, 2000));
    expect(brewSoFar(byHand).drainHeard).toBe('no');
  });

  it('says what the scale and the eye told, the cups that were planned, and the last note', () => {
    const log = of(
      { kind: 'cups-planned', atMs: 0, rule: { kind: 'time', everyS: 15 } },
      marked(0, 0),
      { kind: 'scale-lost', atMs: 2000, scale: 'Left' },
      { kind: 'scale-back', atMs: 3000, scale: 'Left' },
      { kind: 'bed-seen', atMs: 30_000, shows: false },
      { kind: 'bed-seen', atMs: 40_000, shows: true },
      { kind: 'cup-changed', atMs: 41_000, massG: 60 },
      { kind: 'noted', atMs: 42_000, text: 'flat' },
      { kind: 'noted', atMs: 43_000, text: 'flat bed' },
    );
    expect(brewSoFar(log)).toMatchObject({
      cups: { kind: 'time', everyS: 15 },
      note: 'flat bed',
      events: [
        { kind: 'scale-lost', atS: 2, scale: 'Left' },
        { kind: 'scale-back', atS: 3, scale: 'Left' },
        { kind: 'water-stands', atS: 30 },
        { kind: 'bed-shows', atS: 40 },
        { kind: 'cup-changed', atS: 41, massG: 60 },
      ],
    });
  });
});

describe('a brew that a table tells of', () => {
  const told = { by: 'table' as const };

  it('has the steps that were written down, whatever is between them', () => {
    const { steps } = brewSoFar(of(marked(0, 1000, told), marked(5, 172_000, told)));
    expect(steps.map(({ stepIndex, atS }) => [stepIndex, atS])).toEqual([
      [0, 0],
      [5, 171],
    ]);
  });

  it('and a hand’s mark still waits for the step before it', () => {
    const { steps } = brewSoFar(of(marked(0, 1000), marked(5, 172_000)));
    expect(steps.map(({ stepIndex }) => stepIndex)).toEqual([0]);
  });
});

describe('an entry', () => {
  it('has a number above all that its device knew of', () => {
    const log = withEntry(
      [{ device: 'there', number: 7, atMs: 0, kind: 'first-drip' }],
      'here',
      marked(0, 0),
    );
    expect(log.map(entryName)).toEqual(['7 there', '8 here']);
  });
});
