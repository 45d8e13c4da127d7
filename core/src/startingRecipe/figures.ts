/** The figures of a starting recipe that rules push, each with its unit. */
export interface StartingFigures {
  /** g of water per g of dose. */
  ratio: number;
  kettleC: number;
  grindUm: number;
  /** Bloom water as a multiple of the dose. */
  bloomMultiple: number;
  /** How long the bloom is held, s. */
  bloomS: number;
  /** Pours after the bloom. */
  mainPours: number;
  /** Swirls of the bed after the bloom: 0 or 1. */
  bloomSwirls: number;
  drawdownS: number;
  /** Whether the brew begins with a bloom: 0 or 1. */
  bloomed: number;
  /** Flow of the stream, g/s. */
  flowGps: number;
  /** Share of the drain time in which the water should all be in the brewer, %. */
  pouredByPercent: number;
  /** Whether the brewer is lifted off at the drain time: 0 or 1. */
  lifted: number;
  /** Water added to the finished beverage, % of the water poured. */
  bypassPercent: number;
}
export type Figure = keyof StartingFigures;

/**
 * The house recipe: the fixed point from which every lot's recipe departs. The middle of the spans of
 * common practice (1:14-1:17, 88-98 C, 1.4-3.8x, 20-60 s, 1:15-4:00), of the stream the slower side of it (about 10
 * g/s); the grind is a medium one (assumed), and half of the time is for pouring, which comes nearest to the drain times of
 * practice (`./vendu bench practice`).
 */
export const HOUSE_FIGURES: StartingFigures = {
  ratio: 16,
  kettleC: 94,
  grindUm: 700,
  bloomMultiple: 2.5,
  bloomS: 40,
  mainPours: 2,
  bloomSwirls: 1,
  drawdownS: 165,
  bloomed: 1,
  flowGps: 8,
  pouredByPercent: 50,
  lifted: 0,
  bypassPercent: 0,
};

/** The hard ends of each figure; pushes never leave them. Common practice, except where noted. */
export const FIGURE_LIMITS: Record<Figure, { low: number; high: number; step: number }> = {
  ratio: { low: 14, high: 17, step: 0.1 },
  kettleC: { low: 88, high: 98, step: 1 },
  // Assumed: below 450 um the brew model is not to be trusted, above 1200 um few filter grinders are measured.
  grindUm: { low: 450, high: 1200, step: 10 },
  bloomMultiple: { low: 1.5, high: 3.8, step: 0.1 },
  bloomS: { low: 20, high: 60, step: 5 },
  mainPours: { low: 1, high: 4, step: 1 },
  bloomSwirls: { low: 0, high: 1, step: 1 },
  drawdownS: { low: 75, high: 360, step: 5 },
  bloomed: { low: 0, high: 1, step: 1 },
  flowGps: { low: 4, high: 12, step: 0.5 },
  pouredByPercent: { low: 40, high: 80, step: 5 },
  lifted: { low: 0, high: 1, step: 1 },
  bypassPercent: { low: 0, high: 10, step: 1 },
};
