import { useSyncExternalStore } from 'react';
import type { RunningBrewDto } from '@vendu/contract';
import { benchScaleOf } from './benchScales';
import type { BenchBrew } from './benchSlice';

/** What the server has of a brew that runs here. */
export type Safety = 'here' | 'on-server';
/** Sends one state of a brew; whether the server has it now. */
type Send = (key: string, brew: RunningBrewDto) => Promise<boolean>;

/** A server that did not answer is asked again after so long, ms. */
const AGAIN_MS = 2000;

const acknowledged = new Map<string, number>();
const sending = new Set<string>();
const listeners = new Set<() => void>();

/**
 * Tells the server of every change of every brew that runs here, the newest state only, until it has it. The
 * device's own copy is written first and is what the brew goes on with.
 */
export function keepOnServer(brews: () => readonly BenchBrew[], send: Send): void {
  for (const brew of brews()) {
    if (brew.run.marks.length > 0 && isAhead(brew) && !sending.has(brew.key)) {
      void sendUntilKept(brew.key, brews, send);
    }
  }
}

/** Whether the server lacks something of this brew. */
function isAhead({ key, seq }: BenchBrew): boolean {
  return (acknowledged.get(key) ?? -1) < seq;
}

async function sendUntilKept(key: string, brews: () => readonly BenchBrew[], send: Send): Promise<void> {
  sending.add(key);
  for (
    let brew = brews().find((each) => each.key === key);
    brew && isAhead(brew);
    brew = brews().find((each) => each.key === key)
  ) {
    if (await send(key, runningBrewOf(brew))) {
      acknowledged.set(key, brew.seq);
      for (const listener of listeners) listener();
    } else {
      await new Promise((resolve) => setTimeout(resolve, AGAIN_MS));
    }
  }
  sending.delete(key);
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
