import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { PREPARATION_TASKS } from '../bench/preparation.js';
import { SERVING_TASKS } from '../bench/serving.js';
import { WEIGHED_AT_BENCH, type Happening } from './brewEntry.js';
import { mergedLogs, withEntry, type BrewLog } from './brewLog.js';
import { brewSoFar } from './brewSoFar.js';
import { entryFault, storableEntry } from './entryFault.js';
import { logOfRecord } from './logOf.js';

const stepIndex = fc.integer({ min: 0, max: 6 });
const atMs = fc.integer({ min: 0, max: 400_000 });
const happening: fc.Arbitrary<Happening> = fc.oneof(
  fc.record({ kind: fc.constant('prepared' as const), task: fc.constantFrom(...PREPARATION_TASKS) }),
  fc.record({ kind: fc.constant('left-out' as const), task: fc.constantFrom(...PREPARATION_TASKS) }),
  fc.record({ kind: fc.constant('not-served' as const), serving: fc.constantFrom(...SERVING_TASKS) }),
  {
    weight: 4,
    arbitrary: fc.record({
      kind: fc.constant('marked' as const),
      stepIndex,
      skipped: fc.boolean(),
      by: fc.constantFrom('hand' as const, 'outflow' as const),
    }),
  },
  fc.record({
    kind: fc.constant('total-read' as const),
    stepIndex,
    totalG: fc.option(fc.double({ min: 0, max: 500, noNaN: true })),
  }),
  fc.record({
    kind: fc.constant('kettle-read' as const),
    stepIndex,
    kettleC: fc.double({ min: 60, max: 100, noNaN: true }),
    instrument: fc.string(),
    isSimulated: fc.boolean(),
  }),
  fc.record({
    kind: fc.constant('agitated' as const),
    how: fc.constantFrom('swirl' as const, 'stir' as const),
  }),
  fc.record({ kind: fc.constant('bed-seen' as const), shows: fc.boolean() }),
  fc.record({
    kind: fc.constant('weighed' as const),
    what: fc.constantFrom(...WEIGHED_AT_BENCH),
    massG: fc.option(fc.double({ min: 10, max: 500, noNaN: true })),
  }),
  fc.record({
    kind: fc.constant('strength-read' as const),
    tdsPercent: fc.double({ min: 0.5, max: 3, noNaN: true }),
    sampleC: fc.option(fc.double({ min: 0, max: 100, noNaN: true })),
  }),
  fc.record({
    kind: fc.constant('miss-answered' as const),
    pourNumber: fc.integer({ min: 1, max: 5 }),
    byG: fc.integer({ min: -9, max: 9 }),
  }),
  fc.record({ kind: fc.constant('noted' as const), text: fc.string() }),
);

/** Something that a device tells: what happened, or that one of the entries it knows of is undone. */
const telling = fc.record({
  device: fc.constantFrom('here' as const, 'there' as const),
  happened: happening,
  undoes: fc.option(fc.nat(40), { freq: 3 }),
  atMs,
  /** What the other one has told so far reaches this device first. */
  hears: fc.boolean(),
});

type Telling = typeof telling extends fc.Arbitrary<infer T> ? T : never;

/** The logs of two devices that each know what they told and what they happened to hear. */
function toldByTwo(tellings: readonly Telling[]): { here: BrewLog; there: BrewLog } {
  const logs: { here: BrewLog; there: BrewLog } = { here: [], there: [] };
  for (const { device, happened, undoes, atMs: moment, hears } of tellings) {
    const own = device;
    const other = own === 'here' ? 'there' : 'here';
    const known = hears ? mergedLogs(logs[own], logs[other]) : logs[own];
    const target = undoes === null ? undefined : known[undoes % Math.max(1, known.length)];
    const what: Happening = target
      ? { kind: 'undone', of: { device: target.device, number: target.number } }
      : happened;
    logs[own] = withEntry(known, own, { ...what, atMs: moment });
  }
  return logs;
}

const twoLogs = fc.array(telling, { maxLength: 40 }).map(toldByTwo);

