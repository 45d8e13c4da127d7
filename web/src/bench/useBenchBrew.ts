import { useEffect, useMemo } from 'react';
import {
  actualStaircase,
  benchMoment,
  benchSteps,
  correctionAfter,
  flowAtGps,
  formatDuration,
  isCupDue,
  leadOf,
  nextCupChange,
  type BenchMoment,
  type BenchStep,
  type BrewPlan,
  type Correction,
  type Lead,
  type StaircasePoint,
  type StepDone,
  type Trace,
} from '@vendu/core';
import { goOnFrom } from '../device/brewClock';
import type { BenchScale } from './benchScale';
import { useBenchScale, useScaleView } from './benchScales';
import type { ScaleView } from './benchScale';
import { cupsOf, goingPlan, soFar, type BenchBrew } from './benchBrew';
import { traceLine } from './traceLine';
import { useNow } from '../device/useNow';

/** How often a running clock is read, ms. */
const TICK_MS = 100;

/** Everything that a running brew is at this moment. */
export interface BenchState {
  plan: BrewPlan;
  steps: BenchStep[];
  done: StepDone[];
  moment: BenchMoment;
  isStarted: boolean;
  scale: BenchScale | null;
  scaleView: ScaleView | null;
  flowGps: number | null;
  lead: Lead | null;
  correction: Correction | null;
  /** The cup of a split brew is to be changed now. */
  isCupDue: boolean;
  /** When it is changed next, in words; `null` where it is not. */
  nextCup: string | null;
  /** What was really poured: off the scale where there is one, else from the marks. */
  actual: StaircasePoint[] | undefined;
}

const NO_TRACE: Trace = { atMs: [], massG: [] };

/** Follows one brew: its clock, its scale, and what both say against the plan. */
export function useBenchBrew(brew: BenchBrew): BenchState {
  const { log, plan: written } = brew;
  const { run, steps: done, events } = soFar(brew);
  const plan = useMemo(() => goingPlan({ plan: written, log }), [written, log]);
  const steps = useMemo(() => benchSteps(plan), [plan]);
  const isStarted = run.marks.length > 0;
  const isRunning = isStarted && run.marks.length < steps.length;
  const lastMarkMs = run.marks.at(-1)?.atMs ?? 0;
  useEffect(() => goOnFrom(lastMarkMs), [lastMarkMs]);
  const scale = useBenchScale(brew, 'brewer');
  const scaleView = useScaleView(scale);
  // A scale that reads ten times a second is clock enough: two clocks would draw everything twice.
  const isTicking = isRunning && scaleView?.status !== 'reading';
  const nowMs = Math.max(useNow(isTicking ? TICK_MS : null), scaleView?.readMs ?? 0, lastMarkMs);
  const moment = benchMoment({ run, steps, nowMs });
  const startMs = run.marks[0]?.atMs;
  const trace = scale && startMs !== undefined ? scale.traceFrom(startMs) : NO_TRACE;
  const elapsedMs = moment.elapsedS * 1000;
  const cupsSoFar = {
    rule: cupsOf(brew),
    changes: events.filter(({ kind }) => kind === 'cup-changed').length,
  };
  const nextCup = isRunning ? nextCupChange(cupsSoFar) : null;

  const massG = scaleView?.status === 'reading' ? scaleView.massG : null;
  return {
    plan,
    steps,
    done,
    moment,
    isStarted,
    scale,
    scaleView,
    flowGps: isRunning ? flowAtGps(trace, elapsedMs) : null,
    lead: isRunning && massG !== null ? leadOf({ plan, atS: moment.elapsedS, totalG: massG }) : null,
    correction: isRunning ? openMiss(brew, plan, steps) : null,
    isCupDue: isRunning && isCupDue({ ...cupsSoFar, elapsedS: moment.elapsedS, massG }),
    nextCup: nextCup && (nextCup.unit === 's' ? formatDuration(nextCup.mark) : `${nextCup.mark} g`),
    actual: !isStarted
      ? undefined
      : trace.atMs.length > 0
        ? traceLine(trace)
        : actualStaircase({ plan, done, untilS: moment.elapsedS }),
  };
}

/** The last pour's miss, while the next pour has not begun and nobody has answered it. */
function openMiss(brew: BenchBrew, plan: BrewPlan, steps: readonly BenchStep[]): Correction | null {
  const { steps: done, answered } = soFar(brew);
  const lastPour = done.findLast(({ stepIndex, skipped }) => steps[stepIndex]?.kind === 'pour' && !skipped);
  const step = lastPour && steps[lastPour.stepIndex];
  const shownG = lastPour?.totalG ?? null;
  if (step?.kind !== 'pour' || shownG === null || answered.includes(step.pourNumber)) return null;
  return correctionAfter({ plan, pourNumber: step.pourNumber, shownG });
}
