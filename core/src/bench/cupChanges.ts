import { cupMark, cupUnit, type CupSchedule } from '../plan/cupSchedule.js';

/** When the cup of a split brew is changed: never, by hand alone, or as a schedule says. */
export type CupRule = { kind: 'none' } | CupSchedule;

/** A change is called this long before its time, s. */
const CALLED_AHEAD_S = 2;
/** And this far before its mass: about a second of outflow, g (assumed). */
const CALLED_AHEAD_G = 3;

/** Where a brew stands with its cups. */
interface CupsSoFar {
  rule: CupRule;
  /** Changes that were made count, however early or late. */
  changes: number;
}

/** The mark of the change that comes next, and what it is of; `null` where none comes any more. */
export function nextCupChange({ rule, changes }: CupsSoFar): { mark: number; unit: 's' | 'g' } | null {
  if (rule.kind === 'none') return null;
  const mark = cupMark(rule, changes);
  return mark === null ? null : { mark, unit: cupUnit(rule) };
}

/**
 * Whether the cup is to be changed now. The first cup stands from the start.
 *
 * @param massG - what the scale shows; `null` where nobody knows, and then no mass comes due
 */
export function isCupDue({
  elapsedS,
  massG,
  ...soFar
}: CupsSoFar & { elapsedS: number; massG: number | null }): boolean {
  const next = nextCupChange(soFar);
  if (next === null) return false;
  if (next.unit === 's') return elapsedS >= next.mark - CALLED_AHEAD_S;
  return massG !== null && massG >= next.mark - CALLED_AHEAD_G;
}
