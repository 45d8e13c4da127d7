const CRITICAL_TEMPERATURE_K = 647.096;
const CRITICAL_PRESSURE_PA = 22.064e6;

/** Coefficient and exponent of each term, as printed in the source. */
const TERMS: readonly (readonly [coefficient: number, exponent: number])[] = [
  [-7.859_517_83, 1],
  [1.844_082_59, 1.5],
  [-11.786_649_7, 3],
  [22.680_741_1, 3.5],
  [-15.961_871_9, 4],
  [1.801_225_02, 7.5],
];

/**
 * Vapour pressure of water at saturation, Pa.
 *
 * @param temperatureC - 0.01 to 373.9
 *
 * Source: Wagner and Pruss, J. Phys. Chem. Ref. Data 31 (2002) 387, eq. 2.5 (from memory):
 * ln(p/pc) = Tc/T sum a_i (1 - T/Tc)^n_i.
 */
export function saturationPressurePa({ temperatureC }: { temperatureC: number }): number {
  const temperatureK = temperatureC + 273.15;
  const reduced = 1 - temperatureK / CRITICAL_TEMPERATURE_K;
  const sum = TERMS.reduce(
    (total, [coefficient, exponent]) => total + coefficient * Math.pow(reduced, exponent),
    0,
  );
  return CRITICAL_PRESSURE_PA * Math.exp((CRITICAL_TEMPERATURE_K / temperatureK) * sum);
}
