import { differenceInCalendarDays } from 'date-fns';

/** Whole days from a date or a moment until today; `null` where there is none. Days are UTC's, as roast ages are. */
export function daysSince(moment: Date | string | null): number | null {
  return moment === null ? null : differenceInCalendarDays(utcDay(new Date()), utcDay(new Date(moment)));
}

export function daysUntil(date: string | null): number | null {
  const since = daysSince(date);
  // Today is 0 days away, not minus 0.
  return since === null ? null : 0 - since;
}

function utcDay(moment: Date): Date {
  return new Date(moment.getUTCFullYear(), moment.getUTCMonth(), moment.getUTCDate());
}
