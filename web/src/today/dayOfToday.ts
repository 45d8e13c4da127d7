import { followWindows, type DayInput, type DayPlan } from '@vendu/core';
import type { TodayPerson, TodayView } from '@vendu/contract';

/** What somebody chose for a day, on this device. */
export interface TodayChoice {
  /** Who is not in, of those whose hours it would be. */
  out: string[];
  /** Who is in although his hours are over. */
  stays: string[];
  /** Brews that wait for another day. */
  skipped: string[];
  /** As somebody ordered them; `null` where the plan does. */
  order: string[] | null;
}
export const NOTHING_CHOSEN: TodayChoice = { out: [], stays: [], skipped: [], order: null };

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

const minuteOfClock = (clock: string) => Number(clock.slice(0, 2)) * 60 + Number(clock.slice(3));

/** From when until when somebody is there today; `null` where he is not in, or no more. */
export function hoursToday(
  { name, hours }: TodayPerson,
  { out, stays }: Pick<TodayChoice, 'out' | 'stays'>,
  nowMin: number,
): { fromMin: number; toMin: number } | null {
  if (hours === null) {
    const toMin = Math.max(CLOSES_MIN, nowMin + AHEAD_MIN.shift);
    return out.includes(name) ? null : { fromMin: nowMin, toMin };
  }
  const untilMin = minuteOfClock(hours.until);
  if (untilMin <= nowMin) {
    return stays.includes(name) ? { fromMin: nowMin, toMin: nowMin + AHEAD_MIN.shift } : null;
  }
  return out.includes(name)
    ? null
    : { fromMin: Math.max(nowMin, minuteOfClock(hours.from)), toMin: untilMin };
}

/** The choice once somebody is ticked in or out. */
export function withPresence(
  { out, stays }: Pick<TodayChoice, 'out' | 'stays'>,
  { name, hours }: TodayPerson,
  { isIn, nowMin }: { isIn: boolean; nowMin: number },
): Pick<TodayChoice, 'out' | 'stays'> {
  const without = (names: readonly string[]) => names.filter((each) => each !== name);
  const isOver = hours !== null && minuteOfClock(hours.until) <= nowMin;
  return isOver
    ? { out, stays: isIn ? [...without(stays), name] : without(stays) }
    : { stays, out: isIn ? without(out) : [...without(out), name] };
}

/** The day as it is to be planned: what is left of it, with whoever is in. */
export function dayInputOf(today: TodayView, choice: TodayChoice, now: Date): DayInput {
  const nowMin = Math.floor(minuteOf(now, now));
  return {
    nowMin,
    windows: followWindows({ roomC: today.roomC }),
    jobs: today.brews
      .filter(({ id }) => !choice.skipped.includes(id))
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
      people: today.people.flatMap((person) => {
        const hours = hoursToday(person, choice, nowMin);
        return hours ? [{ name: person.name, caffeineMg: person.caffeineMg, ...hours }] : [];
      }),
    },
  };
}

/**
 * The brews as they are listed: as somebody set them, with what came since behind; else as the plan makes them, with what
 * does not fit into the day last.
 */
export function sequenceOf(
  { order, left }: Pick<DayPlan, 'order' | 'left'>,
  set: readonly string[] | null,
): string[] {
  const planned = [...order, ...left];
  if (set === null) return planned;
  return [...set.filter((id) => planned.includes(id)), ...planned.filter((id) => !set.includes(id))];
}
