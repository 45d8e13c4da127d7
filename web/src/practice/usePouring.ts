import { useEffect, useEffectEvent, useRef, useState } from 'react';
import {
  FASTEST_GPS,
  normalDraw,
  seededRandom,
  tilted,
  type BrewerSeen,
  type SimulatedBrewer,
  type Trace,
} from '@vendu/core';
import { brewNowMs } from '../device/brewClock';

/** The kettle moves this often, ms; the scale shows every second step. */
const STEP_MS = 50;
/** A pointer so far below where it was pressed pours as fast as a spout gives, px. */
const FULL_TILT_PX = 220;
/** Noise of the simulated scale, g. */
const NOISE_G = 0.04;

export type Held = { by: 'key' } | { by: 'pointer'; distancePx: number } | null;

interface Pouring {
  isRunning: boolean;
  elapsedS: number;
  massG: number;
  flowGps: number;
  trace: Trace;
  /** The brewer that is poured into; `null` before, or where there is none. */
  seen: BrewerSeen | null;
}

const EMPTY: Pouring = {
  isRunning: false,
  elapsedS: 0,
  massG: 0,
  flowGps: 0,
  trace: { atMs: [], massG: [] },
  seen: null,
};

/**
 * Pours simulated water onto a simulated scale: the clock starts when the hand first pours and ends by itself.
 *
 * @param brewer - made anew for each run
 * @param onOver - gets what the scale saw
 */
export function usePouring({
  lastsS,
  brewer,
  onOver,
}: {
  lastsS: number;
  brewer: () => SimulatedBrewer | null;
  onOver: (trace: Trace) => void;
}) {
  const [pouring, setPouring] = useState(EMPTY);
  const [held, setHeld] = useState<Held>(null);
  const hand = useRef<Held>(null);
  const tellOver = useEffectEvent(onOver);
  const makeBrewer = useEffectEvent(brewer);
  const { isRunning } = pouring;
  useEffect(() => {
    if (!isRunning) return undefined;
    const startMs = brewNowMs();
    const random = seededRandom(startMs);
    const into = makeBrewer();
    const atMs: number[] = [];
    const massG: number[] = [];
    let flowGps = 0;
    let pouredG = 0;
    let beforeMs = startMs;
    let step = 0;
    const timer = setInterval(() => {
      const nowMs = brewNowMs();
      const stepS = (nowMs - beforeMs) / 1000;
      beforeMs = nowMs;
      ({ flowGps } = tilted({ flowGps }, wantedOf(hand.current), stepS));
      pouredG += flowGps * stepS;
      step += 1;
      const elapsedMs = nowMs - startMs;
      into?.pass({ toS: elapsedMs / 1000, pouredG });
      if (step % 2 === 0 && elapsedMs > (atMs.at(-1) ?? -1)) {
        atMs.push(elapsedMs);
        massG.push(Math.round((pouredG + normalDraw(random, { mean: 0, sd: NOISE_G })) * 10) / 10);
      }
      const trace = { atMs, massG };
      const isOver = elapsedMs >= lastsS * 1000;
      setPouring({
        isRunning: !isOver,
        elapsedS: elapsedMs / 1000,
        massG: massG.at(-1) ?? 0,
        flowGps,
        trace,
        seen: into?.seen() ?? null,
      });
      if (isOver) tellOver({ atMs: [...atMs], massG: [...massG] });
    }, STEP_MS);
    return () => clearInterval(timer);
  }, [isRunning, lastsS]);
  return {
    pouring,
    held,
    /** What the hand does from now on. */
    hold: (next: Held) => {
      hand.current = next;
      setHeld(next);
      if (next !== null && !isRunning && pouring.trace.atMs.length === 0) {
        setPouring({ ...EMPTY, isRunning: true });
      }
    },
    /** Clears the scale for another run. */
    again: () => setPouring(EMPTY),
  };
}

function wantedOf(held: Held): number | 'more' | null {
  if (held === null) return null;
  return held.by === 'key' ? 'more' : (held.distancePx / FULL_TILT_PX) * FASTEST_GPS;
}
