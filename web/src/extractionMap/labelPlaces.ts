/** Where the number of a brew stands beside its point, px; with a thin line back where it was moved away. */
export interface LabelPlace {
  dx: number;
  dy: number;
  hasLeader: boolean;
}

interface Placed {
  id: number;
  tdsPercent: number;
  yieldPercent: number;
}

/** Points nearer than this share of the map would print their numbers on each other. */
const CLOSE = { yieldPercent: 0.07, tdsPercent: 0.07 };

/** Places about a crowd of points, in the order they are given out. */
const AROUND: readonly LabelPlace[] = [
  { dx: 9, dy: -11, hasLeader: false },
  { dx: 24, dy: 20, hasLeader: true },
  { dx: -24, dy: -20, hasLeader: true },
  { dx: -24, dy: 20, hasLeader: true },
  { dx: 36, dy: -2, hasLeader: true },
  { dx: -36, dy: 0, hasLeader: true },
  { dx: 30, dy: -30, hasLeader: true },
  { dx: 8, dy: 34, hasLeader: true },
];

/**
 * Moves the numbers of points that lie on each other apart; the last one given keeps the usual place.
 *
 * @param span - what the map covers
 */
export function labelPlaces(
  points: readonly Placed[],
  span: { tdsPercent: number; yieldPercent: number },
): Map<number, LabelPlace> {
  const isClose = (a: Placed, b: Placed) =>
    Math.abs(a.yieldPercent - b.yieldPercent) < CLOSE.yieldPercent * span.yieldPercent &&
    Math.abs(a.tdsPercent - b.tdsPercent) < CLOSE.tdsPercent * span.tdsPercent;
  const places = new Map<number, LabelPlace>();
  for (const [index, point] of [...points].reverse().entries()) {
    const taken = [...points]
      .reverse()
      .slice(0, index)
      .filter((newer) => isClose(point, newer))
      .map(({ id }) => places.get(id));
    const free = AROUND.find((place) => !taken.includes(place)) ?? AROUND[index % AROUND.length];
    if (free) places.set(point.id, free);
  }
  return places;
}
