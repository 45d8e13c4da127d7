import { act, fireEvent, screen } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { brewView, LAID_OUT } from '../testing/fixtures';
import { renderPart, standInServer } from '../testing/renderPart';
import { brewsApi } from '../api/brewsApi';
import { afterDone, brewLaidOut, brewStored, selectAfter, stepMarked } from './benchSlice';
import { RunningStrip } from './RunningStrip';

const START_MS = new Date('2026-11-23T10:00:00Z').getTime();
const { key } = LAID_OUT;

beforeEach(() => {
  standInServer({ [`PUT running-brews/${key}`]: { body: { seq: 1 } } });
  vi.useFakeTimers({ toFake: ['setInterval', 'clearInterval', 'Date'], now: START_MS });
});
afterEach(() => {
  vi.useRealTimers();
});

function pass(seconds: number) {
  act(() => {
    vi.advanceTimersByTime(seconds * 1000);
  });
}

/** A brew that drained a minute ago and wants its sample read and its cups tasted. */
function afterBrew() {
  const rendered = renderPart(<RunningStrip />);
  act(() => {
    rendered.store.dispatch(brewLaidOut(LAID_OUT));
    rendered.store.dispatch(
      brewStored({
        key,
        after: {
          brewId: 21,
          brewNumber: 4,
          lotName: 'Ridge',
          drainedAtMs: START_MS - 60_000,
          clocks: [
            { task: 'read', dueS: 600 },
            { task: 'taste-warm', dueS: 900 },
          ],
          done: [],
          laterMs: {},
        },
      }),
    );
  });
  return rendered;
}

describe('the running strip', () => {
  it('shows nothing where nothing runs', () => {
    const { container, store } = renderPart(<RunningStrip />);
    act(() => {
      store.dispatch(brewLaidOut(LAID_OUT));
    });
    expect(container.textContent).toBe('');
  });

  it('shows a running clock with what comes next, and leads back to its bench', () => {
    const { store } = renderPart(<RunningStrip />);
    act(() => {
      store.dispatch(brewLaidOut(LAID_OUT));
      store.dispatch(stepMarked({ key, atMs: START_MS }));
    });
    pass(32);
    const link = screen.getByRole('link');
    expect(link.textContent).toContain('0:32');
    expect(link.textContent).toContain('next: Swirl');
    expect(link.getAttribute('href')).toBe(`/bench/${LAID_OUT.recipeVersionId}`);
    act(() => {
      for (const second of [35, 40, 75, 160])
        store.dispatch(stepMarked({ key, atMs: START_MS + second * 1000 }));
    });
    expect(link.textContent).toContain('not saved yet');
  });

  it('counts down to what a brew still wants, one after the other, each with its form', () => {
    const { store } = afterBrew();
    expect(screen.getByRole('link').textContent).toMatch(/9:00.*sample cools.*Ridge/);
    pass(540);
    const due = screen.getByRole('link');
    expect(due.textContent).toMatch(/now.*read the sample.*Ridge, brew 4/);
    expect(due.getAttribute('href')).toBe('/brews/21#measure');
    // Looking at it is not doing it.
    fireEvent.click(due);
    expect(selectAfter(store.getState())).toMatchObject([{ done: [] }]);
    act(() => {
      store.dispatch(afterDone({ brewId: 21, task: 'read' }));
    });
    expect(screen.getByRole('link').textContent).toMatch(/5:00.*warm tasting/);
    expect(screen.getByRole('link').getAttribute('href')).toBe('/brews/21/taste/warm');
  });

  it('ends by itself once the reading is in', async () => {
    const { store } = afterBrew();
    standInServer({ 'POST brews/21/readings': { body: brewView({ id: 21 }) } });
    const reading = { tdsPercent: 1.3, sampleC: null, source: 'typed' as const };
    await act(async () => {
      await store.dispatch(brewsApi.endpoints.addReading.initiate({ id: 21, reading }));
    });
    expect(selectAfter(store.getState())).toMatchObject([{ done: ['read'] }]);
  });

  it('can be put off by five minutes', () => {
    afterBrew();
    pass(540);
    fireEvent.click(screen.getByRole('button', { name: 'In 5 minutes: read the sample, Ridge, brew 4' }));
    expect(screen.getByRole('link').textContent).toMatch(/5:00.*sample cools/);
  });

  it('folds into one line where more than two brews wait, the soonest in it', () => {
    const { store } = afterBrew();
    act(() => {
      for (const brewId of [22, 23]) {
        const [first] = selectAfter(store.getState());
        if (first)
          store.dispatch(brewStored({ key: `${brewId}`, after: { ...first, brewId, brewNumber: brewId } }));
      }
    });
    expect(screen.getByText('and 2 more').closest('summary')?.textContent).toMatch(/9:00.*brew 4/);
  });

  it('lets be what somebody says is done, and is gone when all is', () => {
    const { container, store } = afterBrew();
    fireEvent.click(screen.getByRole('button', { name: 'Done: read the sample, Ridge, brew 4' }));
    fireEvent.click(screen.getByRole('button', { name: 'Done: taste it warm, Ridge, brew 4' }));
    expect(selectAfter(store.getState())).toEqual([]);
    expect(container.textContent).toBe('');
  });
});
