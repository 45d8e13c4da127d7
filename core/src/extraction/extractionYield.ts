/** What a percolation brew weighed and read. */
export interface PercolationMeasurement {
  /** Strength of the beverage, % by mass. */
  tdsPercent: number;
  /** Mass of the beverage as weighed, g, without bypass water added later. */
  beverageG: number;
  /** Mass of dry coffee, g, above 0. */
  doseG: number;
}

/**
 * Extraction yield of a percolation, in % of the dose: EY = TDS x beverage / dose.
 *
 * The beverage is what is in the cup, never the water poured: that would overstate the yield by the
 * share of water that the bed keeps, about an eighth.
 *
 * @throws RangeError when the dose is not above zero; callers check typed input first
 * @example extractionYieldPercent({ tdsPercent: 1.35, beverageG: 212, doseG: 16 }) // 17.8875
 *
 * Source: mass balance of dissolved solids; the form in trade use since Lockhart, Coffee Brewing
 * Institute, 1957 (from memory).
 */
export function extractionYieldPercent({ tdsPercent, beverageG, doseG }: PercolationMeasurement): number {
  requireDose(doseG);
  return (tdsPercent * beverageG) / doseG;
}

/**
 * Extraction yield of a full immersion, in % of the dose. The liquid that stays in the bed is as strong
 * as the cup, so the balance runs over all water less what the grains absorbed.
 *
 * @throws RangeError when the dose is not above zero
 */
export function immersionYieldPercent({
  tdsPercent,
  waterG,
  absorbedG,
  doseG,
}: {
  tdsPercent: number;
  waterG: number;
  absorbedG: number;
  doseG: number;
}): number {
  requireDose(doseG);
  return (tdsPercent * (waterG - absorbedG)) / doseG;
}

function requireDose(doseG: number): void {
  if (!(doseG > 0)) throw new RangeError(`doseG must be above 0, got ${doseG}`);
}
