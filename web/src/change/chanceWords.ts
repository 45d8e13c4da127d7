/** A chance as it is printed: never 0 or 100, which no forecast earns. */
export function chanceWords(chance: number): string {
  const percent = Math.round(chance * 100);
  if (percent < 1) return 'under 1 %';
  return percent > 99 ? 'over 99 %' : `${percent} %`;
}

/** The same as cups: `83 of 100`. */
export function cupsWords(chance: number): string {
  const cups = Math.round(chance * 100);
  if (cups < 1) return 'fewer than 1 of 100';
  return cups > 99 ? 'more than 99 of 100' : `${cups} of 100`;
}
