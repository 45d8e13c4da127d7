/** A brew of a version that is public: of its proof, or made since. */
export interface WatchedBrew {
  id: number;
  /** Count within the lot. */
  number: number;
  startedAt: string;
  by: string;
  roastBatchId: number;
  roastedOn: string;
  roastAgeDays: number;
  /** Kit by the names that it had. */
  grinder: string;
  brewer: string;
  paper: string;
  water: string | null;
  tdsPercent: number | null;
  /** `null` without a weighed beverage. */
  yieldPercent: number | null;
  drainS: number | null;
  /** Mean of its sheets, 1 to 9. */
  liked: number | null;
}

export const WATCHED_FIGURES = ['strength', 'yield', 'drain', 'liking'] as const;
export type WatchedFigure = (typeof WATCHED_FIGURES)[number];

export function figureOf(brew: WatchedBrew, figure: WatchedFigure): number | null {
  const values: Record<WatchedFigure, number | null> = {
    strength: brew.tdsPercent,
    yield: brew.yieldPercent,
    drain: brew.drainS,
    liking: brew.liked,
  };
  return values[figure];
}
