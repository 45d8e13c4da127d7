import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { storableTrace } from './storableTrace.js';
import { traceFault } from './trace.js';

/** A scale that reads so often for so long, filling at 1 g/s. */
function reading({ everyMs, forS }: { everyMs: number; forS: number }) {
  const atMs = Array.from({ length: Math.floor((forS * 1000) / everyMs) }, (_, index) => index * everyMs);
  return { atMs, massG: atMs.map((each) => each / 1000) };
}

describe('the curve of a scale', () => {
  it('is kept as it came where nothing is wrong with it', () => {
    const trace = { atMs: [0, 100, 200], massG: [0, 1.234567, 2.9] };
    expect(storableTrace(trace)).toEqual(trace);
  });

  it('is thinned evenly where the scale reads faster than there is room for, and keeps its end', () => {
    // 80 Hz for ten minutes: 48,000 samples.
    const fast = reading({ everyMs: 12.5, forS: 600 });
    const kept = storableTrace(fast);
    expect(traceFault(kept)).toBeNull();
    expect(kept.atMs).toHaveLength(24_000);
    expect(kept.atMs.at(-1)).toBe(fast.atMs.at(-1));
    expect(new Set(kept.atMs.slice(1).map((each, index) => each - (kept.atMs[index] ?? 0)))).toEqual(
      new Set([25]),
    );
  });

  it('ends after an hour, however long the scale was left on', () => {
    const kept = storableTrace(reading({ everyMs: 1000, forS: 3 * 3600 }));
    expect(kept.atMs.at(-1)).toBe(3_600_000);
  });

  it('goes on after a clock that was set back, and past what is no number', () => {
    expect(storableTrace({ atMs: [0, 100, 50, 200, '300', 400], massG: [0, 1, 2, 3, 4, null] })).toEqual({
      atMs: [0, 100, 200],
      massG: [0, 1, 3],
    });
    expect(storableTrace({ atMs: [0, 1, 2], massG: [0] })).toEqual({ atMs: [0], massG: [0] });
    expect(storableTrace({ atMs: [NaN], massG: [Infinity] })).toEqual({ atMs: [], massG: [] });
  });

  it('has no fault afterwards, whatever came', () => {
    const anything = fc.array(
      fc.oneof(fc.double(), fc.integer({ min: -100_000, max: 5_000_000 }), fc.anything()),
    );
    fc.assert(
      fc.property(anything, anything, fc.integer({ min: 1, max: 20 }), (atMs, massG, most) => {
        const kept = storableTrace({ atMs, massG }, { most });
        expect(traceFault(kept)).toBeNull();
        expect(kept.atMs.length).toBeLessThanOrEqual(most);
      }),
    );
  });
});
