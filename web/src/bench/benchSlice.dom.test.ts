import { beforeEach, describe, expect, it } from 'vitest';
import { benchSteps, runningTotalsG } from '@vendu/core';
import { writeDraft } from '../device/draft';
import { createStore } from '../app/store';
import { LAID_OUT, PLAN } from '../testing/fixtures';
import { standInServer } from '../testing/renderPart';
import { goingPlan, noteOf, soFar } from './benchBrew';
import {
  afterDone,
  brewCleared,
  brewLaidOut,
  brewPutBack,
  brewStored,
  brewTold,
  entriesHeard,
  entriesNow,
  entryUndone,
  noteSettled,
  noteTyped,
  outflowScaleChosen,
  selectAfter,
  selectBrews,
  stepMarked,
} from './benchSlice';

const { key } = LAID_OUT;
const brewIn = (store: ReturnType<typeof createStore>) => selectBrews(store.getState())[0];
/** What the brew on the bench is by its log. */
const soFarIn = (store: ReturnType<typeof createStore>) => {
  const brew = brewIn(store);
  return brew && soFar(brew);
};
const totalRead = (stepIndex: number, totalG: number) =>
  brewTold({ key, happened: { kind: 'total-read', stepIndex, totalG } });

beforeEach(() => {
  standInServer({ [`PUT running-brews/${key}`]: { body: { seq: 1 } } });
});

