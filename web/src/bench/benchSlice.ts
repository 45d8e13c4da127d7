import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import {
  benchSteps,
  lastToUndo,
  mergedLogs,
  storableEntry,
  withEntry,
  type AfterBrewClock,
  type AfterBrewTask,
  type BrewEntry,
  type BrewLog,
  type EntryId,
  type Happening,
} from '@vendu/core';
import { brewNowMs } from '../device/brewClock';
import { PAGE_ID } from '../device/device';
import type { OutflowChoice } from '../instruments/outflowChoices';
import type { ScaleChoice } from '../instruments/scaleChoices';
import type { ThermometerChoice } from '../instruments/thermometerChoices';
import { noteOf, soFar, wasStarted, type BenchBrew } from './benchBrew';
import { readKeptBrew } from './keptBrew';

/** A version put on the bench, before its clock runs. */
export type LaidOutBrew = Omit<BenchBrew, 'log' | 'thermometer' | 'outflowScale' | 'noteTyped' | 'seq'>;

/** A brew that is stored and still wants its sample read and its cups tasted. */
export interface AfterBrew {
  brewId: number;
  /** Counted within its lot; `null` in what an earlier version kept. */
  brewNumber: number | null;
  lotName: string;
  drainedAtMs: number;
  clocks: AfterBrewClock[];
  done: AfterBrewTask[];
  /** Not before this moment, where somebody put it off; Unix time, ms. */
  laterMs: Partial<Record<AfterBrewTask, number>>;
}

interface BenchState {
  brews: BenchBrew[];
  /** The brew that keys act on. */
  activeKey: string | null;
  after: AfterBrew[];
}

/** Two clocks are what one pair of eyes can follow. */
export const MOST_BREWS = 2;

const initialState: BenchState = { brews: [], activeKey: null, after: [] };

/** Changes one brew; of one that is not there nothing happens. */
function changed(
  state: BenchState,
  key: string,
  change: (brew: BenchBrew) => Partial<BenchBrew>,
): BenchState {
  return {
    ...state,
    brews: state.brews.map((brew) =>
      brew.key === key ? { ...brew, ...change(brew), seq: brew.seq + 1 } : brew,
    ),
  };
}

/** A grinder, and what it is set to for the plan. */
export type GroundOn = Pick<BenchBrew, 'grinderName' | 'grinderSetting' | 'secondSetting' | 'retainedG'> & {
  grinderId: number;
};

/** Who tells something, and when it happened. */
interface Stamp {
  device: string;
  atMs: number;
}

/** This page tells it, of now where no other moment is named. */
function stamped<T extends { atMs?: number }>({ atMs = brewNowMs(), ...payload }: T) {
  return { payload: { ...payload, stamp: { device: PAGE_ID, atMs: Math.max(0, Math.round(atMs)) } } };
}

function withTold(log: BrewLog, { device, atMs }: Stamp, happened: Happening): BrewLog {
  return withEntry(log, device, storableEntry({ ...happened, atMs }));
}

function withoutBrew(state: BenchState, key: string): BenchState {
  const brews = state.brews.filter((brew) => brew.key !== key);
  return { ...state, brews, activeKey: brews[0]?.key ?? null };
}

type OfBrew<T = object> = PayloadAction<T & { key: string }>;

