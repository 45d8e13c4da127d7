/**
 * Exact two-sided test of McNemar on paired shares: of the lots where two arms differ, whether one is right more often
 * than a coin. Source: McNemar, Psychometrika 12 (1947) 153, with the binomial in place of chi-squared.
 */
export function pairedPValue(first: readonly boolean[], second: readonly boolean[]): number {
  let [onlyFirst, onlySecond] = [0, 0];
  for (const [index, isRight] of first.entries()) {
    if (isRight && !second[index]) onlyFirst += 1;
    if (!isRight && second[index]) onlySecond += 1;
  }
  const count = onlyFirst + onlySecond;
  const most = Math.max(onlyFirst, onlySecond);
  let term = 0.5 ** count;
  let tail = 0;
  // From all heads downwards, each term from the one before.
  for (let heads = count; heads >= most; heads--) {
    tail += term;
    term *= heads / (count - heads + 1);
  }
  return Math.min(1, 2 * tail);
}
