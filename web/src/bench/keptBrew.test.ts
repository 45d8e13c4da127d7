import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { LAID_OUT } from '../testing/fixtures';
import { readKeptBrew } from './keptBrew';

const BREW = {
  ...LAID_OUT,
  run: { marks: [{ stepIndex: 0, atMs: 1000, skipped: false }] },
  wasStarted: true,
  totalsG: { 0: 42 },
  moved: [],
  answered: [],
  prepared: ['weigh'],
  leftOut: ['rinse'],
  events: [{ kind: 'agitated', atS: 3, figure: null, text: 'Swirl' }],
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
    const { leftOut: _, thermometer: __, cups: ___, outflowScale: ____, heard: _____, ...earlier } = BREW;
    expect(readKeptBrew(asKept(earlier))).toEqual({
      ...BREW,
      leftOut: [],
      thermometer: 'none',
      outflowScale: 'none',
      heard: [],
      cups: { kind: 'none' },
    });
  });

  it.each<[string, unknown]>([
    ['a word', 'marks 3'],
    ['nothing', null],
    ['without marks', { ...BREW, run: {} }],
    ['a mark of another shape', { ...BREW, run: { marks: [{ at: 1 }] } }],
    ['without its recipe', { ...BREW, recipeVersionId: 'eleven' }],
    ['a plan that cannot be', { ...BREW, plan: { ...BREW.plan, pours: [] } }],
  ])('is none where it is %s', (_, kept) => {
    expect(readKeptBrew(asKept(kept))).toBeNull();
  });

  it('has in every field what belongs there, whatever was kept in it', () => {
    fc.assert(
      fc.property(fc.constantFrom(...Object.keys(BREW)), fc.jsonValue(), (field, value) => {
        const read = readKeptBrew(asKept({ ...BREW, [field]: value }));
        if (read === null) return;
        expect(Object.keys(read).sort()).toEqual(Object.keys(BREW).sort());
        expect(read.events.every(({ atS }) => Number.isFinite(atS))).toBe(true);
        expect(Object.values(read.totalsG).every(Number.isFinite)).toBe(true);
        expect(typeof read.note).toBe('string');
        expect(read.scale).toHaveProperty('kind');
      }),
    );
  });
});
