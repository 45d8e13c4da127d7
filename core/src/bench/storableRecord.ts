import { cutTo, wellFormed } from '../text/wellFormed.js';
import type { BenchEvent } from './benchEvents.js';
import type { StepDone } from './planAgainstActual.js';

/** What a record of a brew has room for. */
export const RECORD = {
  /** Two hours: a clock that nobody stopped ends there, s. */
  longestS: 7200,
  mostSteps: 40,
  mostEvents: 200,
  heaviestG: 5000,
  longestNote: 2000,
  longestScaleName: 120,
} as const;

interface Record {
  steps: readonly StepDone[];
  events: readonly BenchEvent[];
  note: string;
}

/**
 * What a bench has of a brew, made such that the record takes it: a brew that was brewed is never lost for a clock that
 * was left on or jumped, a scale that fell silent a thousand times or showed less than nothing, or a text
 * that was cut inside a character. What already fits stays as it is.
 */
export function storableRecord<T extends Record>(record: T): T {
  const mended: Record = {
    steps: inOrder(record.steps.slice(0, RECORD.mostSteps)),
    events: withRoom(record.events).map(storableEvent),
    note: wellFormed(cutTo(record.note, RECORD.longestNote)),
  };
  return { ...record, ...mended };
}

function inOrder(steps: readonly StepDone[]): StepDone[] {
  let beforeS = 0;
  return steps.map((step) => {
    beforeS = Math.max(beforeS, timeS(step.atS));
    return { ...step, atS: beforeS, totalG: totalG(step.totalG) };
  });
}

/** A scale that flickers tells the same again and again: the first times tell enough. */
function withRoom(events: readonly BenchEvent[]): readonly BenchEvent[] {
  if (events.length <= RECORD.mostEvents) return events;
  const isFlicker = ({ kind }: BenchEvent) => kind === 'scale-lost' || kind === 'scale-back';
  const others = events.filter((event) => !isFlicker(event)).length;
  let losses = Math.max(0, RECORD.mostEvents - others);
  return events.filter((event) => !isFlicker(event) || losses-- > 0).slice(0, RECORD.mostEvents);
}

function storableEvent(event: BenchEvent): BenchEvent {
  const timed = { ...event, atS: timeS(event.atS) };
  return timed.kind === 'cup-changed' ? { ...timed, massG: totalG(timed.massG) } : timed;
}

function timeS(atS: number): number {
  return Number.isFinite(atS) ? Math.min(Math.max(atS, 0), RECORD.longestS) : 0;
}

/** What no scale under a brewer shows is no total. */
function totalG(shownG: number | null): number | null {
  return shownG !== null && shownG >= 0 && shownG <= RECORD.heaviestG ? shownG : null;
}
