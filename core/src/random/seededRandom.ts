/**
 * A repeatable stream of numbers in [0, 1): mulberry32 by Tommy Ettinger (public domain). Good enough for
 * demo noise and test fuzzing, never for secrets.
 */
export function seededRandom(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let mixed = state;
    mixed = Math.imul(mixed ^ (mixed >>> 15), mixed | 1);
    mixed ^= mixed + Math.imul(mixed ^ (mixed >>> 7), mixed | 61);
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4_294_967_296;
  };
}

/** One draw from a normal distribution (Box and Muller, Ann. Math. Stat. 29 (1958) 610). */
export function normalDraw(random: () => number, { mean, sd }: { mean: number; sd: number }): number {
  const radius = Math.sqrt(-2 * Math.log(1 - random()));
  return mean + sd * radius * Math.cos(2 * Math.PI * random());
}
