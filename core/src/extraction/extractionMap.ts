import { ASSUMED_RETAINED } from './retainedWater.js';

/** A window of strength and yield that a house aims at. Both in %. */
export interface ExtractionWindow {
  tdsLowPercent: number;
  tdsHighPercent: number;
  yieldLowPercent: number;
  yieldHighPercent: number;
}

/**
 * The classic window of the strength and yield chart.
 *
 * Source: Lockhart, Coffee Brewing Institute, 1957 (from memory). A house replaces it with its own.
 */
export const CLASSIC_WINDOW: ExtractionWindow = {
  tdsLowPercent: 1.15,
  tdsHighPercent: 1.35,
  yieldLowPercent: 18,
  yieldHighPercent: 22,
};

/**
 * Strength on the line of one ratio: where a brew of this ratio lies on the map at a given yield,
 * TDS = EY x dose / (water - retained x dose).
 *
 * @param waterPerDose - ratio, g of water per g of dose, above the retained water
 * @returns % by mass
 * @example ratioLineTdsPercent({ yieldPercent: 20, waterPerDose: 1000 / 55 }) // 1.236
 */
export function ratioLineTdsPercent({
  yieldPercent,
  waterPerDose,
  retainedGPerG = ASSUMED_RETAINED.midGPerG,
}: {
  yieldPercent: number;
  waterPerDose: number;
  retainedGPerG?: number;
}): number {
  return yieldPercent / (waterPerDose - retainedGPerG);
}

export type WindowSide = 'below' | 'inside' | 'above';

/** Where a point lies against the window, for strength and for yield apart. */
export function placeInWindow({
  tdsPercent,
  yieldPercent,
  window,
}: {
  tdsPercent: number;
  yieldPercent: number;
  window: ExtractionWindow;
}): { strength: WindowSide; yield: WindowSide } {
  return {
    strength: side(tdsPercent, window.tdsLowPercent, window.tdsHighPercent),
    yield: side(yieldPercent, window.yieldLowPercent, window.yieldHighPercent),
  };
}

function side(value: number, low: number, high: number): WindowSide {
  if (value < low) return 'below';
  return value > high ? 'above' : 'inside';
}
