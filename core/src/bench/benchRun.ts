import type { BenchStep } from './benchSteps.js';

/** What was marked for one step. Times are wall-clock, so a reload or a sleeping tab cannot stretch them. */
interface BenchMark {
  stepIndex: number;
  /** Unix time, ms. */
  atMs: number;
  /** The step was left out on purpose. */
  skipped: boolean;
}

/** A brew on the clock: one mark per step, in order, the first of them starting the clock. */
export interface BenchRun {
  marks: readonly BenchMark[];
}

/** What the bench shows at a moment. */
export interface BenchMoment {
  phase: 'ready' | 'running' | 'done';
  elapsedS: number;
  /** The step marked last; `null` before the start. */
  current: BenchStep | null;
  /** What Space marks next; `null` when all is done. */
  next: BenchStep | null;
  /** Until the next step is due, s; negative when it is overdue, `null` when there is none. */
  dueInS: number | null;
}

/** The clock, the step that is on and the one that comes, at a wall-clock moment. */
export function benchMoment({
  run,
  steps,
  nowMs,
}: {
  run: BenchRun;
  steps: readonly BenchStep[];
  nowMs: number;
}): BenchMoment {
  const first = run.marks[0];
  if (first === undefined) {
    return { phase: 'ready', elapsedS: 0, current: null, next: steps[0] ?? null, dueInS: null };
  }
  const last = run.marks[run.marks.length - 1] ?? first;
  const isDone = run.marks.length >= steps.length;
  const elapsedS = Math.max(0, ((isDone ? last.atMs : nowMs) - first.atMs) / 1000);
  const next = steps[run.marks.length] ?? null;
  return {
    phase: isDone ? 'done' : 'running',
    elapsedS,
    current: steps[last.stepIndex] ?? null,
    next,
    dueInS: next === null ? null : dueInS(next, elapsedS),
  };
}

/** Until a step is due, s: 0 all through the window of its end, below it when that is over. */
function dueInS(step: BenchStep, elapsedS: number): number {
  const leftS = step.plannedS - elapsedS;
  if (leftS >= 0 || step.kind !== 'drawdown') return leftS;
  return Math.min(0, step.untilS - elapsedS);
}

/** The marks on the brew clock: seconds since the first one. */
export function markedTimesS(run: BenchRun): { stepIndex: number; atS: number; skipped: boolean }[] {
  const startMs = run.marks[0]?.atMs ?? 0;
  return run.marks.map(({ stepIndex, atMs, skipped }) => ({
    stepIndex,
    atS: (atMs - startMs) / 1000,
    skipped,
  }));
}
