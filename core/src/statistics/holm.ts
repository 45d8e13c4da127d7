/**
 * Probabilities of several tests that were made together, each raised so that the chance of any false alarm among them
 * stays what it was said to be.
 *
 * Source: Holm, Scand. J. Statist. 6 (1979) 65.
 */
export function holmAdjusted(pValues: readonly number[]): number[] {
  const byRise = pValues.map((pValue, index) => ({ pValue, index })).sort((a, b) => a.pValue - b.pValue);
  const adjusted = pValues.slice();
  let highest = 0;
  for (const [rank, { pValue, index }] of byRise.entries()) {
    highest = Math.max(highest, Math.min(1, pValue * (pValues.length - rank)));
    adjusted[index] = highest;
  }
  return adjusted;
}
