import { act, renderHook } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { lotPrior, type Trace } from '@vendu/core';
import { createStore } from '../app/store';
import type { ScaleChoice } from '../instruments/scaleChoices';
import { BREW_KIT, LAID_OUT } from '../testing/fixtures';
import {
  benchScaleOf,
  disconnectScales,
  forgetScales,
  recordedTrace,
  useBenchScale,
  useScaleView,
} from './benchScales';
import type { BenchBrew } from './benchBrew';
import { brewLaidOut, selectBrews } from './benchSlice';
import { readTrace } from './traceStore';

/** The browser's database, as far as the bench uses it. */
const { kept } = vi.hoisted(() => ({ kept: new Map<string, unknown>() }));
let isFull = false;
vi.mock('idb-keyval', () => ({
  set: (key: unknown, value: unknown) => {
    if (isFull) return Promise.reject(new DOMException('full', 'QuotaExceededError'));
    kept.set(JSON.stringify(key), structuredClone(value));
    return Promise.resolve();
  },
  entries: () => Promise.resolve([...kept].map(([key, value]) => [JSON.parse(key) as unknown, value])),
  delMany: (keys: unknown[]) => {
    for (const key of keys) kept.delete(JSON.stringify(key));
    return Promise.resolve();
  },
}));

const START_MS = new Date('2026-11-23T10:00:00Z').getTime();
const STEADY: ScaleChoice = { kind: 'simulated', hand: 'steady', bench: 'quiet' };
const DYING: ScaleChoice = { kind: 'simulated', hand: 'usual', bench: 'dying' };

function brewWith(scale: ScaleChoice, changes: Partial<BenchBrew> = {}): BenchBrew {
  const store = createStore();
  store.dispatch(brewLaidOut(LAID_OUT));
  const [brew] = selectBrews(store.getState());
  if (!brew) throw new Error('nothing was laid out');
  return { ...brew, key: crypto.randomUUID(), scale, ...changes };
}

/** The scale of a brew as a page would hold it. */
function onPage(brew: BenchBrew) {
  const page = renderHook((shown: BenchBrew) => useScaleView(useBenchScale(shown, 'brewer')), {
    initialProps: brew,
  });
  return { ...page, view: () => page.result.current };
}

/** Lets time pass, with what is waited for beside the clock. */
async function pass(seconds: number): Promise<void> {
  await act(async () => {
    await vi.advanceTimersByTimeAsync(seconds * 1000);
  });
}

beforeEach(() => {
  vi.useFakeTimers({ toFake: ['setInterval', 'clearInterval', 'Date'], now: START_MS });
});
afterEach(() => {
  kept.clear();
  isFull = false;
  vi.useRealTimers();
});

