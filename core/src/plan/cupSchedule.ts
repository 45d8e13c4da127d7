import { outOfRange, type OutOfRange, type Range } from '../input/ranges.js';
import { byKind, list, shapeFault, type Shape } from '../input/shape.js';
import { formatDuration } from '../quantity/duration.js';
import { failure, success, type Failure, type Result } from '../result.js';

/** When the cup of a split brew is changed: by the clock or by the scale, evenly or at moments of one's own. */
export type CupSchedule =
  | { kind: 'time'; everyS: number }
  | { kind: 'mass'; everyG: number }
  | { kind: 'times'; atS: readonly number[] }
  | { kind: 'masses'; atG: readonly number[] };

/** What a schedule goes by. */
export type CupUnit = 's' | 'g';

/** A hand needs so long, or so much water, between two changes; and no brew is longer or larger. */
const CUP_RANGES = {
  everyS: { low: 3, high: 600, unit: 's' },
  everyG: { low: 5, high: 500, unit: 'g' },
  atS: { low: 3, high: 3600, unit: 's' },
  atG: { low: 5, high: 3000, unit: 'g' },
} as const satisfies Record<string, Range>;
/** A row of cups that fits on a bench. */
const MOST_CUP_CHANGES = 20;

const KINDS: Readonly<Record<CupSchedule['kind'], Readonly<Record<string, Shape>>>> = {
  time: { everyS: 'number' },
  mass: { everyG: 'number' },
  times: { atS: list('number') },
  masses: { atG: list('number') },
};
/** What a schedule has to look like before its figures are looked at. */
export const CUP_SCHEDULE = byKind(KINDS);

export function cupUnit({ kind }: CupSchedule): CupUnit {
  return kind === 'time' || kind === 'times' ? 's' : 'g';
}

/**
 * The mark of a change of cups, s or g as {@link cupUnit} says.
 *
 * @param change - counted from 0
 * @returns `null` where the schedule has no such change
 */
export function cupMark(schedule: CupSchedule, change: number): number | null {
  switch (schedule.kind) {
    case 'time':
      return (change + 1) * schedule.everyS;
    case 'mass':
      return (change + 1) * schedule.everyG;
    case 'times':
      return schedule.atS[change] ?? null;
    case 'masses':
      return schedule.atG[change] ?? null;
  }
}

/** All marks below an end, s or g; of an even schedule those that a brew of this length comes to. */
export function cupMarks(schedule: CupSchedule, below: number): number[] {
  const marks: number[] = [];
  for (
    let mark = cupMark(schedule, 0);
    mark !== null && mark < below;
    mark = cupMark(schedule, marks.length)
  ) {
    marks.push(mark);
  }
  return marks;
}

const ALL = new Intl.ListFormat('en-GB', { type: 'conjunction' });

/** A schedule as it is said: `every 30 s`, `at 0:40, 1:15 and 2:00`, `at 90 and 150 g on the scale`. */
export function cupScheduleWords(schedule: CupSchedule): string {
  switch (schedule.kind) {
    case 'time':
      return `every ${schedule.everyS} s`;
    case 'mass':
      return `every ${schedule.everyG} g on the scale`;
    case 'times':
      return `at ${ALL.format(schedule.atS.map(formatDuration))}`;
    case 'masses':
      return `at ${ALL.format(schedule.atG.map(String))} g on the scale`;
  }
}

/** The same row of cups of a larger or smaller brew: masses go with it, the clock stays. */
export function scaledCups(schedule: CupSchedule, by: number): CupSchedule {
  const scaled = (massG: number) => Math.round(massG * by);
  switch (schedule.kind) {
    case 'time':
    case 'times':
      return schedule;
    case 'mass':
      return { ...schedule, everyG: scaled(schedule.everyG) };
    case 'masses':
      return { ...schedule, atG: schedule.atG.map(scaled) };
  }
}

const EXAMPLE = 'every 30 s, 0:40 1:15 2:00, or 90 150 g';
const EVERY = /^(?:a cup )?every (\d{1,4})\s*(s|g)$/;
const MARK: Record<CupUnit, RegExp> = { s: /^\d{1,3}:[0-5]\d$|^\d{1,4}$/, g: /^\d{1,4}$/ };

