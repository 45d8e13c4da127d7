// @vitest-environment jsdom
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { RunningBrewDto } from '@vendu/contract';
import { createStore } from '../app/store';
import { LAID_OUT } from '../testing/fixtures';
import { brewLaidOut, selectBrews, type BenchBrew } from './benchSlice';
import { keepOnServer, noteCleared, type Server } from './runningSync';

/** A server that answers when it is let, and keeps in order what it was told. */
function slowServer() {
  const told: string[] = [];
  const answers: ((isTaken: boolean) => void)[] = [];
  const hear = (words: string) => {
    told.push(words);
    return new Promise<boolean>((resolve) => answers.push(resolve));
  };
  const server: Server = {
    keep: (_: string, { seq }: RunningBrewDto) => hear(`keep ${seq}`),
    clear: () => hear('clear'),
  };
  const answer = async (isTaken: boolean) => {
    answers.shift()?.(isTaken);
    await vi.advanceTimersByTimeAsync(2000);
  };
  return { told, server, answer };
}

/** A brew that runs, under a key of its own, since what is acknowledged is remembered by key. */
function running(seq = 1): BenchBrew {
  const store = createStore();
  const key = crypto.randomUUID();
  store.dispatch(brewLaidOut({ ...LAID_OUT, key }));
  const [brew] = selectBrews(store.getState());
  if (!brew) throw new Error('nothing was laid out');
  return { ...brew, seq, run: { marks: [{ stepIndex: 0, atMs: 1000, skipped: false }] } };
}

beforeEach(() => {
  localStorage.clear();
  vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] });
});
afterEach(() => {
  vi.useRealTimers();
});

describe('what the server is told of a running brew', () => {
  it('is its newest state, asked again until it is taken', async () => {
    const { told, server, answer } = slowServer();
    let bench = [running(1)];
    const tell = () => keepOnServer(() => bench, server);
    tell();
    for (const seq of [2, 3]) {
      bench = bench.map((brew) => ({ ...brew, seq }));
      tell();
    }
    await answer(false);
    await answer(true);
    await answer(true);
    expect(told).toEqual(['keep 1', 'keep 3']);
    tell();
    expect(told).toHaveLength(2);
  });

  it('is that it was cleared, behind the change that is still on its way, until it is taken', async () => {
    const { told, server, answer } = slowServer();
    const brew = running();
    let bench = [brew];
    keepOnServer(() => bench, server);
    noteCleared(brew.key);
    bench = [];
    keepOnServer(() => bench, server);
    expect(told).toEqual(['keep 1']);
    for (const isTaken of [true, false, true]) await answer(isTaken);
    expect(told).toEqual(['keep 1', 'clear', 'clear']);
    keepOnServer(() => bench, server);
    expect(told).toHaveLength(3);
  });

  it('is its state again where it was put back, whatever the server made of the clearing', async () => {
    const { told, server, answer } = slowServer();
    const brew = running();
    let bench = [brew];
    keepOnServer(() => bench, server);
    await answer(true);
    noteCleared(brew.key);
    bench = [];
    keepOnServer(() => bench, server);
    // Put back while the clearing is on its way.
    bench = [{ ...brew, seq: 2 }];
    keepOnServer(() => bench, server);
    await answer(true);
    await answer(true);
    expect(told).toEqual(['keep 1', 'clear', 'keep 2']);
  });

  it('is nothing before the clock runs', () => {
    const { told, server } = slowServer();
    keepOnServer(() => [{ ...running(), run: { marks: [] } }], server);
    expect(told).toEqual([]);
  });
});
