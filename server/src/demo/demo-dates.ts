import { min, subDays } from 'date-fns';

/** A working hour some days ago; today's is never later than now. */
export function momentDaysAgo(days: number, hourUtc: number): Date {
  const moment = new Date(`${dateDaysAgo(days)}T${String(hourUtc).padStart(2, '0')}:12:00Z`);
  return min([moment, new Date()]);
}

export function dateDaysAgo(days: number): string {
  return subDays(new Date(), days).toISOString().slice(0, 10);
}

/** A row that the scenario names by its place; a place that is not there is a slip in the scenario. */
export function at<T>(rows: readonly T[], index: number): T {
  const row = rows[index];
  if (row === undefined) throw new Error(`the demo scenario refers to row ${index} of ${rows.length}`);
  return row;
}
