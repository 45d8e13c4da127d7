// @vitest-environment jsdom
import { act, fireEvent, screen } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { LAID_OUT } from '../testing/fixtures';
import { renderPart, standInServer } from '../testing/renderPart';
import { brewLaidOut, brewStored, selectAfter, stepMarked } from './benchSlice';
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
          lotName: 'Ridge',
          drainedAtMs: START_MS - 60_000,
          clocks: [
            { task: 'read', dueS: 600 },
            { task: 'taste-warm', dueS: 900 },
          ],
          done: [],
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
    expect(link.textContent).toContain('not stored yet');
  });

  it('counts down to what a brew still wants, one after the other, each with its form', () => {
    const { store } = afterBrew();
    expect(screen.getByRole('link').textContent).toMatch(/9:00.*sample cools.*Ridge/);
    pass(540);
    const due = screen.getByRole('link');
    expect(due.textContent).toMatch(/now.*read the sample/);
    expect(due.getAttribute('href')).toBe('/brews/21#readings');
    fireEvent.click(due);
    expect(screen.getByRole('link').textContent).toMatch(/5:00.*warm tasting/);
    expect(screen.getByRole('link').getAttribute('href')).toBe('/brews/21#tasting');
    expect(selectAfter(store.getState())).toMatchObject([{ done: ['read'] }]);
  });

  it('lets be what somebody says is done, and is gone when all is', () => {
    const { container, store } = afterBrew();
    fireEvent.click(screen.getByRole('button', { name: 'Done: read the sample, Ridge' }));
    fireEvent.click(screen.getByRole('button', { name: 'Done: taste it warm, Ridge' }));
    expect(selectAfter(store.getState())).toEqual([]);
    expect(container.textContent).toBe('');
  });

  it('does not count a look before its time as done', () => {
    const { store } = afterBrew();
    fireEvent.click(screen.getByRole('link'));
    expect(selectAfter(store.getState())).toMatchObject([{ done: [] }]);
  });
});
