/** Terms of the correlation: factor in uPa s and exponent of the reduced temperature. */
const TERMS: readonly (readonly [factor: number, exponent: number])[] = [
  [280.68, -1.9],
  [511.45, -7.7],
  [61.131, -19.6],
  [0.459_03, -40],
];

/**
 * Dynamic viscosity of water at 0.1 MPa, Pa s. Hot water is less than a third as viscous as cold, which
 * is why a kettle changes the drain time.
 *
 * @param temperatureC - -20 to 110
 * @example waterViscosityPaS({ temperatureC: 90 }) // 0.0003142
 *
 * Source: IAPWS R12-08 (2008), the simplified correlation for 0.1 MPa (from memory): mu = 1e-6 sum a_i
 * (T / 300 K)^b_i.
 */
export function waterViscosityPaS({ temperatureC }: { temperatureC: number }): number {
  const reduced = (temperatureC + 273.15) / 300;
  return 1e-6 * TERMS.reduce((sum, [factor, exponent]) => sum + factor * Math.pow(reduced, exponent), 0);
}
