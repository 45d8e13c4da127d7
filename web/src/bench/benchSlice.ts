import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import {
  benchSteps,
  markedTimesS,
  markNext,
  NOT_STARTED,
  undoMark,
  withTotalsMoved,
  type AfterBrewClock,
  type AfterBrewTask,
  type BenchEvent,
  type BrewPlan,
  type CupRule,
  type PreparationTask,
  type StepDone,
} from '@vendu/core';
import type { OutflowChoice } from '../instruments/outflowChoices';
import type { ScaleChoice } from '../instruments/scaleChoices';
import type { ThermometerChoice } from '../instruments/thermometerChoices';
import type { BenchBrew } from './benchBrew';
import { readKeptBrew } from './keptBrew';

/** A version put on the bench, before its clock runs. */
export type LaidOutBrew = Omit<
  BenchBrew,
  | 'run'
  | 'wasStarted'
  | 'totalsG'
  | 'moved'
  | 'answered'
  | 'prepared'
  | 'leftOut'
  | 'events'
  | 'thermometer'
  | 'outflowScale'
  | 'heard'
  | 'cups'
  | 'note'
  | 'seq'
>;

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
      const started = state.brews.filter(({ wasStarted }) => wasStarted);
      if (started.length >= MOST_BREWS) return state;
      const before = state.brews.find(
        ({ recipeVersionId, wasStarted }) => recipeVersionId === payload.recipeVersionId && !wasStarted,
      );
      const laidOut: BenchBrew = {
        ...payload,
        run: NOT_STARTED,
        wasStarted: false,
        totalsG: {},
        moved: [],
        answered: [],
        scale: before?.scale ?? payload.scale,
        thermometer: before?.thermometer ?? 'none',
        outflowScale: before?.outflowScale ?? 'none',
        heard: [],
        prepared: before?.prepared ?? [],
        leftOut: before?.leftOut ?? [],
        events: [],
        cups: before?.cups ?? { kind: 'none' },
        note: '',
        seq: 0,
      };
      return { ...state, brews: [...started, laidOut], activeKey: laidOut.key };
    },
    /** The bench as another page of this device has it. */
    benchTakenUp: (_: BenchState, { payload }: PayloadAction<BenchState>): BenchState => payload,
    brewActivated: (state: BenchState, { payload }: OfBrew): BenchState => ({
      ...state,
      activeKey: payload.key,
    }),
    stepMarked: (state: BenchState, { payload }: OfBrew<{ atMs: number; skipped?: boolean }>) =>
      changed(state, payload.key, ({ run, plan }) => ({
        run: markNext({ ...payload, run, steps: benchSteps(plan) }),
        wasStarted: true,
      })),
    markUndone: (state: BenchState, { payload }: OfBrew) =>
      changed(state, payload.key, ({ run, totalsG, heard }) => ({
        run: undoMark(run),
        heard: heard.map((each) => (each === 'drained' ? 'drain-refused' : each)),
        totalsG: withTotal(totalsG, { stepIndex: run.marks.length - 1, totalG: null }),
      })),
    totalWritten: (state: BenchState, { payload }: OfBrew<{ stepIndex: number; totalG: number | null }>) =>
      changed(state, payload.key, ({ totalsG }) => ({ totalsG: withTotal(totalsG, payload) })),
    /** A pour missed its total: later totals move by so much, or stay. */
    missAnswered: (state: BenchState, { payload }: OfBrew<{ pourNumber: number; byG: number }>) =>
      changed(state, payload.key, ({ moved, answered }) => ({
        answered: [...answered, payload.pourNumber],
        moved: payload.byG === 0 ? moved : [...moved, { fromPour: payload.pourNumber + 1, byG: payload.byG }],
      })),
    taskPrepared: (state: BenchState, { payload }: OfBrew<{ task: PreparationTask }>) =>
      changed(state, payload.key, ({ prepared, leftOut }) => ({
        prepared: prepared.includes(payload.task)
          ? without(prepared, payload.task)
          : [...prepared, payload.task],
        leftOut: without(leftOut, payload.task),
      })),
    taskLeftOut: (state: BenchState, { payload }: OfBrew<{ task: PreparationTask }>) =>
      changed(state, payload.key, ({ prepared, leftOut }) => ({
        prepared: without(prepared, payload.task),
        leftOut: [...without(leftOut, payload.task), payload.task],
      })),
    eventNoted: (state: BenchState, { payload }: OfBrew<{ event: BenchEvent }>) =>
      changed(state, payload.key, ({ events }) => ({ events: [...events, payload.event] })),
    eventTakenBack: (state: BenchState, { payload }: OfBrew<{ index: number }>) =>
      changed(state, payload.key, ({ events }) => ({
        events: events.filter((_, index) => index !== payload.index),
      })),
    scaleChosen: (state: BenchState, { payload }: OfBrew<{ scale: ScaleChoice }>) =>
      changed(state, payload.key, () => ({ scale: payload.scale })),
    thermometerChosen: (state: BenchState, { payload }: OfBrew<{ thermometer: ThermometerChoice }>) =>
      changed(state, payload.key, () => ({ thermometer: payload.thermometer })),
    outflowScaleChosen: (state: BenchState, { payload }: OfBrew<{ scale: OutflowChoice }>) =>
      changed(state, payload.key, () => ({ outflowScale: payload.scale })),
    /** The first drip fell into the server. */
    firstDripHeard: (state: BenchState, { payload }: OfBrew<{ atS: number }>) =>
      changed(state, payload.key, ({ events, heard }) => ({
        heard: [...heard, 'first-drip'],
        events: [...events, { kind: 'first-drip', atS: payload.atS, figure: null, text: '' }],
      })),
    /** The outflow says when the water above the bed was gone: the last step is marked then. */
    drainHeard: (state: BenchState, { payload }: OfBrew<{ atMs: number }>) =>
      changed(state, payload.key, ({ run, plan, heard }) => ({
        heard: [...heard, 'drained'],
        run: markNext({ atMs: payload.atMs, run, steps: benchSteps(plan) }),
      })),
    cupsPlanned: (state: BenchState, { payload }: OfBrew<{ cups: CupRule }>) =>
      changed(state, payload.key, () => ({ cups: payload.cups })),
    noteWritten: (state: BenchState, { payload }: OfBrew<{ note: string }>) =>
      changed(state, payload.key, () => ({ note: payload.note })),
    brewCleared: (state: BenchState, { payload }: OfBrew): BenchState => withoutBrew(state, payload.key),
    /** Puts a cleared brew back, or one that another device had on its bench. */
    brewPutBack: (state: BenchState, { payload }: PayloadAction<BenchBrew>): BenchState => ({
      ...state,
      brews: [
        ...state.brews.filter(({ key, wasStarted }) => key !== payload.key && wasStarted),
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
  stepMarked,
  markUndone,
  totalWritten,
  missAnswered,
  taskPrepared,
  taskLeftOut,
  eventNoted,
  eventTakenBack,
  scaleChosen,
  thermometerChosen,
  outflowScaleChosen,
  firstDripHeard,
  drainHeard,
  cupsPlanned,
  noteWritten,
  brewCleared,
  brewPutBack,
  brewStored,
  afterDone,
  afterPutOff,
} = benchSlice.actions;
export const { selectBrews, selectActiveKey, selectAfter } = benchSlice.selectors;

/** The plan with its totals moved as was chosen while it ran. */
export function goingPlan({ plan, moved }: Pick<BenchBrew, 'plan' | 'moved'>): BrewPlan {
  return moved.reduce(withTotalsMoved, plan);
}

/** The marks with the totals beside them, as the record keeps them. */
export function doneSteps({ run, totalsG }: Pick<BenchBrew, 'run' | 'totalsG'>): StepDone[] {
  return markedTimesS(run).map((mark) => ({
    ...mark,
    // A hundredth of a second is finer than any hand.
    atS: Math.round(mark.atS * 100) / 100,
    totalG: totalsG[mark.stepIndex] ?? null,
  }));
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

function without<T>(list: readonly T[], item: T): T[] {
  return list.filter((each) => each !== item);
}

function withTotal(
  totalsG: BenchBrew['totalsG'],
  { stepIndex, totalG }: { stepIndex: number; totalG: number | null },
) {
  const others = Object.fromEntries(Object.entries(totalsG).filter(([index]) => Number(index) !== stepIndex));
  return totalG === null ? others : { ...others, [stepIndex]: totalG };
}
