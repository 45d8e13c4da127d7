import { describe, expect, it } from 'vitest';
import { traceLine } from './traceLine';

describe('a trace to be drawn', () => {
  it('is thinned to what a screen can show, and ends where the trace ends', () => {
    const atMs = Array.from({ length: 6000 }, (_, index) => index * 100);
    const points = traceLine({ atMs, massG: atMs.map((at) => at / 1000) });
    expect(points.length).toBeLessThan(700);
    expect(points.at(-1)).toEqual({ atS: 599.9, totalG: 599.9 });
  });

  it('breaks where the scale was silent', () => {
    const points = traceLine({ atMs: [0, 100, 9000, 9100], massG: [0, 1, 90, 91] });
    expect(points.filter(({ totalG }) => Number.isNaN(totalG))).toHaveLength(1);
    expect(traceLine({ atMs: [], massG: [] })).toEqual([]);
  });
});
