import { PREPARATION_TASKS } from '../bench/preparation.js';
import { SERVING_TASKS } from '../bench/serving.js';
import { RECORD } from '../bench/storableRecord.js';
import { readingFault, SAMPLE_RANGE_C } from '../extraction/measurementFaults.js';
import { firstOutOfRange, notAllowed, outOfRange, type OutOfRange, type Range } from '../input/ranges.js';
import { CUP_SCHEDULE } from '../plan/cupSchedule.js';
import { byKind, choice, fields, nullable, oneOf, shapeFault, type Shape } from '../input/shape.js';
import { cutTo, wellFormed } from '../text/wellFormed.js';
import { WEIGHED_AT_BENCH, type BrewEntry, type EntryKind } from './brewEntry.js';

const ID = { device: 'text', number: 'number' } as const;
const TASK = { task: choice(PREPARATION_TASKS) };

/** What each kind of entry says beside its stamp. */
const SAYS = {
  prepared: TASK,
  'left-out': TASK,
  weighed: { what: choice(WEIGHED_AT_BENCH), massG: nullable('number') },
  'strength-read': { tdsPercent: 'number', sampleC: nullable('number') },
  marked: { stepIndex: 'number', skipped: 'yes or no', by: choice(['hand', 'outflow', 'table']) },
  'total-read': { stepIndex: 'number', totalG: nullable('number') },
  'kettle-read': { stepIndex: 'number', kettleC: 'number', instrument: 'text', isSimulated: 'yes or no' },
  agitated: { how: choice(['swirl', 'stir']) },
  'bed-seen': { shows: 'yes or no' },
  'first-drip': {},
  'cup-changed': { massG: nullable('number') },
  'miss-answered': { pourNumber: 'number', byG: 'number' },
  'not-served': { serving: choice(SERVING_TASKS) },
  'scale-lost': { scale: 'text' },
  'scale-back': { scale: 'text' },
  'cups-planned': {
    rule: oneOf(CUP_SCHEDULE, byKind({ none: {} })),
  },
  noted: { text: 'text' },
  undone: { of: fields(ID) },
} satisfies Record<EntryKind, Record<string, Shape>>;
const ENTRY = byKind(SAYS);
const STAMP = fields({ ...ID, atMs: 'number' });
export const ENTRY_KINDS = Object.keys(SAYS) as EntryKind[];

/** The last moment that a clock can tell. */
const LAST_MS = 8.64e15;
const RANGES: Record<'number' | 'atMs' | 'stepIndex' | 'pourNumber', Range> = {
  number: { low: 1, high: 1_000_000, unit: '' },
  atMs: { low: 0, high: LAST_MS, unit: 'ms' },
  stepIndex: { low: 0, high: RECORD.mostSteps - 1, unit: '' },
  pourNumber: { low: 1, high: RECORD.mostSteps, unit: '' },
};
/** What a sieve and a server can hold. */
const WEIGHTS: Record<(typeof WEIGHED_AT_BENCH)[number], Range> = {
  fines: { low: 0, high: 500, unit: 'g' },
  beverage: { low: 10, high: RECORD.heaviestG, unit: 'g' },
};
const LONGEST = {
  device: 36,
  scale: RECORD.longestScaleName,
  instrument: RECORD.longestScaleName,
  text: RECORD.longestNote,
};

/** @returns the first field of what should be an entry that is missing, of another kind or too large; or `null` */
export function entryFault(value: unknown): OutOfRange | null {
  return (
    shapeFault(value, STAMP) ??
    shapeFault(value, ENTRY) ??
    firstOutOfRange(value as Partial<Record<keyof typeof RANGES, unknown>>, RANGES) ??
    weightFault(value as BrewEntry) ??
    strengthFault(value as BrewEntry) ??
    notWhole(value as Partial<Record<keyof typeof RANGES, number>>) ??
    tooLong(value as Partial<Record<keyof typeof LONGEST, string>>)
  );
}

function weightFault(entry: BrewEntry): OutOfRange | null {
  if (entry.kind !== 'weighed' || entry.massG === null) return null;
  return outOfRange('massG', entry.massG, WEIGHTS[entry.what]);
}

function strengthFault(entry: BrewEntry): OutOfRange | null {
  if (entry.kind !== 'strength-read') return null;
  const { tdsPercent, sampleC } = entry;
  const fault = readingFault({ tdsPercent });
  if (fault) return { ...notAllowed('tdsPercent', tdsPercent, fault.allowed), message: fault.message };
  return sampleC === null ? null : outOfRange('sampleC', sampleC, { ...SAMPLE_RANGE_C, unit: '°C' });
}

/** Numbers, steps and moments are counted: a broken one is another one to whoever rounds it. */
function notWhole(given: Partial<Record<keyof typeof RANGES, number>>): OutOfRange | null {
  for (const field of Object.keys(RANGES) as (keyof typeof RANGES)[]) {
    const value = given[field];
    if (value === undefined || Number.isInteger(value)) continue;
    return notAllowed(field, value, 'a whole number');
  }
  return null;
}

function tooLong(given: Partial<Record<keyof typeof LONGEST, string>>): OutOfRange | null {
  for (const field of Object.keys(LONGEST) as (keyof typeof LONGEST)[]) {
    const { length } = given[field] ?? '';
    if (length <= LONGEST[field]) continue;
    const allowed = `at most ${LONGEST[field]} characters`;
    return {
      ok: false,
      reason: 'out-of-range',
      message: `${field} has ${length} characters; allowed: ${allowed}.`,
      field,
      value: length,
      allowed,
    };
  }
  return null;
}

/** An entry made such that the record takes it: its texts fit and are whole. */
export function storableEntry<T extends object>(entry: T): T {
  const texts = Object.entries(LONGEST).flatMap(([field, longest]) => {
    const words: unknown = (entry as Record<string, unknown>)[field];
    return typeof words === 'string' ? [[field, wellFormed(cutTo(words, longest))]] : [];
  });
  return { ...entry, ...(Object.fromEntries(texts) as Partial<T>) };
}
