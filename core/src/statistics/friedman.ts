import jStat from 'jstat';
import { rankChance } from './rankChance.js';

export interface FriedmanResult {
  /** Sum of ranks of each sample; a higher score ranks higher. */
  rankSums: number[];
  chiSquare: number;
  degreesOfFreedom: number;
  pValue: number;
  /** The probability was counted over all orders; else it is the chi-square's. */
  isCounted: boolean;
  /** Kendall's W: agreement of the assessors, 0 (none) to 1 (all rank alike). */
  concordance: number;
}

/**
 * Whether assessors who each scored every sample tell the samples apart, from the ranks alone.
 *
 * @param scores - one row per assessor, one score per sample; rows of equal length, two samples or more
 * @returns `null` when every assessor scored all samples alike: there is nothing to rank
 * @throws RangeError on rows of different lengths or too few samples
 *
 * Source: Friedman, J. Amer. Stat. Assoc. 32 (1937) 675, with mid-ranks and the usual correction for ties;
 * W = chi^2 / (n (k - 1)), Kendall and Babington Smith, Ann. Math. Stat. 10 (1939) 275. The p-value is counted
 * where there are few enough assessors, by {@link rankChance}; beyond them the chi-square is close.
 */
export function friedmanTest({ scores }: { scores: readonly (readonly number[])[] }): FriedmanResult | null {
  const samples = scores[0]?.length ?? 0;
  if (samples < 2 || scores.some((row) => row.length !== samples)) {
    throw new RangeError('every assessor must score the same two samples or more');
  }
  const ranks = scores.map(midRanks);
  const rankSums = Array.from({ length: samples }, (_, sample) =>
    ranks.reduce((sum, row) => sum + (row[sample] ?? 0), 0),
  );
  const expected = (scores.length * (samples + 1)) / 2;
  const between = rankSums.reduce((sum, rankSum) => sum + (rankSum - expected) ** 2, 0);
  const within = ranks.flat().reduce((sum, rank) => sum + (rank - (samples + 1) / 2) ** 2, 0);
  if (within === 0) return null;
  const degreesOfFreedom = samples - 1;
  const chiSquare = (degreesOfFreedom * between) / within;
  const counted = rankChance(ranks);
  return {
    rankSums,
    chiSquare,
    degreesOfFreedom,
    pValue: counted ?? 1 - jStat.chisquare.cdf(chiSquare, degreesOfFreedom),
    isCounted: counted !== null,
    concordance: chiSquare / (scores.length * degreesOfFreedom),
  };
}

/** Ranks from 1, equal scores sharing the mean of their ranks. */
function midRanks(row: readonly number[]): number[] {
  return row.map((score) => {
    const below = row.filter((other) => other < score).length;
    const equal = row.filter((other) => other === score).length;
    return below + (equal + 1) / 2;
  });
}
