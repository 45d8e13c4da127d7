/** Terms of the correlation: factor in uPa s and exponent of the reduced temperature. */
const TERMS: readonly { factor: number; exponent: number }[] = [
  { factor: 280.68, exponent: -1.9 },
  { factor: 511.45, exponent: -7.7 },
  { factor: 61.131, exponent: -19.6 },
  { factor: 0.459_03, exponent: -40 },
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
  // One logarithm serves all four powers; the brew model asks for this at every step.
  const logReduced = Math.log((temperatureC + 273.15) / 300);
  let sum = 0;
  for (const { factor, exponent } of TERMS) sum += factor * Math.exp(exponent * logReduced);
  return 1e-6 * sum;
}
