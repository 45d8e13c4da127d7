const SEA_LEVEL_PRESSURE_PA = 101_325;
const SEA_LEVEL_TEMPERATURE_K = 288.15;
const LAPSE_RATE_K_PER_M = 0.0065;
const BAROMETRIC_EXPONENT = 5.255_88;

/**
 * Mean air pressure at an elevation, Pa.
 *
 * @param elevationM - metres above sea level, -500 to 11,000 (the troposphere)
 *
 * Source: ICAO Standard Atmosphere, Doc 7488, troposphere: p = p0 (1 - L h / T0)^(g M / R L).
 */
export function airPressurePa({ elevationM }: { elevationM: number }): number {
  return (
    SEA_LEVEL_PRESSURE_PA *
    Math.pow(1 - (LAPSE_RATE_K_PER_M * elevationM) / SEA_LEVEL_TEMPERATURE_K, BAROMETRIC_EXPONENT)
  );
}
