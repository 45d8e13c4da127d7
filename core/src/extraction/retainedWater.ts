/**
 * Retained water per gram of dose, g/g: what the spent bed keeps. Common practice: about 2, measured
 * between 1.2 and 2.3 depending on draining and on how one weighs.
 */
export const ASSUMED_RETAINED = { lowGPerG: 1.2, midGPerG: 2.0, highGPerG: 2.3 } as const;

/**
 * Beverage mass expected from the water poured when nobody weighed it: beverage = water - retained x dose.
 *
 * @returns g; 0 where the bed would hold all of the water
 */
export function beverageFromRetainedG({
  waterG,
  doseG,
  retainedGPerG,
}: {
  waterG: number;
  doseG: number;
  retainedGPerG: number;
}): number {
  return Math.max(0, waterG - retainedGPerG * doseG);
}

/**
 * Retained water from a weighed beverage, g per g of dose. The inverse of {@link beverageFromRetainedG}.
 *
 * @param doseG - above 0
 */
export function retainedWaterGPerG({
  waterG,
  beverageG,
  doseG,
}: {
  waterG: number;
  beverageG: number;
  doseG: number;
}): number {
  return (waterG - beverageG) / doseG;
}
