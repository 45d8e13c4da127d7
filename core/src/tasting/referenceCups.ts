import { atLeast, shareInterval } from '../statistics/binomialTails.js';
import { grouped } from '../statistics/grouped.js';

/**
 * What a taster looks for in reference cups: a little more water, a dry cup among two that are not, or the known cup again
 * beside another coffee.
 */
export const REFERENCE_KINDS = ['strength', 'dryness', 'repeat'] as const;
export type ReferenceKind = (typeof REFERENCE_KINDS)[number];

/** Differences of strength that are worth looking for, % TDS: what a recipe's window is wide, and a third of it. */
export const REFERENCE_STEPS = [0.15, 0.1, 0.05] as const;

/** Right by guessing: the odd one of three; of two the known one. */
const GUESSING: Record<ReferenceKind, number> = { strength: 1 / 3, dryness: 1 / 3, repeat: 1 / 2 };

/** One set of cups that somebody tasted. */
export interface ReferenceTrial {
  kind: ReferenceKind;
  /** Of strength, % TDS; `null` of the other kinds. */
  differencePercent: number | null;
  isRight: boolean;
}

/** How somebody did with cups of one kind. */
export interface ReferenceRecord {
  kind: ReferenceKind;
  differencePercent: number | null;
  trials: number;
  right: number;
  /** What guessing alone gives on average. */
  byGuessing: number;
  /** Share of sets in which he found it, guessing taken out, and where it lies 95 % of the time; none is below 0. */
  found: { value: number; low: number; high: number };
  /** Guessing gives so many less than once in twenty times. */
  isMoreThanGuessing: boolean;
}

const RARE = 0.05;

/** What one person's sets say, kind by kind; the largest difference first. It compares nobody with anybody. */
export function referenceRecords(trials: readonly ReferenceTrial[]): ReferenceRecord[] {
  const groups = grouped(trials, ({ kind, differencePercent }) => `${kind} ${differencePercent ?? ''}`);
  return [...groups.values()]
    .flatMap((own): ReferenceRecord[] => {
      const [first] = own;
      if (!first) return [];
      const { kind, differencePercent } = first;
      const right = own.filter(({ isRight }) => isRight).length;
      const guessing = GUESSING[kind];
      const found = (share: number) => Math.max(0, (share - guessing) / (1 - guessing));
      const { low, high } = shareInterval(right, own.length);
      return [
        {
          kind,
          differencePercent,
          trials: own.length,
          right,
          byGuessing: guessing * own.length,
          found: { value: found(right / own.length), low: found(low), high: found(high) },
          isMoreThanGuessing: atLeast(right, own.length, guessing) <= RARE,
        },
      ];
    })
    .sort(
      (a, b) =>
        REFERENCE_KINDS.indexOf(a.kind) - REFERENCE_KINDS.indexOf(b.kind) ||
        (b.differencePercent ?? 0) - (a.differencePercent ?? 0),
    );
}

/**
 * Water that takes a cup down by some strength, g.
 *
 * @param cupG - what is in the cup
 * @param tdsPercent - its strength, above the difference
 *
 * Source: solids are conserved, T m = (T - d) (m + w).
 */
export function dilutionG({
  cupG,
  tdsPercent,
  differencePercent,
}: {
  cupG: number;
  tdsPercent: number;
  differencePercent: number;
}): number {
  return (cupG * differencePercent) / (tdsPercent - differencePercent);
}
