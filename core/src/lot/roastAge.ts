import { differenceInCalendarDays, isValid, parseISO } from 'date-fns';

/**
 * Roast age in whole days.
 *
 * @param roastedOn - calendar date, ISO 8601 (`2026-11-20`)
 * @param onDate - calendar date of the brew, same form
 * @throws RangeError on a date that is none
 */
export function roastAgeDays({ roastedOn, onDate }: { roastedOn: string; onDate: string }): number {
  const roasted = parseISO(roastedOn);
  const day = parseISO(onDate);
  if (!isValid(roasted) || !isValid(day)) throw new RangeError(`not a date: ${roastedOn} or ${onDate}`);
  return differenceInCalendarDays(day, roasted);
}