describe('the bench on this device', () => {
  it('keeps every mark through a reload', () => {
    const store = createStore();
    store.dispatch(brewLaidOut(LAID_OUT));
    store.dispatch(stepMarked({ key, atMs: 1000 }));
    store.dispatch(stepMarked({ key, atMs: 52_000, skipped: true }));
    store.dispatch(totalRead(0, 252));
    store.dispatch(noteTyped({ key, note: 'flat bed' }));
    store.dispatch(brewTold({ key, happened: { kind: 'cup-changed', massG: 60 }, atMs: 31_000 }));
    const reopened = createStore();
    expect(brewIn(reopened)).toEqual(brewIn(store));
    expect(brewIn(reopened)).toMatchObject({ seq: 5, noteTyped: 'flat bed' });
    expect(soFarIn(reopened)).toMatchObject({
      events: [{ kind: 'cup-changed', atS: 30, massG: 60 }],
      run: {
        marks: [
          { stepIndex: 0, atMs: 1000, skipped: false },
          { stepIndex: 1, atMs: 52_000, skipped: true },
        ],
      },
    });
  });

  it('reads what an earlier version of the application kept', () => {
    const store = createStore();
    store.dispatch(brewLaidOut(LAID_OUT));
    const { thermometer: _, ...earlier } = brewIn(store) ?? {};
    writeDraft('bench', { brews: [earlier], activeKey: key, after: [] });
    expect(brewIn(createStore())).toMatchObject({ key, log: [], thermometer: 'none' });
  });

  it('notes the first drip once, and marks the drain when the outflow says so; undone, it stays undone', () => {
    const store = createStore();
    store.dispatch(brewLaidOut(LAID_OUT));
    store.dispatch(outflowScaleChosen({ key, scale: 'feed' }));
    const steps = benchSteps(LAID_OUT.plan).length;
    for (let step = 0; step < steps - 1; step++) store.dispatch(stepMarked({ key, atMs: step * 20_000 }));
    store.dispatch(brewTold({ key, happened: { kind: 'first-drip' }, atMs: 14_200 }));
    store.dispatch(stepMarked({ key, atMs: 158_000, by: 'outflow' }));
    expect(soFarIn(store)).toMatchObject({
      events: [{ kind: 'first-drip', atS: 14.2 }],
      isDripHeard: true,
      drainHeard: 'marked',
    });
    expect(soFarIn(store)?.run.marks.at(-1)).toMatchObject({ atMs: 158_000, skipped: false });
    // There is no step after the last.
    store.dispatch(stepMarked({ key, atMs: 159_000 }));
    expect(soFarIn(store)?.run.marks).toHaveLength(steps);
    store.dispatch(entryUndone({ key }));
    // Marked by hand afterwards, it is no longer called the scale's.
    expect(soFarIn(createStore())).toMatchObject({ isDripHeard: true, drainHeard: 'refused' });
    expect(soFarIn(store)?.run.marks).toHaveLength(steps - 1);
  });

  it('is one bench for all pages of the device', () => {
    const [here, there] = [createStore(), createStore()];
    here.dispatch(brewLaidOut(LAID_OUT));
    here.dispatch(stepMarked({ key, atMs: 1000 }));
    // The browser tells the other pages; the one that wrote hears nothing.
    dispatchEvent(new StorageEvent('storage', { key: 'vendu.draft.bench' }));
    expect(soFarIn(there)?.run.marks).toHaveLength(1);
    there.dispatch(stepMarked({ key, atMs: 6000 }));
    dispatchEvent(new StorageEvent('storage', { key: 'vendu.draft.bench' }));
    expect(soFarIn(here)?.run.marks).toHaveLength(2);
    dispatchEvent(new StorageEvent('storage', { key: 'vendu.draft.lots' }));
    expect(brewIn(createStore())).toEqual(brewIn(here));
  });

  it('has what two pages told at one moment, before either heard of the other', () => {
    const store = createStore();
    store.dispatch(brewLaidOut(LAID_OUT));
    store.dispatch(stepMarked({ key, atMs: 1000 }));
    // As another page would write it: without the swirl that is told here meanwhile, under the number that is taken here.
    const there = { device: 'another page', number: 2, atMs: 5000, kind: 'bed-seen', shows: true } as const;
    const brew = brewIn(store)!;
    const written = { brews: [{ ...brew, log: [...brew.log, there] }], activeKey: key, after: [] };
    store.dispatch(brewTold({ key, happened: { kind: 'agitated', how: 'swirl' }, atMs: 4000 }));
    writeDraft('bench', written);
    dispatchEvent(new StorageEvent('storage', { key: 'vendu.draft.bench' }));
    expect(
      soFarIn(store)
        ?.events.map(({ kind }) => kind)
        .sort(),
    ).toEqual(['agitated', 'bed-shows']);
  });

  it('does not write back what another page wrote, which may have gone on since', () => {
    const here = createStore();
    here.dispatch(brewLaidOut(LAID_OUT));
    // As another version of the application would write it: the same bench, in another order.
    const written = JSON.stringify({ after: [], activeKey: key, brews: selectBrews(here.getState()) });
    localStorage.setItem('vendu.draft.bench', written);
    dispatchEvent(new StorageEvent('storage', { key: 'vendu.draft.bench' }));
    expect(localStorage.getItem('vendu.draft.bench')).toBe(written);
    here.dispatch(stepMarked({ key, atMs: 1000 }));
    expect(soFarIn(createStore())?.run.marks).toHaveLength(1);
  });

  it('forgets the total of a mark that is taken back', () => {
    const store = createStore();
    store.dispatch(brewLaidOut(LAID_OUT));
    store.dispatch(stepMarked({ key, atMs: 1000 }));
    store.dispatch(totalRead(0, 252));
    store.dispatch(entryUndone({ key }));
    store.dispatch(stepMarked({ key, atMs: 2000 }));
    expect(soFarIn(store)?.steps).toMatchObject([{ totalG: null }]);
  });

  it('has the note in its log once it was typed to its end, and along with what is stored', () => {
    const store = createStore();
    store.dispatch(brewLaidOut(LAID_OUT));
    store.dispatch(stepMarked({ key, atMs: 1000 }));
    for (const note of ['f', 'fl', 'flat']) store.dispatch(noteTyped({ key, note }));
    expect(noteOf(brewIn(store)!)).toBe('flat');
    expect(entriesNow(brewIn(store)!).at(-1)).toMatchObject({ kind: 'noted', text: 'flat' });
    store.dispatch(noteSettled({ key }));
    // A field that is left again as it was says nothing new.
    store.dispatch(noteSettled({ key }));
    expect(brewIn(store)).toMatchObject({ noteTyped: null });
    expect(brewIn(store)?.log.map(({ kind }) => kind)).toEqual(['marked', 'noted']);
  });

  it('takes up what another device told of the same brew, and numbers on from it', () => {
    const store = createStore();
    store.dispatch(brewLaidOut(LAID_OUT));
    store.dispatch(stepMarked({ key, atMs: 1000 }));
    const there = { device: 'there', number: 7, atMs: 4000, kind: 'agitated', how: 'stir' } as const;
    store.dispatch(entriesHeard({ key, entries: [there, ...brewIn(store)!.log] }));
    store.dispatch(stepMarked({ key, atMs: 9000 }));
    expect(brewIn(store)?.log.map(({ number }) => number)).toEqual([1, 7, 8]);
    expect(soFarIn(store)?.events).toEqual([{ kind: 'agitated', atS: 3, how: 'stir' }]);
  });

  it('can put a cleared brew back as it was', () => {
    const store = createStore();
    store.dispatch(brewLaidOut(LAID_OUT));
    store.dispatch(stepMarked({ key, atMs: 1000 }));
    const brew = brewIn(store)!;
    store.dispatch(brewCleared({ key }));
    expect(selectBrews(createStore().getState())).toEqual([]);
    store.dispatch(brewPutBack(brew));
    // Counted on, so that the server takes it again.
    expect(brewIn(store)).toEqual({ ...brew, seq: brew.seq + 1 });
  });

  it('opens on a storage that holds rubbish', () => {
    for (const rubbish of ['{not json', '{"brew": {}}', '[]', '7']) {
      localStorage.setItem('vendu.draft.bench', rubbish);
      expect(selectBrews(createStore().getState())).toEqual([]);
    }
  });
});

