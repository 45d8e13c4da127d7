import { linearRegression, median } from 'simple-statistics';
import { outOfRange, type OutOfRange } from '../input/ranges.js';
import { failure, type Failure } from '../result.js';

/** What the scale under the brewer showed during a brew, as columns of equal length. */
export interface Trace {
  /** Time on the brew clock, ms; rising. */
  atMs: readonly number[];
  /** Water on the scale since the tare, g. */
  massG: readonly number[];
}

/** Where a scale was silent: dead, out of reach or taken away. */
export interface TraceGap {
  fromMs: number;
  toMs: number;
}

/** Silence longer than this is a gap, ms: a scale at 10 Hz that misses a dozen readings. */
export const GAP_MS = 1500;
/** An hour at 10 Hz. */
export const MOST_SAMPLES = 36_000;
export const TRACE_RANGES = {
  atMs: { low: -60_000, high: 3_600_000, unit: 'ms' },
  massG: { low: -1000, high: 10_000, unit: 'g' },
};
/** What stands on the scale is looked at for so long, ms: one knock is not the middle of five readings. */
const STANDING_MS = 500;
/** Flow is the slope over this long, ms: shorter is noise, longer is late. */
const FLOW_WINDOW_MS = 1600;
const FEWEST_FOR_FLOW = 4;

/** What is wrong with a trace; `null` where nothing is. */
export function traceFault({
  atMs,
  massG,
}: Trace): OutOfRange | Failure<'uneven' | 'too-long' | 'not-rising'> | null {
  if (atMs.length !== massG.length) {
    return failure(
      'uneven',
      `A trace has as many times as masses; these are ${atMs.length} and ${massG.length}.`,
    );
  }
  if (atMs.length > MOST_SAMPLES) {
    return failure('too-long', `A trace takes at most ${MOST_SAMPLES} samples; this one has ${atMs.length}.`);
  }
  let beforeMs = -Infinity;
  for (const [index, sampleMs] of atMs.entries()) {
    const fault =
      outOfRange(`trace.atMs.${index}`, sampleMs, TRACE_RANGES.atMs) ??
      outOfRange(`trace.massG.${index}`, massG[index] ?? NaN, TRACE_RANGES.massG);
    if (fault) return fault;
    if (sampleMs <= beforeMs)
      return failure('not-rising', `Times of a trace rise; sample ${index} does not.`);
    beforeMs = sampleMs;
  }
  return null;
}

/**
 * The stretches in which the scale was silent.
 *
 * @param untilMs - now, or the end of the brew: silence up to there counts too
 */
export function traceGaps({ atMs }: Trace, untilMs?: number): TraceGap[] {
  const ends = untilMs === undefined ? atMs.slice(1) : [...atMs.slice(1), untilMs];
  return ends.flatMap((toMs, index) => {
    const fromMs = atMs[index];
    return fromMs !== undefined && toMs - fromMs > GAP_MS ? [{ fromMs, toMs }] : [];
  });
}

/**
 * Flow into the brewer at a moment, g/s: the slope of the mass over the last second and a half, by least squares.
 *
 * @returns `null` where the scale says too little
 */
export function flowAtGps({ atMs, massG }: Trace, momentMs: number): number | null {
  const last = lastIndexAt(atMs, momentMs);
  const points: [number, number][] = [];
  for (let index = last; index >= 0; index--) {
    const sampleMs = atMs[index] ?? 0;
    if (momentMs - sampleMs > FLOW_WINDOW_MS) break;
    points.push([sampleMs / 1000, massG[index] ?? 0]);
  }
  return points.length < FEWEST_FOR_FLOW ? null : linearRegression(points).m;
}

/** What the scale showed last, g; `null` before its first reading or while it is silent. */
export function massAtG({ atMs, massG }: Trace, momentMs: number): number | null {
  const last = lastIndexAt(atMs, momentMs);
  const sampleMs = atMs[last];
  if (sampleMs === undefined || momentMs - sampleMs > GAP_MS) return null;
  return massG[last] ?? null;
}

/** By halving: a long trace is asked many times a second. */
function lastIndexAt(atMs: readonly number[], momentMs: number): number {
  let [low, high] = [-1, atMs.length - 1];
  while (low < high) {
    const middle = Math.ceil((low + high) / 2);
    if ((atMs[middle] ?? Infinity) <= momentMs) low = middle;
    else high = middle - 1;
  }
  return low;
}

/** What stands on the scale at a moment, g, whatever knocks it: the middle reading of the last half second. */
export function standingMassG(trace: Trace, momentMs: number): number | null {
  if (massAtG(trace, momentMs) === null) return null;
  const last = lastIndexAt(trace.atMs, momentMs);
  const latest: number[] = [];
  for (let index = last; index >= 0 && (trace.atMs[index] ?? 0) > momentMs - STANDING_MS; index--) {
    latest.push(trace.massG[index] ?? 0);
  }
  return latest.length === 0 ? (trace.massG[last] ?? null) : median(latest);
}
