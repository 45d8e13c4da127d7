import { format, parseISO } from 'date-fns';

/** @example dayOf('2026-11-20T09:00:00Z') // '20 Nov 2026' */
export function dayOf(isoText: string): string {
  return format(parseISO(isoText), 'd MMM yyyy');
}

export function dayAndTimeOf(isoText: string): string {
  return format(parseISO(isoText), 'd MMM, HH:mm');
}

/** Where the year is plain. */
export function shortDayOf(moment: Date): string {
  return format(moment, 'd MMM');
}
