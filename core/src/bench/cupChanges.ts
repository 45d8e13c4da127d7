/** When the cup of a split brew is changed: never, by hand alone, at even times, or at even masses on the scale. */
export type CupRule = { kind: 'none' } | { kind: 'time'; everyS: number } | { kind: 'mass'; everyG: number };

/** A change is called this long before its time, s. */
const CALLED_AHEAD_S = 2;
/** And this far before its mass: about a second of outflow, g (assumed). */
const CALLED_AHEAD_G = 3;

/**
 * Whether the cup is to be changed now. The first cup stands from the start; changes made count, however early or late.
 *
 * @param massG - what the scale shows; `null` where nobody knows, and then no mass comes due
 */
export function isCupDue({
  rule,
  changes,
  elapsedS,
  massG,
}: {
  rule: CupRule;
  changes: number;
  elapsedS: number;
  massG: number | null;
}): boolean {
  switch (rule.kind) {
    case 'none':
      return false;
    case 'time':
      return elapsedS >= (changes + 1) * rule.everyS - CALLED_AHEAD_S;
    case 'mass':
      return massG !== null && massG >= (changes + 1) * rule.everyG - CALLED_AHEAD_G;
  }
}
