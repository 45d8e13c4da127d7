import { outOfRange, type OutOfRange, type Range } from '../input/ranges.js';
import { failure, type Failure } from '../result.js';

/** One cup of a split brew. */
export interface Fraction {
  startS: number;
  endS: number;
  /** Mass of the cup, g. */
  beverageG: number;
  /** Strength, % by mass; `null` where it was not read. */
  tdsPercent: number | null;
  /** Whether its taste is wanted in the cup; `null` where nobody said. */
  wanted?: boolean | null;
}

export type FractionFault = OutOfRange | Failure<'no-fractions'> | Failure<'fractions-overlap'>;

const RANGES = {
  startS: { low: 0, high: 3600, unit: 's' },
  endS: { low: 0, high: 3600, unit: 's' },
  beverageG: { low: 0, high: 2000, unit: 'g' },
  tdsPercent: { low: 0, high: 25, unit: '%' },
} satisfies Record<string, Range>;

/** @returns what is wrong with a series of cups, or `null`; cups follow one another without overlap */
export function fractionFault(fractions: readonly Fraction[]): FractionFault | null {
  if (fractions.length === 0) return failure('no-fractions', 'A split brew has one cup or more.');
  let beforeS = 0;
  for (const [index, fraction] of fractions.entries()) {
    for (const field of Object.keys(RANGES) as (keyof typeof RANGES)[]) {
      const value = fraction[field];
      const fault = value === null ? null : outOfRange(`fractions.${index}.${field}`, value, RANGES[field]);
      if (fault) return fault;
    }
    if (fraction.startS < beforeS || fraction.endS <= fraction.startS) {
      return failure(
        'fractions-overlap',
        `Cup ${index + 1} must start after the one before it and end later.`,
      );
    }
    beforeS = fraction.endS;
  }
  return null;
}
