import { atLeast } from './binomialTails.js';
import { fewestCorrect, GUESSING, type DiscriminationMethod } from './discrimination.js';
import { fewestPreferring } from './pairedPreference.js';

/** Methods whose answers are right or wrong, or for one of two. */
export interface BlindPlan {
  method: DiscriminationMethod;
  /** Chance of a false alarm that is allowed. */
  alpha: number;
  /** Share of people who notice the difference, or prefer one for a reason, 0 to 1; the others guess. */
  noticing: number;
}

/**
 * Chance that so many tasters find a difference that a share of them notices.
 *
 * @param assessors - answers, 1 or more
 * @returns 0 where even all right would not do
 *
 * Source: guessers among those who notice, Abbott's formula, as in ISO 4120 annex A; the tail exact.
 */
export function blindPower({
  method,
  alpha,
  noticing,
  assessors,
}: BlindPlan & { assessors: number }): number {
  const fewest =
    method === 'paired'
      ? fewestPreferring({ assessors, alpha })
      : fewestCorrect({ method, assessors, alpha });
  if (fewest === null) return 0;
  const right = noticing + (1 - noticing) * GUESSING[method];
  return atLeast(fewest, assessors, right);
}

const MOST_ASSESSORS = 200;

/**
 * Fewest tasters that find it with at least this chance, and go on finding it with one or two more: the count of right
 * answers steps, so that one more taster may lose a little.
 *
 * @returns `null` where two hundred would not do
 */
export function assessorsNeeded(plan: BlindPlan & { power: number }): number | null {
  for (let assessors = 1; assessors <= MOST_ASSESSORS; assessors++) {
    const holds = [0, 1, 2].every(
      (more) => blindPower({ ...plan, assessors: assessors + more }) >= plan.power,
    );
    if (holds) return assessors;
  }
  return null;
}
