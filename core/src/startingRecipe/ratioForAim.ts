import type { ExtractionWindow } from '../extraction/extractionMap.js';

/** The ratio that brings strength and yield to their aim together, and how far a push may take it. */
export interface RatioForAim {
  /** What was gone for: the middle of the window. */
  yieldPercent: number;
  tdsPercent: number;
  /** Water the bed is expected to keep, g per g of dose, by the model for this kit. */
  retainedGPerG: number;
  ratio: number;
  /** Ratios at which strength still lies well inside its window, at that yield. */
  tightest: number;
  widest: number;
}

/** Share of the strength's window on each side that no push may use up: the first brew is a forecast (assumed). */
const KEPT_CLEAR = 0.25;
/** No aim takes the ratio beyond these (a little outside common practice's 14 to 17). */
const ENDS = { low: 13.5, high: 18.5 };

/**
 * Ratio at which a yield gives a strength: beverage = water - retained x dose and yield = strength x beverage / dose,
 * so water / dose = retained + yield / strength (mass balance, computed).
 *
 * @param retainedGPerG - g/g, of all the bed keeps
 * @example ratioForAim({ tdsLowPercent: 1.2, tdsHighPercent: 1.4, yieldLowPercent: 18.5, yieldHighPercent: 21.5 }, 1.9).ratio // 17.3
 */
export function ratioForAim(
  { tdsLowPercent, tdsHighPercent, yieldLowPercent, yieldHighPercent }: ExtractionWindow,
  retainedGPerG: number,
): RatioForAim {
  const yieldPercent = (yieldLowPercent + yieldHighPercent) / 2;
  const tdsPercent = (tdsLowPercent + tdsHighPercent) / 2;
  const clear = KEPT_CLEAR * (tdsHighPercent - tdsLowPercent);
  const at = (strength: number) =>
    Math.round(Math.min(ENDS.high, Math.max(ENDS.low, retainedGPerG + yieldPercent / strength)) * 10) / 10;
  return {
    yieldPercent,
    tdsPercent,
    retainedGPerG: Math.round(retainedGPerG * 100) / 100,
    ratio: at(tdsPercent),
    tightest: at(tdsHighPercent - clear),
    widest: at(tdsLowPercent + clear),
  };
}

/**
 * Where on its line a ratio comes nearest to the middle of the window, strength and yield counted in shares of the
 * window's half-widths: strength above the middle by as much as the yield is below it, or the other way round. A ratio
 * whose line misses the window was chosen for its strength: that is gone for, and the yield is what it comes to.
 */
export function meetingPoint(
  { tdsLowPercent, tdsHighPercent, yieldLowPercent, yieldHighPercent }: ExtractionWindow,
  { ratio, retainedGPerG }: { ratio: number; retainedGPerG: number },
): { yieldPercent: number; tdsPercent: number } {
  const [yieldPercent, tdsPercent] = [
    (yieldLowPercent + yieldHighPercent) / 2,
    (tdsLowPercent + tdsHighPercent) / 2,
  ];
  const [halfYield, halfTds] = [
    (yieldHighPercent - yieldLowPercent) / 2,
    (tdsHighPercent - tdsLowPercent) / 2,
  ];
  const beverageGPerG = Math.max(1, ratio - retainedGPerG);
  const off = (yieldPercent - beverageGPerG * tdsPercent) / (halfYield + beverageGPerG * halfTds);
  if (Math.abs(off) > 1) return { yieldPercent: beverageGPerG * tdsPercent, tdsPercent };
  return { yieldPercent: yieldPercent - off * halfYield, tdsPercent: tdsPercent + off * halfTds };
}
