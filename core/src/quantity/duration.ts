import { failure, success, type Failure, type Result } from '../result.js';

export type DurationReason = 'empty' | 'not-a-duration' | 'seconds-past-59';

const CLOCK = /^(\d{1,3}):(\d{1,2})$/;
const SECONDS = /^(\d{1,4})\s*s?$/i;

/**
 * Reads a time on the brew clock: `1:40`, `100` or `100s`. Whole seconds; the brew clock has no finer step.
 *
 * @returns seconds
 * @example parseDurationS('1:40') // value 100
 */
export function parseDurationS(text: string): Result<number, Failure<DurationReason>> {
  const trimmed = text.trim();
  if (trimmed === '') return failure('empty', 'Enter a time, such as 1:40.');
  const clock = CLOCK.exec(trimmed);
  if (clock) {
    const seconds = Number(clock[2]);
    if (seconds > 59) {
      return failure(
        'seconds-past-59',
        `“${trimmed}” has ${seconds} seconds; write 0 to 59 after the colon.`,
      );
    }
    return success(Number(clock[1]) * 60 + seconds);
  }
  const bare = SECONDS.exec(trimmed);
  if (bare) return success(Number(bare[1]));
  return failure('not-a-duration', `“${trimmed}” is not a time; write 1:40 or 100.`);
}

/**
 * A moment of a running or stopped clock, as a stopwatch shows it: the seconds that are full.
 *
 * @param seconds - 0 or more
 * @example formatClock(148.9) // '2:28'
 */
export function formatClock(seconds: number): string {
  return formatDuration(Math.floor(seconds));
}

/**
 * @param seconds - rounded to whole seconds; negative values keep their sign
 * @example formatDuration(100) // '1:40'
 */
export function formatDuration(seconds: number): string {
  const whole = Math.round(Math.abs(seconds));
  const sign = seconds < 0 && whole > 0 ? '−' : '';
  return `${sign}${Math.floor(whole / 60)}:${String(whole % 60).padStart(2, '0')}`;
}
