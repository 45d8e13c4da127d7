/**
 * What is left of a store after a step in which it empties at a steady rate: a rational form of exp(-x), of second
 * order, which stays positive and falls to nothing however long the step.
 *
 * @param x - rate times length of the step, 0 or more
 */
export function left(x: number): number {
  return 1 / (1 + x * (1 + x / 2));
}

/** How much of what is added evenly during such a step is in the store at its end: (1 - left) / x, defined at 0. */
export function leftOfAdded(x: number): number {
  return (1 + x / 2) * left(x);
}

/** The mean over such a step of what was added evenly during it: (1 - leftOfAdded) / x, defined at 0. */
export function meanOfAdded(x: number): number {
  return ((1 + x) / 2) * left(x);
}
