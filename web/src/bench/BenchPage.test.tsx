import { act, screen } from '@testing-library/react';
import { Route, Routes } from 'react-router';
import { describe, expect, it } from 'vitest';
import { LAID_OUT, recipe, version } from '../testing/fixtures';
import { renderPart, standInServer } from '../testing/renderPart';
import { BenchPage } from './BenchPage';
import { soFar } from './benchBrew';
import { brewLaidOut, brewTold, entryUndone, selectBrews, stepMarked } from './benchSlice';

const KIT = { house: {}, brewers: [], grinders: [], papers: [], kettles: [], waters: [], instruments: [] };

function open(address: string) {
  standInServer({
    'GET kit': { body: KIT },
    'GET recipes/7': { body: recipe({ versions: [version({ id: 11 })], latestRoastBatchId: 9 }) },
  });
  return renderPart(
    <Routes>
      <Route path="/bench/:versionId" element={<BenchPage />} />
    </Routes>,
    address,
  );
}

describe('the bench page', () => {
  it('lays a brew out anew that was laid out and never started: another batch may have come; what is ready stays', async () => {
    // Left behind on this device by an earlier visit.
    const { store, unmount } = open('/bench/99?recipe=7');
    act(() => {
      store.dispatch(brewLaidOut(LAID_OUT));
      store.dispatch(brewTold({ key: LAID_OUT.key, happened: { kind: 'prepared', task: 'weigh' } }));
    });
    unmount();
    const reopened = open('/bench/11?recipe=7');
    await expect.poll(() => selectBrews(reopened.store.getState())[0]?.roastBatchId).toBe(9);
    expect(selectBrews(reopened.store.getState()).map((brew) => soFar(brew).prepared)).toEqual([['weigh']]);
    expect(await screen.findByText(/Before the clock/)).toBeTruthy();
  });

  it('shows a brew that runs, and beside it no other that was never started', async () => {
    const { store, unmount } = open('/bench/99?recipe=7');
    const other = { ...LAID_OUT, key: '5f6b1f0e-7c0b-4b52-9a53-7d9c2f3a1b10', recipeVersionId: 12 };
    act(() => {
      store.dispatch(brewLaidOut(LAID_OUT));
      store.dispatch(stepMarked({ key: LAID_OUT.key, atMs: Date.now() }));
      store.dispatch(brewLaidOut(other));
    });
    unmount();
    open('/bench/11?recipe=7');
    await expect.poll(() => screen.getAllByRole('timer')).toHaveLength(1);
  });

  it('keeps a brew whose only mark was taken back', async () => {
    const { store, unmount } = open('/bench/99?recipe=7');
    act(() => {
      store.dispatch(brewLaidOut(LAID_OUT));
      store.dispatch(stepMarked({ key: LAID_OUT.key, atMs: Date.now() }));
    });
    unmount();
    const reopened = open('/bench/11?recipe=7');
    act(() => {
      reopened.store.dispatch(entryUndone({ key: LAID_OUT.key }));
    });
    expect(await screen.findByText(/Before the clock/)).toBeTruthy();
    expect(selectBrews(reopened.store.getState())[0]?.key).toBe(LAID_OUT.key);
  });
});
