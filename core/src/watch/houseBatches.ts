import jStat from 'jstat';
import { mean } from 'simple-statistics';

/** How far new batches moved recipes of the house. */
export interface HouseBatches {
  batches: number;
  recipes: number;
  /** Root mean square of their shifts of strength, percent TDS. */
  spreadPercent: number;
  /** The next one lies within so much, either way, nine times of ten, percent TDS. */
  withinPercent: number;
}

/** Fewer batches than this say nothing of a house (assumed). */
const FEWEST = 3;
/** Nine of ten lie between these two quantiles. */
const UPPER = 0.95;

/**
 * What a new batch is to be expected to do where its own recipe had none yet: as the house's other recipes fared.
 *
 * @param shifts - of strength against the proof, percent TDS, for each recipe those of its batches
 * @returns `null` where there are too few to say
 *
 * Source: Student's quantile for a spread estimated around 0 from as many shifts as there are (NIST/SEMATECH e-Handbook 1.3.6.7.2).
 */
export function houseBatches(shifts: readonly (readonly number[])[]): HouseBatches | null {
  const all = shifts.flat();
  if (all.length < FEWEST) return null;
  const spreadPercent = Math.sqrt(mean(all.map((shift) => shift ** 2)));
  return {
    batches: all.length,
    recipes: shifts.filter((own) => own.length > 0).length,
    spreadPercent,
    withinPercent: jStat.studentt.inv(UPPER, all.length) * spreadPercent,
  };
}

/** In a sentence. */
export function houseBatchesWords({ batches, recipes, spreadPercent, withinPercent }: HouseBatches): string {
  const of = recipes === 1 ? 'one recipe' : `${recipes} recipes`;
  return `No batch came after its proof yet. ${batches} new batches of ${of} here moved strength by ${spreadPercent.toFixed(2)} % (root mean square): expect it within ±${withinPercent.toFixed(2)} %, nine times of ten.`;
}
