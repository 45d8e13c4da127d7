import { useEffect, useEffectEvent, useMemo } from 'react';
import {
  actualStaircase,
  benchMoment,
  benchSteps,
  correctionAfter,
  flowAtGps,
  isCupDue,
  leadOf,
  totalsFromTrace,
  type BenchMoment,
  type BenchStep,
  type BrewPlan,
  type Correction,
  type Lead,
  type StaircasePoint,
  type StepDone,
  type Trace,
} from '@vendu/core';
import { goOnFrom } from '../app/brewClock';
import { useAppDispatch } from '../app/store';
import type { BenchScale } from './benchScale';
import { useBenchScale, useScaleView } from './benchScales';
import type { ScaleView } from './benchScale';
import type { BenchBrew } from './benchBrew';
import { doneSteps, eventNoted, goingPlan, totalWritten } from './benchSlice';
import { traceLine } from './traceLine';
import { useNow } from './useNow';

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
  /** What was really poured: off the scale where there is one, else from the marks. */
  actual: StaircasePoint[] | undefined;
}

const NO_TRACE: Trace = { atMs: [], massG: [] };

/** Follows one brew: its clock, its scale, and what both say against the plan. */
export function useBenchBrew(brew: BenchBrew): BenchState {
  const dispatch = useAppDispatch();
  const { key, moved, plan: written } = brew;
  const plan = useMemo(() => goingPlan({ plan: written, moved }), [written, moved]);
  const steps = useMemo(() => benchSteps(plan), [plan]);
  const isStarted = brew.run.marks.length > 0;
  const isRunning = isStarted && brew.run.marks.length < steps.length;
  const lastMarkMs = brew.run.marks.at(-1)?.atMs ?? 0;
  useEffect(() => goOnFrom(lastMarkMs), [lastMarkMs]);
  const scale = useBenchScale(brew, 'brewer');
  const scaleView = useScaleView(scale);
  // A scale that reads ten times a second is clock enough: two clocks would draw everything twice.
  const isTicking = isRunning && scaleView?.status !== 'reading';
  const nowMs = Math.max(useNow(isTicking ? TICK_MS : null), scaleView?.readMs ?? 0, lastMarkMs);
  const moment = benchMoment({ run: brew.run, steps, nowMs });
  const startMs = brew.run.marks[0]?.atMs;
  const trace = scale && startMs !== undefined ? scale.traceFrom(startMs) : NO_TRACE;
  const { run, totalsG } = brew;
  const done = useMemo(() => doneSteps({ run, totalsG }), [run, totalsG]);
  const elapsedMs = moment.elapsedS * 1000;

  const read = isStarted ? totalsFromTrace({ plan, done, trace, nowMs: elapsedMs }) : {};
  const fresh = Object.entries(read).find(([stepIndex]) => brew.totalsG[Number(stepIndex)] === undefined);
  const [freshStep, freshG] = fresh ?? [];
  useEffect(() => {
    if (freshStep !== undefined && freshG !== undefined) {
      dispatch(totalWritten({ key, stepIndex: Number(freshStep), totalG: freshG }));
    }
  }, [dispatch, key, freshStep, freshG]);

  // A scale that falls silent in the middle is part of what happened.
  const isLost = isRunning && scaleView?.status === 'silent';
  const noteLoss = useEffectEvent(() =>
    dispatch(
      eventNoted({
        key,
        event: {
          kind: 'scale-lost',
          atS: Math.round(moment.elapsedS * 10) / 10,
          figure: null,
          text: scaleView?.name ?? '',
        },
      }),
    ),
  );
  useEffect(() => {
    if (isLost) noteLoss();
  }, [isLost]);

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
    isCupDue:
      isRunning &&
      isCupDue({
        rule: brew.cups,
        changes: brew.events.filter(({ kind }) => kind === 'cup-changed').length,
        elapsedS: moment.elapsedS,
        massG,
      }),
    actual: !isStarted
      ? undefined
      : trace.atMs.length > 0
        ? traceLine(trace)
        : actualStaircase({ plan, done, untilS: moment.elapsedS }),
  };
}

/** The last pour's miss, while the next pour has not begun and nobody has answered it. */
function openMiss(brew: BenchBrew, plan: BrewPlan, steps: readonly BenchStep[]): Correction | null {
  const lastPour = brew.run.marks.findLast(
    ({ stepIndex, skipped }) => steps[stepIndex]?.kind === 'pour' && !skipped,
  );
  const step = lastPour && steps[lastPour.stepIndex];
  const shownG = lastPour && brew.totalsG[lastPour.stepIndex];
  if (step?.kind !== 'pour' || shownG === undefined || brew.answered.includes(step.pourNumber)) return null;
  return correctionAfter({ plan, pourNumber: step.pourNumber, shownG });
}
