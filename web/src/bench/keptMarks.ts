import {
  BEFORE_LOGS,
  entryFault,
  eventsOfRecord,
  logOfRecord,
  storableEntry,
  type BrewEntry,
  type BrewLog,
  type StepDone,
} from '@vendu/core';

/** What was kept, as long as nobody has looked at it. */
type Kept = Record<string, unknown>;

interface KeptMark {
  stepIndex: number;
  atMs: number;
  skipped: boolean;
}

/**
 * The log of a brew as benches kept it before there were logs: marks, and what had become of all else. What was taken back
 * then is not known any more; what cannot be read is left out, but never a mark.
 *
 * @returns `null` where a mark cannot be read: a brew without one of its marks is another brew
 */
export function logOfKeptMarks(kept: Kept): BrewLog | null {
  const run = kept['run'];
  const marks = isObject(run) ? marksOf(run['marks']) : null;
  if (marks === null) return null;
  const startMs = marks[0]?.atMs ?? 0;
  const endMs = marks.at(-1)?.atMs ?? startMs;
  const moved = listOf(kept['moved']).filter(isObject);
  const events = listOf(kept['events']).filter(isObject).filter(isTimed);
  const told: Kept[] = [
    ...listOf(kept['prepared']).map((task) => ({ kind: 'prepared', atMs: startMs, task })),
    ...listOf(kept['leftOut']).map((task) => ({ kind: 'left-out', atMs: startMs, task })),
    { kind: 'cups-planned', atMs: startMs, rule: kept['cups'] },
    ...logOfRecord({
      device: BEFORE_LOGS,
      startMs,
      steps: marks.map((mark) => stepOf(mark, startMs, kept['totalsG'])),
      events: eventsOfRecord(events as unknown as Parameters<typeof eventsOfRecord>[0]),
    }).map((entry) => ({ ...entry })),
    ...listOf(kept['answered']).map((pourNumber) => ({
      kind: 'miss-answered',
      atMs: endMs,
      pourNumber,
      byG: moved.find(({ fromPour }) => fromPour === Number(pourNumber) + 1)?.['byG'] ?? 0,
    })),
    { kind: 'noted', atMs: endMs, text: kept['note'] },
  ];
  return told
    .map(
      (each, index) =>
        storableEntry({ ...each, device: BEFORE_LOGS, number: index + 1 }) as unknown as BrewEntry,
    )
    .filter((entry) => entryFault(entry) === null);
}

function isObject(value: unknown): value is Kept {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}

function listOf(value: unknown): unknown[] {
  return Array.isArray(value) ? value : [];
}

/** Events said in words what they were. */
function isTimed(event: Kept): boolean {
  return Number.isFinite(event['atS']) && typeof event['text'] === 'string';
}

function marksOf(value: unknown): KeptMark[] | null {
  return Array.isArray(value) && value.every(isMark) ? value : null;
}

function isMark(value: unknown): value is KeptMark {
  return (
    isObject(value) &&
    Number.isInteger(value['stepIndex']) &&
    Number.isFinite(value['atMs']) &&
    typeof value['skipped'] === 'boolean'
  );
}

function stepOf({ stepIndex, atMs, skipped }: KeptMark, startMs: number, totals: unknown): StepDone {
  const totalG = isObject(totals) ? totals[stepIndex] : null;
  return {
    stepIndex,
    skipped,
    atS: (atMs - startMs) / 1000,
    totalG: typeof totalG === 'number' && Number.isFinite(totalG) ? totalG : null,
  };
}