export const benchSlice = createSlice({
  name: 'bench',
  initialState,
  // Reducers return new state: the core's plans are read-only, which Immer's drafts are not.
  reducers: {
    /** Brews laid out and never started make room; what was made ready for the same version stays ready. */
    brewLaidOut: (state: BenchState, { payload }: PayloadAction<LaidOutBrew>): BenchState => {
      const started = state.brews.filter(wasStarted);
      if (started.length >= MOST_BREWS) return state;
      const before = state.brews.find(
        (brew) => brew.recipeVersionId === payload.recipeVersionId && !wasStarted(brew),
      );
      const laidOut: BenchBrew = {
        ...payload,
        scale: before?.scale ?? payload.scale,
        thermometer: before?.thermometer ?? 'none',
        outflowScale: before?.outflowScale ?? 'none',
        log: before?.log ?? [],
        noteTyped: null,
        seq: 0,
      };
      return { ...state, brews: [...started, laidOut], activeKey: laidOut.key };
    },
    /** The bench as another page of this device has it, with what was told here and had not got there. */
    benchTakenUp: (state: BenchState, { payload }: PayloadAction<BenchState>): BenchState => ({
      ...payload,
      brews: payload.brews.map((brew) => {
        const here = state.brews.find(({ key }) => key === brew.key);
        return here ? { ...brew, log: mergedLogs(brew.log, here.log) } : brew;
      }),
    }),
    brewActivated: (state: BenchState, { payload }: OfBrew): BenchState => ({
      ...state,
      activeKey: payload.key,
    }),
    /** Something happened to a brew: one more entry of its log. */
    brewTold: {
      prepare: (told: { key: string; happened: Happening; atMs?: number }) => stamped(told),
      reducer: (state: BenchState, { payload }: OfBrew<{ happened: Happening; stamp: Stamp }>) =>
        changed(state, payload.key, ({ log }) => ({ log: withTold(log, payload.stamp, payload.happened) })),
    },
    /** The next step was begun, or skipped. */
    stepMarked: {
      prepare: (mark: { key: string; atMs?: number; skipped?: boolean; by?: 'hand' | 'outflow' }) =>
        stamped(mark),
      reducer: (
        state: BenchState,
        { payload }: OfBrew<{ stamp: Stamp; skipped?: boolean; by?: 'hand' | 'outflow' }>,
      ) =>
        changed(state, payload.key, (brew) => {
          const stepIndex = soFar(brew).run.marks.length;
          if (stepIndex >= benchSteps(brew.plan).length) return {};
          const { stamp, skipped = false, by = 'hand' } = payload;
          return { log: withTold(brew.log, stamp, { kind: 'marked', stepIndex, skipped, by }) };
        }),
    },
    /** Takes an entry back, or the last mark that stands where none is named. */
    entryUndone: {
      prepare: (undo: { key: string; of?: EntryId; atMs?: number }) => stamped(undo),
      reducer: (state: BenchState, { payload }: OfBrew<{ of?: EntryId; stamp: Stamp }>) =>
        changed(state, payload.key, ({ log }) => {
          const of = payload.of ?? lastToUndo(log);
          return of ? { log: withTold(log, payload.stamp, { kind: 'undone', of }) } : {};
        }),
    },
    /** What other devices told of a brew that is here now. */
    entriesHeard: (state: BenchState, { payload }: OfBrew<{ entries: readonly BrewEntry[] }>) =>
      changed(state, payload.key, ({ log }) => ({ log: mergedLogs(log, payload.entries) })),
    grinderChosen: (state: BenchState, { payload: { key, ...ground } }: OfBrew<GroundOn>) =>
      changed(state, key, () => ground),
    scaleChosen: (state: BenchState, { payload }: OfBrew<{ scale: ScaleChoice }>) =>
      changed(state, payload.key, () => ({ scale: payload.scale })),
    thermometerChosen: (state: BenchState, { payload }: OfBrew<{ thermometer: ThermometerChoice }>) =>
      changed(state, payload.key, () => ({ thermometer: payload.thermometer })),
    outflowScaleChosen: (state: BenchState, { payload }: OfBrew<{ scale: OutflowChoice }>) =>
      changed(state, payload.key, () => ({ outflowScale: payload.scale })),
    noteTyped: (state: BenchState, { payload }: OfBrew<{ note: string }>) =>
      changed(state, payload.key, () => ({ noteTyped: payload.note })),
    /** The note is typed to its end: it goes into the log. */
    noteSettled: {
      prepare: (note: { key: string; atMs?: number }) => stamped(note),
      reducer: (state: BenchState, { payload }: OfBrew<{ stamp: Stamp }>): BenchState => {
        const brew = state.brews.find(({ key }) => key === payload.key);
        // A field that is left as it was is no change.
        if (!brew || brew.noteTyped === null) return state;
        return changed(state, payload.key, () => ({
          noteTyped: null,
          log: logWithNote(brew, payload.stamp),
        }));
      },
    },
    brewCleared: (state: BenchState, { payload }: OfBrew): BenchState => withoutBrew(state, payload.key),
    /** Puts a cleared brew back, or one that another device had on its bench. */
    brewPutBack: (state: BenchState, { payload }: PayloadAction<BenchBrew>): BenchState => ({
      ...state,
      brews: [
        ...state.brews.filter((brew) => brew.key !== payload.key && wasStarted(brew)),
        { ...payload, seq: payload.seq + 1 },
      ],
      activeKey: payload.key,
    }),
    brewStored: (state: BenchState, { payload }: OfBrew<{ after: AfterBrew }>): BenchState => ({
      ...withoutBrew(state, payload.key),
      after: [...state.after, payload.after],
    }),
    afterPutOff: (
      state: BenchState,
      { payload }: PayloadAction<{ brewId: number; task: AfterBrewTask; untilMs: number }>,
    ): BenchState => ({
      ...state,
      after: state.after.map((each) =>
        each.brewId === payload.brewId
          ? { ...each, laterMs: { ...each.laterMs, [payload.task]: payload.untilMs } }
          : each,
      ),
    }),
    afterDone: (
      state: BenchState,
      { payload }: PayloadAction<{ brewId: number; task: AfterBrewTask }>,
    ): BenchState => ({
      ...state,
      after: state.after
        .map((each) =>
          each.brewId === payload.brewId ? { ...each, done: [...each.done, payload.task] } : each,
        )
        .filter(({ clocks, done }) => clocks.some(({ task }) => !done.includes(task))),
    }),
  },
  selectors: {
    selectBrews: ({ brews }) => brews,
    selectActiveKey: ({ activeKey }) => activeKey,
    selectAfter: ({ after }) => after,
  },
});

