import { linearRegression } from 'simple-statistics';
import type { TracePoint } from '../calibration/evidence.js';
import { standingMassG, type Trace } from '../instruments/trace.js';

/** What lies on the scale is a drip from here on, g: more than a knock leaves, less than a mouthful. */
const FIRST_DRIP_G = 1;
/** A drip stays: so long after it, ms, it still weighs. */
const STAYS_MS = 1000;
/** The outflow is the slope over this long, ms. */
const WINDOW_MS = 3000;
const FEWEST = 8;
/** A bed that has drained gives less than this share of what it gave so long before, ms. */
const HALF = 0.5;
const BEFORE_MS = 10_000;
/** It began to give less where it still gave this share of it. */
const KNEE = 0.85;
const LOOK_MS = 500;
/** Slower than this nothing runs that could end, g/s; the drips of a drained bed are slower. */
const RUNS_GPS = 0.15;
/** More at once than any bed gives: a server taken off or put on, g/s. */
const TOUCHED_GPS = 15;
const TOUCHED_MS = 1000;

// Thresholds assumed; that they find the drain of the model's beds within 10 s is tested.

/** What a scale has taken up since its first reading, on its own zero: a server on it need not be tared. */
export function sinceStart({ atMs, massG }: Trace): Trace {
  const zeroG = massG[0] ?? 0;
  return { atMs, massG: massG.map((grams) => grams - zeroG) };
}

/** @returns when the first drip fell into the server, s on the brew clock; `null` while none has */
export function firstDripS(trace: Trace): number | null {
  const { atMs, massG } = sinceStart(trace);
  for (const [index, grams] of massG.entries()) {
    const fromMs = atMs[index] ?? 0;
    if (grams < FIRST_DRIP_G) continue;
    const later = massG.filter((_, at) => (atMs[at] ?? 0) > fromMs && (atMs[at] ?? 0) <= fromMs + STAYS_MS);
    const isHeard = (atMs.at(-1) ?? 0) >= fromMs + STAYS_MS;
    if (isHeard && later.every((each) => each >= FIRST_DRIP_G / 2)) return fromMs / 1000;
  }
  return null;
}

/** @returns the outflow at a moment, g/s; `null` where the scale says too little or was touched */
export function outflowGps({ atMs, massG }: Trace, momentMs: number): number | null {
  const points: [number, number][] = [];
  for (let index = atMs.length - 1; index >= 0; index--) {
    const sampleMs = atMs[index] ?? 0;
    if (sampleMs > momentMs) continue;
    if (sampleMs <= momentMs - WINDOW_MS) break;
    points.push([sampleMs / 1000, massG[index] ?? 0]);
  }
  if (points.length < FEWEST) return null;
  const slope = linearRegression(points).m;
  return Math.abs(slope) > TOUCHED_GPS ? null : slope;
}

/**
 * When the water above the bed was gone, by the outflow: it then falls to drips within seconds. Where the server was
 * taken off or put on since the water is in, nothing is said: the eye is asked.
 *
 * @param pouredS - when all the water was in, s on the brew clock
 * @returns s on the brew clock; `null` until it is plain
 */
export function drainedS(trace: Trace, pouredS: number): number | null {
  const lastMs = trace.atMs.at(-1) ?? 0;
  const fromMs = pouredS * 1000 + WINDOW_MS;
  if (wasTouched(trace, fromMs)) return null;
  for (let momentMs = fromMs + BEFORE_MS; momentMs <= lastMs; momentMs += LOOK_MS) {
    const [now, before] = [outflowGps(trace, momentMs), outflowGps(trace, momentMs - BEFORE_MS)];
    if (now === null || before === null || before < RUNS_GPS || now > HALF * before) continue;
    let kneeMs = momentMs;
    while (kneeMs > momentMs - BEFORE_MS && (outflowGps(trace, kneeMs) ?? 0) < KNEE * before) {
      kneeMs -= LOOK_MS;
    }
    // The slope over a window belongs to its middle.
    return (kneeMs - WINDOW_MS / 2) / 1000;
  }
  return null;
}

function wasTouched({ atMs, massG }: Trace, fromMs: number): boolean {
  let first = 0;
  return atMs.some((sampleMs, index) => {
    while ((atMs[first] ?? Infinity) < sampleMs - TOUCHED_MS) first += 1;
    const lengthS = (sampleMs - (atMs[first] ?? sampleMs)) / 1000;
    if (sampleMs < fromMs || lengthS <= 0) return false;
    return (
      Math.abs((massG[index] ?? 0) - (massG[first] ?? 0)) > TOUCHED_GPS * Math.max(lengthS, TOUCHED_MS / 1000)
    );
  });
}

/** The beverage by then, every so many seconds, for the forecast of a running brew. */
export function outflowPoints(
  trace: Trace,
  { everyS, untilS }: { everyS: number; untilS: number },
): TracePoint[] {
  const own = sinceStart(trace);
  return Array.from({ length: Math.floor(untilS / everyS) }, (_, index) => (index + 1) * everyS).flatMap(
    (atS) => {
      const beverageG = standingMassG(own, atS * 1000);
      return beverageG === null ? [] : [{ atS, beverageG }];
    },
  );
}
