/**
 * Serving orders balanced for position and for first-order carry-over: every sample stands in every
 * position, and follows every other sample, equally often.
 *
 * @param sampleCount - 2 or more
 * @returns orders of sample numbers from 0; as many as samples for an even count, twice as many for an odd one
 * @throws RangeError below two samples
 * @example servingOrders({ sampleCount: 4 })[0] // [0, 1, 3, 2]
 *
 * Source: Williams, Aust. J. Sci. Res. A 2 (1949) 149. The first order zigzags 0, 1, n-1, 2, n-2, ...; each
 * next one adds 1 to all, and an odd count needs the mirror images too.
 */
export function servingOrders({ sampleCount }: { sampleCount: number }): number[][] {
  if (!Number.isInteger(sampleCount) || sampleCount < 2) {
    throw new RangeError(`a comparison needs two samples or more, got ${sampleCount}`);
  }
  const first = zigzag(sampleCount);
  const shifted = Array.from({ length: sampleCount }, (_, shift) =>
    first.map((sample) => (sample + shift) % sampleCount),
  );
  return sampleCount % 2 === 0 ? shifted : [...shifted, ...shifted.map((order) => [...order].reverse())];
}

function zigzag(count: number): number[] {
  return Array.from({ length: count }, (_, position) =>
    position % 2 === 1 ? (position + 1) / 2 : (count - position / 2) % count,
  );
}
