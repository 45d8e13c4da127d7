import { followWindows, type DayInput } from '@vendu/core';
import type { TodayView } from '@vendu/contract';

/** What somebody chose for a day, on this device. */
export interface TodayChoice {
  /** Who is not in. */
  out: string[];
  /** Brews that wait for another day. */
  skipped: string[];
  /** As somebody ordered them; `null` where the plan does. */
  order: string[] | null;
}
export const NOTHING_CHOSEN: TodayChoice = { out: [], skipped: [], order: null };

const CLOSES_MIN = 18 * 60;
const NOON_MIN = 12 * 60;
/** However late it is: a shift goes on so long, and what presses has so long, min (assumed). */
const AHEAD_MIN = { shift: 180, pressing: 90 };

/** The minute of the day that a moment is, by this device's clock; beyond midnight it goes on counting. */
export function minuteOf(moment: Date, day: Date): number {
  const midnight = new Date(day.getFullYear(), day.getMonth(), day.getDate());
  return (moment.getTime() - midnight.getTime()) / 60_000;
}

/** A minute of the day as a clock shows it. */
export function clockOf(minute: number): string {
  const whole = Math.floor(minute);
  return `${String(Math.floor(whole / 60) % 24).padStart(2, '0')}:${String(whole % 60).padStart(2, '0')}`;
}

const wantedByMin = (nowMin: number) => Math.max(NOON_MIN, nowMin + AHEAD_MIN.pressing);

/** The day as it is to be planned: what is left of it, with whoever is in. */
export function dayInputOf(today: TodayView, { out, skipped }: TodayChoice, now: Date): DayInput {
  const nowMin = Math.floor(minuteOf(now, now));
  return {
    nowMin,
    windows: followWindows({ roomC: today.roomC }),
    jobs: today.brews
      .filter(({ id }) => !skipped.includes(id))
      .map(({ id, brewMin, stages, sipMg, isPressing }) => ({
        id,
        brewMin,
        stages,
        sipMg,
        dueMin: isPressing ? wantedByMin(nowMin) : null,
      })),
    afters: today.afters.map(({ brewId, drainedAt, left, sipMg }) => ({
      id: `brew-${brewId}`,
      drainedMin: minuteOf(new Date(drainedAt), now),
      left,
      sipMg,
    })),
    crew: {
      kettles: today.kettles,
      people: today.people
        .filter(({ name }) => !out.includes(name))
        .map(({ name, caffeineMg }) => ({
          name,
          caffeineMg,
          fromMin: nowMin,
          toMin: Math.max(CLOSES_MIN, nowMin + AHEAD_MIN.shift),
        })),
    },
  };
}
