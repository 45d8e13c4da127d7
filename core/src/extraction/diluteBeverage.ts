/**
 * Bypass: water added to the finished beverage. Solids stay and mass grows, so strength falls and the
 * yield is unchanged.
 *
 * @param tdsPercent - strength before, % by mass
 * @param beverageG - mass before, g, above 0
 * @param bypassG - water added, g, 0 or more
 * @returns strength (% by mass) and mass (g) after
 * @example diluteBeverage({ tdsPercent: 1.5, beverageG: 180, bypassG: 15 }) // tdsPercent 1.3846…, beverageG 195
 */
export function diluteBeverage({
  tdsPercent,
  beverageG,
  bypassG,
}: {
  tdsPercent: number;
  beverageG: number;
  bypassG: number;
}): { tdsPercent: number; beverageG: number } {
  const dilutedG = beverageG + bypassG;
  return { tdsPercent: (tdsPercent * beverageG) / dilutedG, beverageG: dilutedG };
}
