import type { BenchEvent } from '../bench/benchEvents.js';
import { markedTimesS, type BenchRun } from '../bench/benchRun.js';
import type { CupRule } from '../bench/cupChanges.js';
import { withTotalsMoved } from '../bench/liveBrew.js';
import type { StepDone } from '../bench/planAgainstActual.js';
import type { PreparationTask } from '../bench/preparation.js';
import type { ServingTask } from '../bench/serving.js';
import type { BrewPlan } from '../plan/plan.js';
import type { BrewEntry, EntryId } from './brewEntry.js';
import { entryName, mergedLogs, standing, type BrewLog } from './brewLog.js';

/** What a brew is by all that was told of it. */
export interface BrewSoFar {
  run: BenchRun;
  /** It was on the clock once: an undo takes its marks back, never the brew itself. */
  wasStarted: boolean;
  steps: StepDone[];
  /** What happened beside the steps, as the record keeps it. */
  events: BenchEvent[];
  prepared: PreparationTask[];
  leftOut: PreparationTask[];
  /** What of the serving was left out. */
  notServed: ServingTask[];
  /** What fell through the sieve as weighed, g; `null` where nobody weighed it. */
  finesG: number | null;
  /** The beverage as weighed at the bench, g; `null` where nobody did. */
  beverageG: number | null;
  /** What a refractometer showed while the brew was on the bench, in turn. */
  readings: (EntryId & { tdsPercent: number; sampleC: number | null })[];
  /** Totals moved after a pour that missed: from which pour on, and by how much. */
  totalsMoved: { fromPour: number; byG: number }[];
  /** Misses that somebody has answered, by pour. */
  answered: number[];
  /** The row of cups as it was chosen at the bench; `null` where nobody chose, and it is the plan's. */
  cups: CupRule | null;
  note: string;
  /** The scale under the server told the first drip; told once, it is not told again. */
  isDripHeard: boolean;
  /** The last mark is the scale's under the server; or such a mark was taken back, and the eye marks the drain. */
  drainHeard: 'no' | 'marked' | 'refused';
}

/** A hundredth of a second is finer than any hand, a tenth finer than any eye. */
const MARKS_PER_S = 100;
const EVENTS_PER_S = 10;

/** Folds a log, in whatever order it came. */
export function brewSoFar(log: BrewLog): BrewSoFar {
  const ordered = mergedLogs(log);
  const stands = standing(ordered);
  const marked = marksOf(stands);
  const run: BenchRun = {
    marks: marked.map(({ stepIndex, skipped, atMs }) => ({ stepIndex, skipped, atMs })),
  };
  const tasks = lastOf(stands, ['prepared', 'left-out'], ({ task }) => task);
  const leftOut = tasks.filter(({ kind }) => kind === 'left-out').map(({ task }) => task);
  const finesG = weighedG(stands, 'fines');
  const answers = stands.filter((each) => each.kind === 'miss-answered');
  const stoodNames = new Set(stands.map(entryName));
  const byOutflow = ordered.filter((each) => each.kind === 'marked' && each.by === 'outflow');
  return {
    run,
    wasStarted: ordered.some(({ kind }) => kind === 'marked'),
    steps: stepsOf(stands, marked, run),
    events: [
      ...leftOut.map((task): BenchEvent => ({ kind: 'not-prepared', atS: 0, task })),
      ...(finesG === null ? [] : [{ kind: 'fines-weighed' as const, atS: 0, finesG }]),
      ...eventsOf(stands, marked, run),
    ],
    prepared: tasks.filter(({ kind }) => kind === 'prepared').map(({ task }) => task),
    leftOut,
    notServed: stands.flatMap((each) => (each.kind === 'not-served' ? [each.serving] : [])),
    finesG,
    beverageG: weighedG(stands, 'beverage'),
    readings: stands.flatMap((each) => {
      if (each.kind !== 'strength-read') return [];
      const { device, number, tdsPercent, sampleC } = each;
      return [{ device, number, tdsPercent, sampleC }];
    }),
    totalsMoved: answers
      .filter(({ byG }) => byG !== 0)
      .map(({ pourNumber, byG }) => ({ fromPour: pourNumber + 1, byG })),
    answered: answers.map(({ pourNumber }) => pourNumber),
    cups: stands.findLast((each) => each.kind === 'cups-planned')?.rule ?? null,
    note: stands.findLast((each) => each.kind === 'noted')?.text ?? '',
    isDripHeard: ordered.some(({ kind }) => kind === 'first-drip'),
    drainHeard: byOutflow.some((each) => !stoodNames.has(entryName(each)))
      ? 'refused'
      : marked.at(-1)?.by === 'outflow'
        ? 'marked'
        : 'no',
  };
}

/** The plan with its totals moved as was chosen while it ran. */
export function planMoved(plan: BrewPlan, { totalsMoved }: Pick<BrewSoFar, 'totalsMoved'>): BrewPlan {
  return totalsMoved.reduce(withTotalsMoved, plan);
}

