import { outOfRange } from '../input/ranges.js';
import { MOST_SAMPLES, TRACE_RANGES, type Trace } from './trace.js';

/**
 * A curve that can be kept, of whatever a scale and the device beside it have made: samples that cannot be are left
 * out (no number, out of range, a time that does not rise), and what was read after an hour. A scale that
 * reads faster than an hour of 10 Hz has room for is thinned evenly, its last sample kept.
 *
 * @param read - columns of any length and content
 * @param options.most - samples to keep at most
 * @returns a trace without a fault; empty where nothing of it can be kept
 */
export function storableTrace(
  { atMs, massG }: { atMs: readonly unknown[]; massG: readonly unknown[] },
  { most = MOST_SAMPLES }: { most?: number } = {},
): Trace {
  const kept = samplesOf(atMs, massG);
  const stride = Math.max(1, Math.ceil(kept.length / most));
  const thinned =
    stride === 1 ? kept : kept.filter((_, index) => (kept.length - 1 - index) % stride === 0).map(rounded);
  return { atMs: thinned.map((sample) => sample.atMs), massG: thinned.map((sample) => sample.massG) };
}

interface Sample {
  atMs: number;
  massG: number;
}

function samplesOf(atMs: readonly unknown[], massG: readonly unknown[]): Sample[] {
  const samples: Sample[] = [];
  let beforeMs = -Infinity;
  for (const [index, timeMs] of atMs.entries()) {
    const mass = massG[index];
    if (!isWithin(timeMs, TRACE_RANGES.atMs) || !isWithin(mass, TRACE_RANGES.massG) || timeMs <= beforeMs) {
      continue;
    }
    samples.push({ atMs: timeMs, massG: mass });
    beforeMs = timeMs;
  }
  return samples;
}

function isWithin(value: unknown, range: { low: number; high: number; unit: string }): value is number {
  return typeof value === 'number' && outOfRange('', value, range) === null;
}

/** No scale under a brewer shows more than a hundredth of a gram; written so, a long curve fits a request. */
function rounded({ atMs, massG }: Sample): Sample {
  return { atMs, massG: Math.round(massG * 100) / 100 };
}
