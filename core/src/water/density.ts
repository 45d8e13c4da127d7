/**
 * Density of water at atmospheric pressure, kg/m3.
 *
 * @param temperatureC - 0 to 110; above 100 the value is that of water kept liquid
 * @example waterDensityKgM3({ temperatureC: 20 }) // 998.21
 *
 * Source: Kell, J. Chem. Eng. Data 20 (1975) 97, eq. 16 (coefficients from memory, checked against
 * IAPWS-95 tables in the tests).
 */
export function waterDensityKgM3({ temperatureC: t }: { temperatureC: number }): number {
  const numerator =
    999.839_52 +
    t *
      (16.945_176 + t * (-7.987_040_1e-3 + t * (-46.170_461e-6 + t * (105.563_02e-9 - t * 280.542_53e-12))));
  return numerator / (1 + 16.879_85e-3 * t);
}
