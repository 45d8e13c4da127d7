import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import { benchSteps, markNext, NOT_STARTED, undoMark, type BenchRun, type BrewPlan } from '@vendu/core';

/** A brew on the bench: its plan, what was marked, and what else was written down while it ran. */
export interface BenchBrew {
  /** Made here; the server stores a brew once per key, however often it is sent. */
  key: string;
  lotId: number;
  lotName: string;
  additions: string;
  recipeId: number;
  brewerName: string;
  paper: string;
  grinderName: string;
  grinderSetting: number | null;
  recipeVersionId: number;
  versionNumber: number;
  roastBatchId: number;
  plan: BrewPlan;
  run: BenchRun;
  /** What the scale showed after a pour, g, by step. */
  totalsG: Record<number, number>;
  note: string;
}

/** A version put on the bench, before its clock runs. */
export type LaidOutBrew = Omit<BenchBrew, 'run' | 'totalsG' | 'note'>;

interface BenchState {
  brew: BenchBrew | null;
}

const initialState: BenchState = { brew: null };

/** Changes the brew that is there; without one nothing happens. */
function changed(state: BenchState, change: (brew: BenchBrew) => Partial<BenchBrew>): BenchState {
  return state.brew === null ? state : { brew: { ...state.brew, ...change(state.brew) } };
}

export const benchSlice = createSlice({
  name: 'bench',
  initialState,
  // Reducers return new state: the core's plans are read-only, which Immer's drafts are not.
  reducers: {
    brewLaidOut: (_, { payload }: PayloadAction<LaidOutBrew>): BenchState => ({
      brew: { ...payload, run: NOT_STARTED, totalsG: {}, note: '' },
    }),
    stepMarked: (state: BenchState, { payload }: PayloadAction<{ atMs: number; skipped?: boolean }>) =>
      changed(state, ({ run, plan }) => ({ run: markNext({ run, steps: benchSteps(plan), ...payload }) })),
    markUndone: (state: BenchState) =>
      changed(state, ({ run, totalsG }) => ({
        run: undoMark(run),
        totalsG: withTotal(totalsG, { stepIndex: run.marks.length - 1, totalG: null }),
      })),
    totalWritten: (
      state: BenchState,
      { payload }: PayloadAction<{ stepIndex: number; totalG: number | null }>,
    ) => changed(state, ({ totalsG }) => ({ totalsG: withTotal(totalsG, payload) })),
    noteWritten: (state: BenchState, { payload }: PayloadAction<string>) =>
      changed(state, () => ({ note: payload })),
    brewCleared: (): BenchState => initialState,
    /** Puts a cleared brew back; the undo of `brewCleared`. */
    brewPutBack: (_, { payload }: PayloadAction<BenchBrew>): BenchState => ({ brew: payload }),
  },
  selectors: { selectBenchBrew: ({ brew }) => brew },
});

export const { brewLaidOut, stepMarked, markUndone, totalWritten, noteWritten, brewCleared, brewPutBack } =
  benchSlice.actions;
export const { selectBenchBrew } = benchSlice.selectors;

function withTotal(
  totalsG: BenchBrew['totalsG'],
  { stepIndex, totalG }: { stepIndex: number; totalG: number | null },
) {
  const others = Object.fromEntries(Object.entries(totalsG).filter(([index]) => Number(index) !== stepIndex));
  return totalG === null ? others : { ...others, [stepIndex]: totalG };
}
