import { describe, expect, it } from 'vitest';
import type { BenchEvent } from '../bench/benchEvents.js';
import { brewSoFar } from './brewSoFar.js';
import { logOfRecord } from './logOf.js';

const START_MS = 1_000_000;
const RECORD = {
  device: 'before',
  startMs: START_MS,
  steps: [
    { stepIndex: 0, atS: 0, skipped: false, totalG: 41 },
    { stepIndex: 1, atS: 7.25, skipped: true, totalG: null },
    { stepIndex: 2, atS: 40, skipped: false, totalG: 150.5 },
  ],
  events: [
    { kind: 'scale-back', atS: 13, scale: 'Left' },
    { kind: 'not-prepared', atS: 0, task: 'rinse' },
    { kind: 'scale-lost', atS: 12, scale: 'Left' },
    { kind: 'kettle-read', atS: 40, kettleC: 92.5, instrument: 'Probe', isSimulated: true },
    { kind: 'agitated', atS: 20, how: 'stir' },
    { kind: 'first-drip', atS: 14.2 },
    { kind: 'cup-changed', atS: 30, massG: 60 },
    { kind: 'water-stands', atS: 31 },
    { kind: 'bed-shows', atS: 35 },
    { kind: 'totals-moved', atS: 36, fromPour: 2, byG: 4 },
    { kind: 'not-served', atS: 47, serving: 'mix' },
    { kind: 'clock-off', atS: 0, said: '1970-01-01T00:00:00.000Z' },
  ] satisfies BenchEvent[],
};

describe('the log of a record', () => {
  it('tells each thing at its time: first what was left out, then as it happened', () => {
    const told = logOfRecord(RECORD).map(({ atMs, ...entry }) => [atMs - START_MS, entry]);
    const by = (number: number) => ({ device: 'before', number });
    expect(told).toEqual([
      [0, { ...by(1), kind: 'left-out', task: 'rinse' }],
      [0, { ...by(2), kind: 'marked', stepIndex: 0, skipped: false, by: 'hand' }],
      [0, { ...by(3), kind: 'total-read', stepIndex: 0, totalG: 41 }],
      [7250, { ...by(4), kind: 'marked', stepIndex: 1, skipped: true, by: 'hand' }],
      [12_000, { ...by(5), kind: 'scale-lost', scale: 'Left' }],
      [13_000, { ...by(6), kind: 'scale-back', scale: 'Left' }],
      [14_200, { ...by(7), kind: 'first-drip' }],
      [20_000, { ...by(8), kind: 'agitated', how: 'stir' }],
      [30_000, { ...by(9), kind: 'cup-changed', massG: 60 }],
      [31_000, { ...by(10), kind: 'bed-seen', shows: false }],
      [35_000, { ...by(11), kind: 'bed-seen', shows: true }],
      [36_000, { ...by(12), kind: 'miss-answered', pourNumber: 1, byG: 4 }],
      [40_000, { ...by(13), kind: 'marked', stepIndex: 2, skipped: false, by: 'hand' }],
      [40_000, { ...by(14), kind: 'total-read', stepIndex: 2, totalG: 150.5 }],
      [
        40_000,
        {
          ...by(15),
          kind: 'kettle-read',
          stepIndex: 2,
          kettleC: 92.5,
          instrument: 'Probe',
          isSimulated: true,
        },
      ],
      [47_000, { ...by(16), kind: 'not-served', serving: 'mix' }],
    ]);
  });

  it('ends with the note, where there was one', () => {
    const last = logOfRecord({ ...RECORD, note: 'flat bed' }).at(-1);
    expect(last).toMatchObject({ kind: 'noted', text: 'flat bed', atMs: START_MS + 40_000 });
    const noSteps = logOfRecord({ ...RECORD, steps: [], events: [], note: 'nothing' });
    expect(noSteps).toMatchObject([{ kind: 'noted', atMs: START_MS }]);
  });

  it('gives the record again', () => {
    const { steps, events, run } = brewSoFar(logOfRecord(RECORD));
    expect(steps).toEqual(RECORD.steps);
    expect(run.marks[0]?.atMs).toBe(START_MS);
    // The server’s own word about the clock is none of the bench’s.
    const benchs = RECORD.events.filter(({ kind }) => kind !== 'clock-off');
    expect(events).toHaveLength(benchs.length);
    expect(events).toEqual(expect.arrayContaining(benchs));
  });
});
