// @vitest-environment jsdom
import { describe, expect, it } from 'vitest';
import { createStore } from '../app/store';
import {
  brewCleared,
  brewLaidOut,
  brewPutBack,
  markUndone,
  noteWritten,
  selectBenchBrew,
  stepMarked,
  totalWritten,
  type LaidOutBrew,
} from './benchSlice';

const LAID_OUT: LaidOutBrew = {
  key: '4f6b1f0e-7c0b-4b52-9a53-7d9c2f3a1b10',
  lotId: 1,
  lotName: 'Lot',
  additions: '',
  recipeId: 1,
  brewerName: 'Cone',
  paper: 'white',
  grinderName: 'Grinder',
  grinderSetting: 5,
  recipeVersionId: 3,
  versionNumber: 2,
  roastBatchId: 4,
  plan: {
    doseG: 16,
    kettleC: 94,
    grindUm: 700,
    drawdownS: 160,
    pours: [{ startS: 0, amountG: 250, flowGps: 5, agitation: 'swirl', isBloom: false }],
  },
};

describe('the bench on this device', () => {
  it('keeps every mark through a reload', () => {
    const store = createStore();
    store.dispatch(brewLaidOut(LAID_OUT));
    store.dispatch(stepMarked({ atMs: 1000 }));
    store.dispatch(stepMarked({ atMs: 52_000, skipped: true }));
    store.dispatch(totalWritten({ stepIndex: 0, totalG: 252 }));
    store.dispatch(noteWritten('flat bed'));
    const reopened = selectBenchBrew(createStore().getState());
    expect(reopened).toEqual(selectBenchBrew(store.getState()));
    expect(reopened?.run.marks).toEqual([
      { stepIndex: 0, atMs: 1000, skipped: false },
      { stepIndex: 1, atMs: 52_000, skipped: true },
    ]);
  });

  it('forgets the total of a mark that is taken back', () => {
    const store = createStore();
    store.dispatch(brewLaidOut(LAID_OUT));
    store.dispatch(stepMarked({ atMs: 1000 }));
    store.dispatch(totalWritten({ stepIndex: 0, totalG: 252 }));
    store.dispatch(markUndone());
    expect(selectBenchBrew(store.getState())).toMatchObject({ run: { marks: [] }, totalsG: {} });
  });

  it('can put a cleared brew back as it was', () => {
    const store = createStore();
    store.dispatch(brewLaidOut(LAID_OUT));
    store.dispatch(stepMarked({ atMs: 1000 }));
    const brew = selectBenchBrew(store.getState())!;
    store.dispatch(brewCleared());
    expect(selectBenchBrew(createStore().getState())).toBeNull();
    store.dispatch(brewPutBack(brew));
    expect(selectBenchBrew(store.getState())).toEqual(brew);
  });

  it('opens on a storage that holds rubbish', () => {
    localStorage.setItem('vendu.draft.bench', '{not json');
    expect(selectBenchBrew(createStore().getState())).toBeNull();
  });
});
