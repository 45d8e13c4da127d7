import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { logOf, type Trace } from '@vendu/core';
import { problem, renderPart, standInServer, type Answer } from '../testing/renderPart';
import { LAID_OUT } from '../testing/fixtures';
import { soFar } from './benchBrew';
import { selectBrews } from './benchSlice';
import { OtherBenches } from './OtherBenches';
import { keepTrace } from './traceStore';

vi.mock('./traceStore', async (original) => ({
  ...(await original<typeof import('./traceStore')>()),
  keepTrace: vi.fn(() => Promise.resolve()),
}));
const key = '4f6b1f0e-7c0b-4b52-9a53-7d9c2f3a1b10';
const STARTED_MS = 1_000_000;
const RUNNING = {
  key,
  seq: 4,
  lotName: 'Ridge',
  brewerName: 'Cone',
  by: 'Joss',
  updatedAt: '2026-11-24T10:00:00Z',
  state: JSON.stringify({ ...LAID_OUT, key, seq: 4 }),
  entries: logOf('another', [{ kind: 'marked', atMs: STARTED_MS, stepIndex: 0, skipped: false, by: 'hand' }]),
};
const open = (trace: Answer) => {
  standInServer({ 'GET running-brews': { body: [RUNNING] }, [`GET running-brews/${key}/trace`]: trace });
  return renderPart(<OtherBenches />);
};
const goOn = async () => userEvent.click(await screen.findByRole('button', { name: 'Continue here' }));

describe('a brew on another bench', () => {
  afterEach(() => {
    vi.mocked(keepTrace).mockClear();
    localStorage.clear();
  });

  it('is taken over with its curve, by the clock of the wall', async () => {
    const trace: Trace = { atMs: [0, 100, 200], massG: [0, 1, 2] };
    const { store } = open({ body: { trace } });
    expect(await screen.findByText(/Ridge, Cone/)).toBeTruthy();
    await goOn();
    await expect.poll(() => selectBrews(store.getState()).map((brew) => brew.key)).toEqual([key]);
    expect(keepTrace).toHaveBeenCalledWith(key, {
      atMs: [STARTED_MS, STARTED_MS + 100, STARTED_MS + 200],
      massG: [0, 1, 2],
    });
    // Here now, it is on no other bench.
    expect(screen.queryByText(/On another bench/)).toBeNull();
  });

  it('that was told before there were logs goes on all the same', async () => {
    const marks = [{ stepIndex: 0, atMs: STARTED_MS, skipped: false }];
    const state = JSON.stringify({ ...LAID_OUT, key, run: { marks }, note: 'flat bed', seq: 4 });
    standInServer({ 'GET running-brews': { body: [{ ...RUNNING, state, entries: [] }] } });
    const { store } = renderPart(<OtherBenches />);
    await goOn();
    await expect
      .poll(() => selectBrews(store.getState()).map((brew) => soFar(brew)))
      .toMatchObject([{ run: { marks }, note: 'flat bed' }]);
  });

  it.each([
    ['was marked by hand', { body: { trace: null } }],
    ['has a curve that cannot be had', problem('unavailable', 'The database does not answer.')],
  ])('goes on without a curve where it %s', async (_, answer) => {
    const { store } = open(answer);
    await goOn();
    await expect.poll(() => selectBrews(store.getState())).toHaveLength(1);
    expect(keepTrace).not.toHaveBeenCalled();
  });

  it.each([
    ['no JSON', 'marks 4'],
    ['of another shape', JSON.stringify({ key, run: { marks: [{ at: 'now' }] }, version: 9 })],
    ['without a plan that can be', JSON.stringify({ ...JSON.parse(RUNNING.state), plan: { pours: [] } })],
  ])('is left where it is where its state is %s, and says so', async (_, state) => {
    standInServer({ 'GET running-brews': { body: [{ ...RUNNING, state }] } });
    renderPart(<OtherBenches />);
    expect(await screen.findByText(/another version of Vendu/)).toBeTruthy();
    expect(screen.queryByRole('button')).toBeNull();
  });
});