describe('two brews at once', () => {
  const other = { ...LAID_OUT, key: 'a96b1f0e-7c0b-4b52-9a53-7d9c2f3a1b10', recipeVersionId: 9 };
  const third = { ...LAID_OUT, key: 'b96b1f0e-7c0b-4b52-9a53-7d9c2f3a1b10', recipeVersionId: 10 };

  it('have clocks and marks of their own; a third finds no room', () => {
    const store = createStore();
    for (const brew of [LAID_OUT, other]) {
      store.dispatch(brewLaidOut(brew));
      store.dispatch(stepMarked({ key: brew.key, atMs: brew === other ? 9000 : 1000 }));
    }
    store.dispatch(stepMarked({ key, atMs: 7000 }));
    store.dispatch(brewLaidOut(third));
    expect(
      selectBrews(store.getState()).map((brew) => soFar(brew).run.marks.map(({ atMs }) => atMs)),
    ).toEqual([[1000, 7000], [9000]]);
  });

  it('make room where one was laid out and never started', () => {
    const store = createStore();
    store.dispatch(brewLaidOut(LAID_OUT));
    store.dispatch(brewLaidOut(other));
    expect(selectBrews(store.getState()).map((brew) => brew.key)).toEqual([other.key]);
  });
});

describe('a pour that missed', () => {
  it('moves every later total by what was chosen, or none', () => {
    const store = createStore();
    store.dispatch(brewLaidOut(LAID_OUT));
    const planned = runningTotalsG(PLAN);
    const answer = (pourNumber: number, byG: number) =>
      store.dispatch(brewTold({ key, happened: { kind: 'miss-answered', pourNumber, byG } }));
    answer(1, 0);
    expect(runningTotalsG(goingPlan(brewIn(store)!))).toEqual(planned);
    answer(2, 6);
    expect(runningTotalsG(goingPlan(brewIn(store)!))).toEqual([
      planned[0],
      planned[1],
      (planned[2] ?? 0) + 6,
    ]);
    expect(brewIn(store)?.plan).toEqual(PLAN);
  });
});

describe('after a brew', () => {
  it('stays until everything it wants is done', () => {
    const store = createStore();
    store.dispatch(brewLaidOut(LAID_OUT));
    store.dispatch(
      brewStored({
        key,
        after: {
          brewId: 21,
          brewNumber: 1,
          lotName: 'Lot',
          drainedAtMs: 0,
          clocks: [
            { task: 'read', dueS: 400 },
            { task: 'taste-warm', dueS: 900 },
          ],
          done: [],
          laterMs: {},
        },
      }),
    );
    expect(selectBrews(store.getState())).toEqual([]);
    store.dispatch(afterDone({ brewId: 21, task: 'read' }));
    expect(selectAfter(createStore().getState())).toMatchObject([{ brewId: 21, done: ['read'] }]);
    store.dispatch(afterDone({ brewId: 21, task: 'taste-warm' }));
    expect(selectAfter(store.getState())).toEqual([]);
  });
});