/**
 * Reads a schedule as it is spoken: `every 30 s`, `every 60 g`, `0:40 1:15 2:00`, `40, 75 and 120 s`, `90 150 210 g`.
 * Whole seconds on the brew clock; whole grams on the scale.
 *
 * @example parseCupSchedule('0:40 1:15') // value { kind: 'times', atS: [40, 75] }
 */
export function parseCupSchedule(text: string): Result<CupSchedule, Failure<'empty' | 'not-a-schedule'>> {
  const said = text
    .trim()
    .toLowerCase()
    .replace(/ on the scale$/, '');
  if (said === '') return failure('empty', `Enter when the cup is changed: ${EXAMPLE}.`);
  const schedule = evenly(said) ?? atMarks(said);
  if (schedule === null)
    return failure('not-a-schedule', `“${text.trim()}” is no row of cups; write ${EXAMPLE}.`);
  const amiss = cupScheduleFault(schedule);
  return amiss ? failure('not-a-schedule', amiss.message) : success(schedule);
}

function evenly(said: string): CupSchedule | null {
  const [, every, unit] = EVERY.exec(said) ?? [];
  if (every === undefined) return null;
  return unit === 's' ? { kind: 'time', everyS: Number(every) } : { kind: 'mass', everyG: Number(every) };
}

function atMarks(said: string): CupSchedule | null {
  const unit: CupUnit = said.endsWith('g') ? 'g' : 's';
  const words = said
    .replace(/^at /, '')
    .replace(/\s*[sg]$/, '')
    .split(/[\s,;]+(?:and )?/);
  if (!words.every((word) => MARK[unit].test(word))) return null;
  return unit === 's'
    ? { kind: 'times', atS: words.map(secondsOf) }
    : { kind: 'masses', atG: words.map(Number) };
}

function secondsOf(word: string): number {
  const [first = 0, second] = word.split(':').map(Number);
  return second === undefined ? first : first * 60 + second;
}

/** @returns the first thing that keeps a schedule from being followed by a hand, in words; or `null` */
export function cupScheduleFault(value: unknown): OutOfRange | null {
  const misshapen = shapeFault(value, CUP_SCHEDULE);
  if (misshapen) return misshapen;
  const schedule = value as CupSchedule;
  switch (schedule.kind) {
    case 'time':
      return inWords(
        outOfRange('everyS', schedule.everyS, CUP_RANGES.everyS),
        ({ value: everyS }) => `A cup every ${everyS} s`,
      );
    case 'mass':
      return inWords(
        outOfRange('everyG', schedule.everyG, CUP_RANGES.everyG),
        ({ value: everyG }) => `A cup every ${everyG} g`,
      );
    case 'times':
      return marksFault('atS', schedule.atS, CUP_RANGES.everyS.low);
    case 'masses':
      return marksFault('atG', schedule.atG, CUP_RANGES.everyG.low);
  }
}

function marksFault(field: 'atS' | 'atG', marks: readonly number[], leastApart: number): OutOfRange | null {
  const { low, high, unit } = CUP_RANGES[field];
  const counted = outOfRange(field, marks.length, { low: 1, high: MOST_CUP_CHANGES, unit: '' });
  if (counted) return inWords(counted, ({ value: changes }) => `Cups are changed ${changes} times`);
  for (const [index, mark] of marks.entries()) {
    const least = index === 0 ? low : (marks[index - 1] ?? 0) + leastApart;
    const fault = outOfRange(`${field}.${index}`, mark, { low: least, high, unit });
    if (fault)
      return inWords(fault, ({ value: at }) => `Change ${index + 1} of the cups is at ${at} ${unit}`);
  }
  return null;
}

function inWords(fault: OutOfRange | null, said: (fault: OutOfRange) => string): OutOfRange | null {
  return fault && { ...fault, message: `${said(fault)}; allowed: ${fault.allowed}.` };
}
