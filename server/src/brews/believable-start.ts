import { addMinutes, isAfter, isBefore, subSeconds } from 'date-fns';
import type { BenchEvent, StepDone } from '@vendu/core';

/** Before this no brew was recorded here; a device whose clock has lost its battery says 1970. */
export const EARLIEST_BREW = new Date('2020-01-01T00:00:00Z');
/** Clocks of two machines are seldom further apart. */
const AHEAD_MIN = 10;

/**
 * When a brew was begun, by a device whose clock may be off: what cannot be is told as an event, and the brew is
 * taken to have ended now.
 */
export function believableStart(
  { startMs, steps }: { startMs: number; steps: readonly Pick<StepDone, 'atS'>[] },
  now: Date,
): { startedAt: Date; clockOff: BenchEvent[] } {
  const told = new Date(startMs);
  if (!isBefore(told, EARLIEST_BREW) && !isAfter(told, addMinutes(now, AHEAD_MIN))) {
    return { startedAt: told, clockOff: [] };
  }
  const event: BenchEvent = { kind: 'clock-off', atS: 0, said: told.toISOString() };
  return { startedAt: subSeconds(now, steps.at(-1)?.atS ?? 0), clockOff: [event] };
}