describe('the log of a brew', () => {
  it('folds to the same brew in whatever order two devices’ entries come, and however often', () => {
    fc.assert(
      fc.property(twoLogs, fc.infiniteStream(fc.double({ min: 0, max: 1 })), ({ here, there }, keys) => {
        const all = [...here, ...there, ...here];
        const shuffled = all
          .map((entry) => ({ entry, key: keys.next().value as number }))
          .sort((a, b) => a.key - b.key)
          .map(({ entry }) => entry);
        expect(brewSoFar(shuffled)).toEqual(brewSoFar(mergedLogs(there, here)));
      }),
    );
  });

  it('loses and doubles nothing where it is cut anywhere and the rest is sent later, more than once', () => {
    fc.assert(
      fc.property(twoLogs, fc.nat(60), fc.nat(60), ({ here, there }, cut, resend) => {
        const whole = mergedLogs(here, there);
        const kept = mergedLogs(whole.slice(0, cut), whole.slice(Math.min(cut, resend)));
        expect(kept).toEqual(whole);
        expect(brewSoFar(kept)).toEqual(brewSoFar(whole));
      }),
    );
  });

  it('is as it was after an undo that is undone', () => {
    fc.assert(
      fc.property(twoLogs, fc.nat(), ({ here, there }, index) => {
        const log = mergedLogs(here, there);
        const target = log[index % Math.max(1, log.length)];
        fc.pre(target !== undefined && target.kind !== 'undone');
        const isUndone = log.some(
          (each) =>
            each.kind === 'undone' && each.of.device === target.device && each.of.number === target.number,
        );
        fc.pre(!isUndone);
        const undone = withEntry(log, 'here', { kind: 'undone', of: target, atMs: 0 });
        const redone = withEntry(undone, 'here', { kind: 'undone', of: undone.at(-1)!, atMs: 0 });
        expect(brewSoFar(redone)).toEqual(brewSoFar(log));
      }),
    );
  });

  it('made of a record gives the record', () => {
    fc.assert(
      fc.property(twoLogs, ({ here, there }) => {
        const { steps, events, note, run } = brewSoFar(mergedLogs(here, there));
        fc.pre(steps.length > 0);
        const record = { steps, events, note, startMs: run.marks[0]!.atMs };
        const again = brewSoFar(logOfRecord({ device: 'here', ...record }));
        expect(again.steps).toEqual(steps);
        expect(again.note).toBe(note);
        const inOrder = (list: typeof events) => list.map((each) => JSON.stringify(each)).sort();
        expect(inOrder(again.events)).toEqual(inOrder(events));
      }),
    );
  });
});

describe('an entry that is kept or sent', () => {
  it('is accepted whatever was told, once its texts fit', () => {
    fc.assert(
      fc.property(twoLogs, ({ here }) => {
        for (const entry of here) expect(entryFault(storableEntry(entry))).toBeNull();
      }),
    );
    const long = {
      device: 'd',
      number: 1,
      atMs: 0,
      kind: 'noted' as const,
      text: `${'x'.repeat(2500)}\uD83C`,
    };
    expect(entryFault(long)).toEqual({
      ok: false,
      reason: 'out-of-range',
      message: 'text has 2501 characters; allowed: at most 2000 characters.',
      field: 'text',
      value: 2501,
      allowed: 'at most 2000 characters',
    });
    expect(entryFault(storableEntry(long))).toBeNull();
  });

  it.each<[string, object]>([
    ['kind', { kind: 'poured' }],
    ['kind', { kind: 'constructor' }],
    ['number', { number: 0 }],
    ['number', { number: 1.5 }],
    ['stepIndex', { stepIndex: 0.5 }],
    ['atMs', { atMs: 'noon' }],
    ['stepIndex', { stepIndex: 40 }],
    ['stepIndex', { stepIndex: null }],
    ['by', { by: 'eye' }],
  ])('is refused by the name of its %s', (field, wrong) => {
    const mark = {
      device: 'd',
      number: 1,
      atMs: 5,
      kind: 'marked',
      stepIndex: 0,
      skipped: false,
      by: 'hand',
    };
    expect(entryFault(mark)).toBeNull();
    expect(entryFault({ ...mark, ...wrong })).toMatchObject({ field });
  });

  it('says what is wrong inside it', () => {
    const entry = { device: 'd', number: 1, atMs: 5 };
    expect(entryFault({ ...entry, kind: 'undone', of: { device: 'd' } })).toMatchObject({
      field: 'of.number',
    });
    expect(entryFault({ ...entry, kind: 'weighed', what: 'fines', massG: 501 })).toMatchObject({
      field: 'massG',
      allowed: '0 to 500 g',
    });
    expect(entryFault({ ...entry, kind: 'weighed', what: 'beverage', massG: 501 })).toBeNull();
    expect(entryFault({ ...entry, kind: 'weighed', what: 'beverage', massG: 9 })).toMatchObject({
      field: 'massG',
      allowed: '10 to 5000 g',
    });
    expect(entryFault({ ...entry, kind: 'weighed', what: 'fines', massG: null })).toBeNull();
    const read = { ...entry, kind: 'strength-read', tdsPercent: 1.35, sampleC: 100 };
    expect(entryFault(read)).toBeNull();
    expect(entryFault({ ...read, sampleC: null })).toBeNull();
    expect(entryFault({ ...read, tdsPercent: 13.5 })).toMatchObject({
      field: 'tdsPercent',
      allowed: '0.2 to 3 %',
    });
    expect(entryFault({ ...read, sampleC: 101 })).toMatchObject({ field: 'sampleC', allowed: '0 to 100 °C' });
    expect(entryFault({ ...entry, kind: 'strength-read', tdsPercent: 1.35 })).toMatchObject({
      field: 'sampleC',
    });
    expect(entryFault({ ...entry, kind: 'cups-planned', rule: { kind: 'mass' } })).not.toBeNull();
    expect(entryFault('a mark')).not.toBeNull();
  });
});
