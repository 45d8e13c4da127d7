/** Kept closed and cool a filter roast is at its best for about so long, days (common practice: four to eight weeks). */
const BEST_FOR_DAYS = 42;

/** How long to leave the coffee after its roast, from when it was proven. */
export function restAdvice({ from, to }: { from: number; to: number }): string {
  const days = from === to ? `${from} days` : `${from} to ${to} days`;
  return `Proven ${days} from roast: let a fresher bag rest until then. Kept closed and cool it is at its best for about ${BEST_FOR_DAYS / 7} weeks.`;
}