export const {
  brewLaidOut,
  benchTakenUp,
  brewActivated,
  brewTold,
  stepMarked,
  entryUndone,
  entriesHeard,
  grinderChosen,
  scaleChosen,
  thermometerChosen,
  outflowScaleChosen,
  noteTyped,
  noteSettled,
  brewCleared,
  brewPutBack,
  brewStored,
  afterDone,
  afterPutOff,
} = benchSlice.actions;
export const { selectBrews, selectActiveKey, selectAfter } = benchSlice.selectors;

/** The log with the note as it stands, where it was being typed. */
function logWithNote(brew: BenchBrew, stamp: Stamp): BrewLog {
  const text = noteOf(brew);
  return text === soFar(brew).note ? brew.log : withTold(brew.log, stamp, { kind: 'noted', text });
}

/** All that is to be stored of a brew now. */
export function entriesNow(brew: BenchBrew): BrewEntry[] {
  return [...logWithNote(brew, stamped({}).payload.stamp)];
}

/**
 * What was on this device's bench, as far as this version of the application can read it.
 *
 * @returns the bench, and what of it could not be read; `null` where there was none
 */
export function keptBench(kept: unknown): { bench: BenchState; unreadable: unknown[] } | null {
  const state = kept as Partial<BenchState> | null;
  if (!Array.isArray(state?.brews)) return null;
  const read = state.brews.map((each: unknown) => ({ each, brew: readKeptBrew(each) }));
  const brews = read.flatMap(({ brew }) => (brew ? [brew] : []));
  const activeKey = brews.find(({ key }) => key === state.activeKey)?.key ?? brews[0]?.key ?? null;
  return {
    bench: {
      brews,
      activeKey,
      after: Array.isArray(state.after) ? state.after.filter(isAfter).map(completed) : [],
    },
    unreadable: read.flatMap(({ each, brew }) => (brew ? [] : [each])),
  };
}

/** What an earlier version did not keep of it. */
function completed(kept: AfterBrew): AfterBrew {
  const { brewNumber = null, laterMs = {} } = kept as Partial<AfterBrew>;
  return { ...kept, brewNumber, laterMs };
}

/** Tasks of a stored brew that an earlier version kept in another shape are on its page all the same. */
function isAfter(kept: Partial<AfterBrew> | null): kept is AfterBrew {
  return (
    typeof kept?.brewId === 'number' &&
    typeof kept.drainedAtMs === 'number' &&
    typeof kept.lotName === 'string' &&
    Array.isArray(kept.clocks) &&
    Array.isArray(kept.done)
  );
}
