import { fewestUnlikely } from './binomialTails.js';

/**
 * Fewest of some tasters who must agree on one of two before chance makes so uneven a split with probability `alpha` or
 * less, whichever way.
 *
 * @returns `null` where even all of them would not do
 */
export function fewestPreferring({ assessors, alpha }: { assessors: number; alpha: number }): number | null {
  return fewestUnlikely(assessors, 0.5, alpha / 2);
}
