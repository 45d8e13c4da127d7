import { GAP_MS, type StaircasePoint, type Trace } from '@vendu/core';

/** As many points as a screen can show of a curve. */
const MOST_POINTS = 300;

/**
 * A trace as points to draw, thinned to what a screen can show: the last reading of each stretch. A gap of the scale
 * is a point that is no number, so that the line breaks there.
 */
export function traceLine({ atMs, massG }: Trace): StaircasePoint[] {
  const spanMs = (atMs.at(-1) ?? 0) - (atMs[0] ?? 0);
  const stretchMs = spanMs / MOST_POINTS;
  const points: StaircasePoint[] = [];
  let drawnMs = -Infinity;
  for (const [index, sampleMs] of atMs.entries()) {
    const beforeMs = atMs[index - 1];
    const isAfterGap = beforeMs !== undefined && sampleMs - beforeMs > GAP_MS;
    if (isAfterGap) points.push({ atS: sampleMs / 1000, totalG: NaN });
    if (!isAfterGap && sampleMs - drawnMs < stretchMs && index < atMs.length - 1) continue;
    points.push({ atS: sampleMs / 1000, totalG: massG[index] ?? 0 });
    drawnMs = sampleMs;
  }
  return points;
}
