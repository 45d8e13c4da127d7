/** Two ends of a span of temperatures, either of which may be open. */
export function spanWords(lowC: number | null, highC: number | null): string {
  if (lowC === null) return `up to ${highC} °C`;
  return highC === null ? `${lowC} °C and more` : `${lowC} to ${highC} °C`;
}
