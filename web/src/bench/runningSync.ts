import { useSyncExternalStore } from 'react';
import type { SerializedError } from '@reduxjs/toolkit';
import type { FetchBaseQueryError } from '@reduxjs/toolkit/query';
import type { RunningBrewDto } from '@vendu/contract';
import { entryName, storableTrace, type Trace } from '@vendu/core';
import { troubleOf } from '../api/problem';
import { deviceId } from '../device/device';
import { benchScaleOf } from './benchScales';
import { soFar, wasStarted, type BenchBrew } from './benchBrew';

/**
 * What became of what the server was told: it has it; it is to be told again; it will not have it, however often it is
 * told; or another device has the brew.
 */
export type Told =
  | { kind: 'taken' }
  | { kind: 'again' }
  | { kind: 'refused'; words: string }
  | { kind: 'elsewhere'; words: string };

/** The two things the server is told of a running brew. What it answers of another device's entries is taken up there. */
export interface Server {
  keep: (key: string, brew: RunningBrewDto) => Promise<Told>;
  clear: (key: string) => Promise<Told>;
}

/** What the server has of a brew that runs here, and why not all of it. */
export interface Safety {
  isOnServer: boolean;
  /** Why the server will not have its newest state. */
  refusal: string | null;
  /** Who goes on with it elsewhere. */
  elsewhere: string | null;
}

/** A server that did not answer is asked again after so long, then less and less often, ms. */
const AGAIN_MS = 2000;
const AGAIN_AT_MOST_MS = 30_000;

const acknowledged = new Map<string, number>();
/** Entries that the server has said it has, by brew: they are not sent again. */
const entriesThere = new Map<string, Set<string>>();
/** States that the server will not have: they are not sent again until they change. */
const refused = new Map<string, { seq: number; words: string }>();
/** Brews that another device has taken over. */
const elsewhere = new Map<string, string>();
/** Brews that this device takes over, until the server knows. */
const takingOver = new Set<string>();
/** Cleared off the bench, which the server may not know yet. */
const cleared = new Set<string>();
const telling = new Set<string>();
const listeners = new Set<() => void>();
let tellAnew: () => void = () => undefined;

/** Reads what became of it out of an answer. */
export function toldBy(answer: { error?: FetchBaseQueryError | SerializedError }): Told {
  const { error } = answer;
  if (!error) return { kind: 'taken' };
  const status = 'status' in error ? error.status : null;
  const words = troubleOf(error)?.detail ?? '';
  if (status === 409) return { kind: 'elsewhere', words };
  const isHopeless = typeof status === 'number' && status >= 400 && status < 500 && !PASSING.includes(status);
  return isHopeless ? { kind: 'refused', words } : { kind: 'again' };
}
/** Not signed in, too slow, too often: these pass. */
const PASSING: readonly number[] = [401, 408, 429];

/** A brew is taken off the bench without being stored. */
export function noteCleared(key: string): void {
  cleared.add(key);
}

/** A brew that another device had goes on here. */
export function takeOver(key: string): void {
  takingOver.add(key);
  elsewhere.delete(key);
  tellAnew();
  notify();
}

/** What to do when a brew is taken back. */
export function onTakingBack(tell: () => void): void {
  tellAnew = tell;
}

/**
 * Tells the server of every change of every brew that runs here, the newest state only, and of what was cleared, one
 * after the other until it has it. The device's own copy is written first and is what the brew goes on with.
 */
export function keepOnServer(brews: () => readonly BenchBrew[], server: Server): void {
  const ahead = brews()
    .filter((brew) => wasStarted(brew) && isToBeTold(brew))
    .map(({ key }) => key);
  for (const key of new Set([...ahead, ...cleared])) {
    if (!telling.has(key)) void tellUntilTaken(key, brews, server);
  }
}

/** Whether the server lacks something of this brew and may yet have it. */
function isToBeTold({ key, seq }: BenchBrew): boolean {
  if (elsewhere.has(key)) return false;
  if (takingOver.has(key)) return true;
  return Math.max(acknowledged.get(key) ?? -1, refused.get(key)?.seq ?? -1) < seq;
}

async function tellUntilTaken(
  key: string,
  brews: () => readonly BenchBrew[],
  { keep, clear }: Server,
): Promise<void> {
  telling.add(key);
  let waitMs = AGAIN_MS;
  for (;;) {
    const brew = brews().find((each) => each.key === key);
    // Put back, it is not cleared any more.
    if (brew) cleared.delete(key);
    let told: Told;
    if (brew && isToBeTold(brew)) {
      const isTakenOver = takingOver.has(key);
      const sent = runningBrewOf(brew, isTakenOver);
      told = await keep(key, sent);
      noteTold(brew, told, sent);
    } else if (cleared.has(key)) {
      told = await clear(key);
      if (told.kind !== 'again') forget(key);
    } else {
      break;
    }
    notify();
    if (told.kind === 'again') {
      await new Promise((resolve) => setTimeout(resolve, waitMs));
      waitMs = Math.min(waitMs * 2, AGAIN_AT_MOST_MS);
    } else {
      waitMs = AGAIN_MS;
    }
  }
  telling.delete(key);
}

function noteTold({ key, seq }: BenchBrew, told: Told, { takesOver, entries }: RunningBrewDto): void {
  if (told.kind === 'again') return;
  if (takesOver) takingOver.delete(key);
  if (told.kind === 'elsewhere') elsewhere.set(key, told.words);
  else if (told.kind === 'refused') refused.set(key, { seq, words: told.words });
  else {
    acknowledged.set(key, seq);
    refused.delete(key);
    const there = entriesThere.get(key) ?? new Set();
    for (const entry of entries) there.add(entryName(entry));
    entriesThere.set(key, there);
  }
}

/** The brew is cleared: the server knows, or another device has it and keeps it. */
function forget(key: string): void {
  for (const each of [acknowledged, refused, elsewhere, entriesThere]) each.delete(key);
  cleared.delete(key);
}

function runningBrewOf(brew: BenchBrew, takesOver: boolean): RunningBrewDto {
  const startMs = soFar(brew).run.marks[0]?.atMs;
  const scale = benchScaleOf(brew.key);
  const there = entriesThere.get(brew.key);
  const { log, ground: _, ...state } = brew;
  return {
    seq: Math.max(1, brew.seq),
    lotName: brew.lotName,
    brewerName: brew.brewerName,
    // What the forecast knows can be had anew; without it the state stays small.
    state: JSON.stringify(state),
    entries: log.filter((entry) => !there?.has(entryName(entry))),
    trace: startMs !== undefined && scale ? toldTrace(scale.traceFrom(startMs)) : null,
    device: deviceId(),
    takesOver,
  };
}

/** With every mark the curve goes again: twenty minutes at 10 Hz, or longer and coarser. */
const MOST_SAMPLES_TOLD = 12_000;

function toldTrace(recorded: Trace): RunningBrewDto['trace'] {
  const { atMs, massG } = storableTrace(recorded, { most: MOST_SAMPLES_TOLD });
  return { atMs: [...atMs], massG: [...massG] };
}

function notify(): void {
  for (const listener of listeners) listener();
}
const subscribe = (listener: () => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};

/** Where a running brew is safe. */
export function useSafety({ key, seq }: BenchBrew): Safety {
  return {
    isOnServer: useSyncExternalStore(subscribe, () => (acknowledged.get(key) ?? -1) >= seq),
    refusal: useSyncExternalStore(subscribe, () => refused.get(key)?.words ?? null),
    elsewhere: useSyncExternalStore(subscribe, () => elsewhere.get(key) ?? null),
  };
}