describe('the scale of a brew', () => {
  it('goes on recording when its page is left, and is found again', async () => {
    const brew = brewWith(STEADY);
    const page = onPage(brew);
    await pass(2);
    expect(page.view()).toMatchObject({ status: 'reading', name: 'Simulated scale, steady hand' });
    page.unmount();
    await pass(8);
    expect(benchScaleOf(brew.key)?.traceFrom(START_MS).atMs.length).toBeGreaterThan(90);
    const again = onPage(brew);
    expect(again.view()?.status).toBe('reading');
    await forgetScales(brew.key);
  });

  it('is kept on this device every second, in pieces, and read back in order', async () => {
    const brew = brewWith(STEADY);
    const page = onPage(brew);
    await pass(1);
    benchScaleOf(brew.key)?.source.pour?.({ toTotalG: 200, flowGps: 2, kettleC: 94 });
    await pass(130);
    const { atMs, massG }: Trace = await readTrace(brew.key);
    expect(kept.size).toBe(3);
    expect(atMs.length).toBeGreaterThan(1280);
    expect(atMs.every((each, index) => index === 0 || each > (atMs[index - 1] ?? 0))).toBe(true);
    expect(Math.abs((massG.at(-1) ?? 0) - 200)).toBeLessThan(2);
    page.unmount();
    await forgetScales(brew.key);
    expect(await readTrace(brew.key)).toEqual({ atMs: [], massG: [] });
  });

  it('takes up what was recorded where the page is loaded anew', async () => {
    const brew = brewWith(STEADY);
    const first = onPage(brew);
    await pass(1);
    benchScaleOf(brew.key)?.source.pour?.({ toTotalG: 60, flowGps: 6, kettleC: 94 });
    await pass(19);
    first.unmount();
    disconnectScales(brew.key);
    await pass(5);
    const again = onPage(brew);
    await pass(5);
    expect(Math.abs((again.view()?.massG ?? 0) - 60)).toBeLessThan(2);
    const trace = await recordedTrace(brew.key, 'brewer', START_MS);
    expect(trace.atMs[0]).toBeLessThan(1000);
    expect(trace.atMs.at(-1)).toBeGreaterThan(29_000);
    expect(
      Math.max(...trace.atMs.slice(1).map((atMs, index) => atMs - (trace.atMs[index] ?? 0))),
    ).toBeGreaterThan(4000);
    again.unmount();
    await forgetScales(brew.key);
  });

  it('is said to be silent once it has said nothing for a while, and its last figure is no figure', async () => {
    const page = onPage(brewWith(DYING));
    await pass(10);
    expect(page.view()).toMatchObject({ status: 'reading', batteryPercent: 1 });
    await pass(60);
    expect(page.view()).toMatchObject({ status: 'silent', massG: null });
    page.unmount();
  });

  it('is the one chosen last, however fast somebody chooses, and none where none is', async () => {
    const brew = brewWith(DYING);
    const page = onPage(brew);
    page.rerender({ ...brew, scale: STEADY });
    await pass(1);
    expect(page.view()?.name).toBe('Simulated scale, steady hand');
    page.rerender({ ...brew, scale: { kind: 'none' } });
    await pass(1);
    expect(page.view()).toBeNull();
    expect(benchScaleOf(brew.key)).toBeNull();
    page.unmount();
  });

  it.each([
    ['', false],
    [', and this device can keep nothing', true],
  ])('keeps every reading where another scale is taken in the middle%s', async (_, full) => {
    isFull = full;
    const brew = brewWith(DYING);
    const page = onPage(brew);
    await pass(20.4);
    page.rerender({ ...brew, scale: STEADY });
    await pass(10);
    const { atMs } = await recordedTrace(brew.key, 'brewer', START_MS);
    const gapsMs = atMs.slice(1).map((each, index) => each - (atMs[index] ?? 0));
    expect(Math.max(...gapsMs)).toBeLessThan(1000);
    expect(atMs.length).toBeGreaterThan(290);
    page.unmount();
    await forgetScales(brew.key);
  });

  it('records all the same where this device can keep nothing', async () => {
    isFull = true;
    const brew = brewWith(STEADY);
    const page = onPage(brew);
    await pass(5);
    expect(kept.size).toBe(0);
    expect((await recordedTrace(brew.key, 'brewer', START_MS)).atMs.length).toBeGreaterThan(40);
    page.unmount();
    await forgetScales(brew.key);
  });

  it('carries a brewer with what its lot is like, where the kit is known', async () => {
    const ground = { kit: BREW_KIT, prior: lotPrior({}), brews: [], elsewhere: [], roastAgeDays: 9 };
    const brew = brewWith(STEADY, { ground });
    const page = onPage(brew);
    await vi.waitFor(() => expect(benchScaleOf(brew.key)?.source.seen?.()).toMatchObject({ aboveBedG: 0 }));
    benchScaleOf(brew.key)?.source.pour?.({ toTotalG: 150, flowGps: 10, kettleC: 94 });
    await pass(15);
    expect(benchScaleOf(brew.key)?.source.seen?.()?.aboveBedG).toBeGreaterThan(20);
    page.unmount();
    await forgetScales(brew.key);
    const bare = brewWith(STEADY);
    const barePage = onPage(bare);
    await pass(1);
    expect(benchScaleOf(bare.key)?.source.seen?.()).toBeNull();
    barePage.unmount();
    await forgetScales(bare.key);
  });
});
