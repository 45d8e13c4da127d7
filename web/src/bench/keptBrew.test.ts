import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { entryFault, logOf } from '@vendu/core';
import { LAID_OUT } from '../testing/fixtures';
import { soFar, type BenchBrew } from './benchBrew';
import { readKeptBrew } from './keptBrew';

const BREW: BenchBrew = {
  ...LAID_OUT,
  log: logOf('d', [
    { kind: 'prepared', atMs: 900, task: 'weigh' },
    { kind: 'marked', atMs: 1000, stepIndex: 0, skipped: false, by: 'hand' },
    { kind: 'total-read', atMs: 6000, stepIndex: 0, totalG: 42 },
  ]),
  thermometer: 'simulated',
  outflowScale: 'serial',
  noteTyped: 'flat b',
  seq: 4,
};
/** As benches kept a brew before there were logs. */
const EARLIER = {
  ...LAID_OUT,
  run: {
    marks: [
      { stepIndex: 0, atMs: 1000, skipped: false },
      { stepIndex: 1, atMs: 7000, skipped: true },
    ],
  },
  wasStarted: true,
  totalsG: { 0: 42 },
  moved: [{ fromPour: 2, byG: 3 }],
  answered: [1],
  prepared: ['weigh'],
  leftOut: ['rinse'],
  events: [{ kind: 'agitated', atS: 3, figure: null, text: 'Stir' }],
  thermometer: 'simulated',
  outflowScale: 'serial',
  heard: ['first-drip'],
  cups: { kind: 'time', everyS: 15 },
  note: 'flat bed',
  seq: 4,
};
const asKept = (value: unknown): unknown => JSON.parse(JSON.stringify(value));

describe('a brew that was kept', () => {
  it('is read as it was', () => {
    expect(readKeptBrew(asKept(BREW))).toEqual(BREW);
  });

  it('is read without what an earlier version did not have', () => {
    const { thermometer: _, outflowScale: __, noteTyped: ___, ...earlier } = BREW;
    expect(readKeptBrew(asKept(earlier))).toEqual({
      ...BREW,
      thermometer: 'none',
      outflowScale: 'none',
      noteTyped: null,
    });
  });

  it('before there were logs has its log made of what had become of it', () => {
    const read = readKeptBrew(asKept(EARLIER));
    expect(read).toMatchObject({ key: LAID_OUT.key, thermometer: 'simulated', seq: 4 });
    expect(soFar(read!)).toMatchObject({
      wasStarted: true,
      run: EARLIER.run,
      steps: [
        { stepIndex: 0, atS: 0, totalG: 42 },
        { stepIndex: 1, atS: 6, skipped: true, totalG: null },
      ],
      prepared: ['weigh'],
      leftOut: ['rinse'],
      totalsMoved: [{ fromPour: 2, byG: 3 }],
      answered: [1],
      cups: { kind: 'time', everyS: 15 },
      note: 'flat bed',
    });
    expect(soFar(read!).events).toContainEqual({ kind: 'agitated', atS: 3, how: 'stir' });
  });

  it('before there were logs, by a version that had less, is read as far as it goes', () => {
    const { leftOut: _, cups: __, heard: ___, answered: ____, ...earliest } = EARLIER;
    expect(soFar(readKeptBrew(asKept(earliest))!)).toMatchObject({
      leftOut: [],
      answered: [],
      cups: null,
      steps: [{ totalG: 42 }, {}],
    });
  });

  it.each<[string, unknown]>([
    ['a word', 'marks 3'],
    ['nothing', null],
    ['with no log', { ...BREW, log: {} }],
    ['an entry of another shape', { ...BREW, log: [{ at: 1 }] }],
    ['without marks', { ...EARLIER, run: {} }],
    ['a mark of another shape', { ...EARLIER, run: { marks: [{ at: 1 }] } }],
    ['without its recipe', { ...BREW, recipeVersionId: 'eleven' }],
    ['a plan that cannot be', { ...BREW, plan: { ...BREW.plan, pours: [] } }],
  ])('is none where it is %s', (_, kept) => {
    expect(readKeptBrew(asKept(kept))).toBeNull();
  });

  it.each<[string, object]>([
    ['as a log', BREW],
    ['before there were logs', EARLIER],
  ])('%s has in every field what belongs there, whatever was kept in it', (_, kept) => {
    fc.assert(
      fc.property(fc.constantFrom(...Object.keys(kept)), fc.jsonValue(), (field, value) => {
        const read = readKeptBrew(asKept({ ...kept, [field]: value }));
        if (read === null) return;
        expect(Object.keys(read).sort()).toEqual(Object.keys(BREW).sort());
        expect(read.log.filter((entry) => entryFault(entry) !== null)).toEqual([]);
        expect(read.scale).toHaveProperty('kind');
      }),
    );
  });
});
