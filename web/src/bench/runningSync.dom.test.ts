import { act, renderHook } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { RunningBrewDto } from '@vendu/contract';
import type { BrewEntry } from '@vendu/core';
import { createStore } from '../app/store';
import { LAID_OUT } from '../testing/fixtures';
import type { BenchBrew } from './benchBrew';
import { brewLaidOut, selectBrews } from './benchSlice';
import {
  keepOnServer,
  noteCleared,
  takeOver,
  toldBy,
  useSafety,
  type Server,
  type Told,
} from './runningSync';

/** A server that answers when it is let, and keeps in order what it was told. */
function slowServer() {
  const told: string[] = [];
  const sent: number[][] = [];
  const answers: ((told: Told) => void)[] = [];
  const hear = (words: string) => {
    told.push(words);
    return new Promise<Told>((resolve) => answers.push(resolve));
  };
  const server: Server = {
    keep: (_: string, { seq, takesOver, entries }: RunningBrewDto) => {
      sent.push(entries.map(({ number }) => number));
      return hear(`keep ${seq}${takesOver ? ', taking it over' : ''}`);
    },
    clear: () => hear('clear'),
  };
  const answerWith = async (what: Told, forMs = 2000) => {
    answers.shift()?.(what);
    await vi.advanceTimersByTimeAsync(forMs);
  };
  const answer = (isTaken: boolean) => answerWith({ kind: isTaken ? 'taken' : 'again' });
  return { told, sent, server, answer, answerWith };
}

const FIRST_MARK: BrewEntry = {
  device: 'd',
  number: 1,
  atMs: 1000,
  kind: 'marked',
  stepIndex: 0,
  skipped: false,
  by: 'hand',
};

/** A brew that runs, under a key of its own, since what is acknowledged is remembered by key. */
function running(seq = 1): BenchBrew {
  const store = createStore();
  const key = crypto.randomUUID();
  store.dispatch(brewLaidOut({ ...LAID_OUT, key }));
  const [brew] = selectBrews(store.getState());
  if (!brew) throw new Error('nothing was laid out');
  return { ...brew, seq, log: [FIRST_MARK] };
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

  it('is of the log what it has not said that it has', async () => {
    const { sent, server, answer } = slowServer();
    let bench = [running(1)];
    const tell = () => keepOnServer(() => bench, server);
    tell();
    await answer(true);
    const more: BrewEntry[] = [2, 3].map((number) => ({ ...FIRST_MARK, number, kind: 'first-drip' }));
    bench = bench.map((brew) => ({ ...brew, seq: 2, log: [FIRST_MARK, ...more] }));
    tell();
    await answer(false);
    await answer(true);
    expect(sent).toEqual([[1], [2, 3], [2, 3]]);
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
    keepOnServer(() => [{ ...running(), log: [] }], server);
    expect(told).toEqual([]);
  });

  it('is not repeated where the server will not have it, until it changes', async () => {
    const { told, server, answer, answerWith } = slowServer();
    let bench = [running(1)];
    const tell = () => keepOnServer(() => bench, server);
    const { result } = renderHook(() => useSafety(bench[0] as BenchBrew));
    tell();
    await act(() => answerWith({ kind: 'refused', words: 'Too long.' }, 600_000));
    tell();
    expect(told).toEqual(['keep 1']);
    expect(result.current).toMatchObject({ isOnServer: false, refusal: 'Too long.' });
    bench = bench.map((brew) => ({ ...brew, seq: 2 }));
    tell();
    await act(() => answer(true));
    expect(told).toEqual(['keep 1', 'keep 2']);
    expect(result.current.refusal).toBeNull();
  });

  it('is asked for less and less often by a server that does not answer', async () => {
    const { told, server, answerWith } = slowServer();
    const brew = running();
    keepOnServer(() => [brew], server);
    for (let count = 0; count < 6; count++) await answerWith({ kind: 'again' }, 2000);
    // 2 s, 4 s and 8 s are over after 12 s of asking; a fixed pace would have asked six times more.
    expect(told.length).toBeLessThan(4);
  });

  it('is nothing more once another device has the brew, until it is taken back', async () => {
    const { told, server, answer, answerWith } = slowServer();
    let bench = [running(1)];
    const tell = () => keepOnServer(() => bench, server);
    const { result } = renderHook(() => useSafety(bench[0] as BenchBrew));
    tell();
    await act(() =>
      answerWith({ kind: 'elsewhere', words: 'Joss is continuing this brew on another bench.' }),
    );
    bench = bench.map((brew) => ({ ...brew, seq: 2 }));
    tell();
    expect(told).toEqual(['keep 1']);
    expect(result.current.elsewhere).toContain('Joss');
    act(() => takeOver(bench[0]?.key ?? ''));
    tell();
    await act(() => answer(true));
    expect(told).toEqual(['keep 1', 'keep 2, taking it over']);
    expect(result.current).toEqual({ isOnServer: true, refusal: null, elsewhere: null });
  });
});

describe('what became of what the server was told', () => {
  const problem = (status: number) => ({
    error: { status, data: { type: '/problems/x', detail: 'Why.', errors: [] } },
  });

  it.each<[string, Parameters<typeof toldBy>[0], Told]>([
    ['an answer', {}, { kind: 'taken' }],
    ['no answer', { error: { status: 'FETCH_ERROR', error: 'x' } }, { kind: 'again' }],
    ['a database that is down', problem(503), { kind: 'again' }],
    ['a session that has ended', problem(401), { kind: 'again' }],
    ['too many at once', problem(429), { kind: 'again' }],
    ['another device', problem(409), { kind: 'elsewhere', words: 'Why.' }],
    ['a body that is too large', problem(413), { kind: 'refused', words: 'Why.' }],
    ['a field that cannot be', problem(422), { kind: 'refused', words: 'Why.' }],
  ])('is read out of %s', (_, answer, told) => {
    expect(toldBy(answer)).toEqual(told);
  });
});
