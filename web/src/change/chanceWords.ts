/** A chance as it is printed: never 0 or 100, which no forecast earns. */
export function chanceWords(chance: number): string {
  const percent = Math.round(chance * 100);
  if (percent < 1) return 'under 1 %';
  return percent > 99 ? 'over 99 %' : `${percent} %`;
}