function weighedG(stands: BrewLog, what: EntryOf<'weighed'>['what']): number | null {
  const last = stands.findLast(
    (each): each is EntryOf<'weighed'> => each.kind === 'weighed' && each.what === what,
  );
  return last?.massG ?? null;
}

type EntryOf<K extends BrewEntry['kind']> = Extract<BrewEntry, { kind: K }>;

/**
 * The marks that stand, one to a step and no step before the one before it is marked: where two devices marked one step
 * the first counts, and a mark behind one that was taken back waits until that step is marked again. What a table tells
 * afterwards needs no step before it: of a notebook's brew often only the start and the end are known.
 */
function marksOf(stands: BrewLog): EntryOf<'marked'>[] {
  const byStep = new Map<number, EntryOf<'marked'>>();
  for (const entry of stands) {
    if (entry.kind === 'marked' && !byStep.has(entry.stepIndex)) byStep.set(entry.stepIndex, entry);
  }
  const marks: EntryOf<'marked'>[] = [];
  for (let next = byStep.get(0); next; next = byStep.get(marks.length)) {
    // A clock set back in mid-brew must not make a later step earlier than the one before.
    marks.push({ ...next, atMs: Math.max(next.atMs, marks.at(-1)?.atMs ?? next.atMs) });
  }
  const told = [...byStep.values()].filter(
    ({ by, stepIndex }) => by === 'table' && stepIndex >= marks.length,
  );
  return [...marks, ...told.toSorted((a, b) => a.stepIndex - b.stepIndex)];
}

function stepsOf(stands: BrewLog, marked: readonly EntryOf<'marked'>[], run: BenchRun): StepDone[] {
  return markedTimesS(run).map((mark, index) => ({
    ...mark,
    atS: rounded(mark.atS, MARKS_PER_S),
    totalG: lastReadOf(stands, 'total-read', marked[index])?.totalG ?? null,
  }));
}

/** A reading is of the mark that it came after: with a mark that is taken back it is gone. */
function lastReadOf<K extends 'total-read' | 'kettle-read'>(
  stands: BrewLog,
  kind: K,
  mark: EntryOf<'marked'> | undefined,
): EntryOf<K> | undefined {
  return stands.findLast(
    (each): each is EntryOf<K> =>
      each.kind === kind && each.stepIndex === mark?.stepIndex && each.number > mark.number,
  );
}

function eventsOf(stands: BrewLog, marked: readonly EntryOf<'marked'>[], run: BenchRun): BenchEvent[] {
  const startMs = run.marks[0]?.atMs;
  return stands.flatMap((entry): BenchEvent[] => {
    // What happened before a start that was taken back is not of this brew.
    if (startMs === undefined || entry.atMs < startMs) return [];
    const atS = rounded((entry.atMs - startMs) / 1000, EVENTS_PER_S);
    switch (entry.kind) {
      case 'agitated':
        return [{ kind: 'agitated', atS, how: entry.how }];
      case 'bed-seen':
        return [{ kind: entry.shows ? 'bed-shows' : 'water-stands', atS }];
      case 'first-drip':
        return [{ kind: 'first-drip', atS }];
      case 'cup-changed':
        return [{ kind: 'cup-changed', atS, massG: entry.massG }];
      case 'miss-answered':
        return entry.byG === 0
          ? []
          : [{ kind: 'totals-moved', atS, fromPour: entry.pourNumber + 1, byG: entry.byG }];
      case 'not-served':
        return [{ kind: 'not-served', atS, serving: entry.serving }];
      case 'scale-lost':
      case 'scale-back':
        return [{ kind: entry.kind, atS, scale: entry.scale }];
      case 'kettle-read':
        return kettleEvent(stands, marked, run, entry);
      default:
        return [];
    }
  });
}

/** The last reading of a pour's kettle, at the time that the pour began. */
function kettleEvent(
  stands: BrewLog,
  marked: readonly EntryOf<'marked'>[],
  run: BenchRun,
  entry: EntryOf<'kettle-read'>,
): BenchEvent[] {
  const mark = marked[entry.stepIndex];
  const time = markedTimesS(run)[entry.stepIndex];
  if (!time || lastReadOf(stands, 'kettle-read', mark) !== entry) return [];
  const { kettleC, instrument, isSimulated } = entry;
  return [{ kind: 'kettle-read', atS: rounded(time.atS, MARKS_PER_S), kettleC, instrument, isSimulated }];
}

/** The last word on each thing, in the order in which the last words came. */
function lastOf<K extends BrewEntry['kind']>(
  stands: BrewLog,
  kinds: readonly K[],
  of: (entry: EntryOf<K>) => string,
): EntryOf<K>[] {
  const isOfKind = (each: BrewEntry): each is EntryOf<K> => kinds.some((kind) => kind === each.kind);
  const words = new Map<string, EntryOf<K>>();
  for (const entry of stands.filter(isOfKind)) {
    words.delete(of(entry));
    words.set(of(entry), entry);
  }
  return [...words.values()];
}

function rounded(seconds: number, perS: number): number {
  return Math.round(seconds * perS) / perS;
}
