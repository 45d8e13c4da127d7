import { atLeast, fewestUnlikely } from './binomialTails.js';

/** Blind tests in which guessing alone is right now and then. */
export type DiscriminationMethod = 'triangle' | 'duo-trio' | 'paired';

/**
 * Chance of a right answer by guessing. Triangle: one of three (ISO 4120); duo-trio: one of two
 * (ISO 10399); directional paired comparison: one of two (ISO 5495).
 */
export const GUESSING: Record<DiscriminationMethod, number> = {
  triangle: 1 / 3,
  'duo-trio': 1 / 2,
  paired: 1 / 2,
};

/**
 * Probability that guessing alone gives this many right answers or more: the exact binomial tail,
 * one-sided as in the standards.
 *
 * @param assessors - answers given, a whole number of 1 or more
 * @param correct - of them right, 0 to `assessors`
 * @throws RangeError on counts that cannot be
 * @example discriminationPValue({ method: 'triangle', assessors: 12, correct: 8 }) // 0.0188
 */
export function discriminationPValue({
  method,
  assessors,
  correct,
}: {
  method: DiscriminationMethod;
  assessors: number;
  correct: number;
}): number {
  if (
    !Number.isInteger(assessors) ||
    !Number.isInteger(correct) ||
    correct < 0 ||
    correct > assessors ||
    assessors < 1
  ) {
    throw new RangeError(`cannot have ${correct} right of ${assessors}`);
  }
  return atLeast(correct, assessors, GUESSING[method]);
}

/**
 * Fewest right answers that guessing reaches with probability `alpha` or less.
 *
 * @returns `null` where even all right would not do: too few assessors for this alpha
 * @example fewestCorrect({ method: 'triangle', assessors: 12, alpha: 0.05 }) // 8
 */
export function fewestCorrect({
  method,
  assessors,
  alpha,
}: {
  method: DiscriminationMethod;
  assessors: number;
  alpha: number;
}): number | null {
  return fewestUnlikely(assessors, GUESSING[method], alpha);
}
