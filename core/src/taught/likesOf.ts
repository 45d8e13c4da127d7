import jStat from 'jstat';
import { sampleRankCorrelation } from 'simple-statistics';

/** Figures that liking may follow. */
const LIKED_FIGURES = ['tdsPercent', 'yieldPercent', 'kettleC', 'grindUm'] as const;
export type LikedFigure = (typeof LIKED_FIGURES)[number];

/** A brew and how well its cup was liked, 1 to 9: the mean of its sheets. */
export interface LikedBrew extends Record<LikedFigure, number> {
  number: number;
  liked: number;
}

export interface Likes {
  most: LikedBrew;
  least: LikedBrew;
  /** What liking goes with, over so many brews; `null` where chance alone would show as much. */
  follows: { figure: LikedFigure; goesUp: boolean; brews: number } | null;
}

/** Two cups are liked differently from this on, points of nine (assumed). */
const TOLD_APART = 1;
/** No figure is named by fewer brews (assumed). */
const FEWEST_BREWS = 6;
/** Four figures are tried: each is named where chance shows it once in eighty times, five of a hundred for all together. */
const LEVEL = 0.05 / LIKED_FIGURES.length;

/**
 * What a lot seems to like: its best and its least liked cup, and what liking goes with, by rank (Spearman's correlation
 * with Student's approximation; any textbook of statistics). It goes with it and need not come from it.
 *
 * @returns `null` where no two cups were liked differently
 */
export function likesOf(brews: readonly LikedBrew[]): Likes | null {
  const byLiking = [...brews].sort((a, b) => b.liked - a.liked);
  const [most, least] = [byLiking[0], byLiking.at(-1)];
  if (!most || !least || most.liked - least.liked < TOLD_APART) return null;
  return { most, least, follows: followed(brews) };
}

function followed(brews: readonly LikedBrew[]): Likes['follows'] {
  const count = brews.length;
  if (count < FEWEST_BREWS) return null;
  const liked = brews.map((brew) => brew.liked);
  const ranked = LIKED_FIGURES.flatMap((figure) => {
    const values = brews.map((brew) => brew[figure]);
    // A figure that never moved goes with nothing.
    if (new Set(values).size < 2) return [];
    return [{ figure, rho: sampleRankCorrelation(values, liked) }];
  }).sort((a, b) => Math.abs(b.rho) - Math.abs(a.rho));
  const [first] = ranked;
  if (!first) return null;
  const { figure, rho } = first;
  const t = Math.abs(rho) * Math.sqrt((count - 2) / Math.max(1e-12, 1 - rho * rho));
  const critical = jStat.studentt.inv(1 - LEVEL / 2, count - 2);
  return t > critical ? { figure, goesUp: rho > 0, brews: count } : null;
}
