import { useSyncExternalStore } from 'react';
import type { RunningBrewDto } from '@vendu/contract';
import { benchScaleOf } from './benchScales';
import type { BenchBrew } from './benchSlice';

/** What the server has of a brew that runs here. */
export type Safety = 'here' | 'on-server';
/** The two things the server is told of a running brew; each answers whether the server has taken it. */
export interface Server {
  keep: (key: string, brew: RunningBrewDto) => Promise<boolean>;
  clear: (key: string) => Promise<boolean>;
}

/** A server that did not answer is asked again after so long, ms. */
const AGAIN_MS = 2000;

const acknowledged = new Map<string, number>();
/** Cleared off the bench, which the server may not know yet. */
const cleared = new Set<string>();
const telling = new Set<string>();
const listeners = new Set<() => void>();

/** A brew is taken off the bench without being stored. */
export function noteCleared(key: string): void {
  cleared.add(key);
}

/**
 * Tells the server of every change of every brew that runs here, the newest state only, and of what was cleared, one
 * after the other until it has it. The device's own copy is written first and is what the brew goes on with.
 */
export function keepOnServer(brews: () => readonly BenchBrew[], server: Server): void {
  const ahead = brews()
    .filter((brew) => brew.run.marks.length > 0 && isAhead(brew))
    .map(({ key }) => key);
  for (const key of new Set([...ahead, ...cleared])) {
    if (!telling.has(key)) void tellUntilTaken(key, brews, server);
  }
}

/** Whether the server lacks something of this brew. */
function isAhead({ key, seq }: BenchBrew): boolean {
  return (acknowledged.get(key) ?? -1) < seq;
}

async function tellUntilTaken(
  key: string,
  brews: () => readonly BenchBrew[],
  { keep, clear }: Server,
): Promise<void> {
  telling.add(key);
  for (;;) {
    const brew = brews().find((each) => each.key === key);
    // Put back, it is not cleared any more.
    if (brew) cleared.delete(key);
    let isTaken;
    if (brew && isAhead(brew)) {
      isTaken = await keep(key, runningBrewOf(brew));
      if (isTaken) acknowledged.set(key, brew.seq);
    } else if (cleared.has(key)) {
      isTaken = await clear(key);
      if (isTaken) {
        cleared.delete(key);
        acknowledged.delete(key);
      }
    } else {
      break;
    }
    if (isTaken) for (const listener of listeners) listener();
    else await new Promise((resolve) => setTimeout(resolve, AGAIN_MS));
  }
  telling.delete(key);
}

function runningBrewOf(brew: BenchBrew): RunningBrewDto {
  const startMs = brew.run.marks[0]?.atMs;
  const scale = benchScaleOf(brew.key);
  return {
    seq: Math.max(1, brew.seq),
    lotName: brew.lotName,
    brewerName: brew.brewerName,
    // What the forecast knows can be had anew; without it the state stays small.
    state: JSON.stringify({ ...brew, ground: null }),
    trace: startMs !== undefined && scale ? scale.traceFrom(startMs) : null,
  };
}

const subscribe = (listener: () => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};

/** Where a running brew is safe. */
export function useSafety({ key, seq }: BenchBrew): Safety {
  return useSyncExternalStore(subscribe, () => ((acknowledged.get(key) ?? -1) >= seq ? 'on-server' : 'here'));
}
