import { useEffect, useMemo } from 'react';
import {
  benchSteps,
  drainedS,
  firstDripS,
  outflowGps,
  outflowPoints,
  pourEndS,
  sinceStart,
  type BrewPlan,
  type StaircasePoint,
  type TracePoint,
} from '@vendu/core';
import { useAppDispatch } from '../state/hooks';
import { soFar, type BenchBrew } from './benchBrew';
import type { ScaleView } from './benchScale';
import { useBenchScale, useScaleView } from './benchScales';
import { brewTold, stepMarked } from './benchSlice';
import { traceLine } from './traceLine';

/** The outflow goes into the forecast, and is listened to, so often, s. */
const FORECAST_EVERY_S = 5;
const LISTEN_EVERY_S = 1;
const NO_POINTS: TracePoint[] = [];

export interface OutflowView extends Omit<ScaleView, 'massG'> {
  /** What has run into the server; `null` while its scale is not heard. */
  beverageG: number | null;
  gps: number | null;
  /** What has run into the server, to draw. */
  line: StaircasePoint[];
}

/**
 * Follows the scale under the server: what runs through, for the eye and for the forecast; and marks by itself the
 * first drip and the end of the drawdown.
 */
export function useOutflow(
  brew: BenchBrew,
  { plan, elapsedS }: { plan: BrewPlan; elapsedS: number },
): { view: OutflowView | null; points: readonly TracePoint[] } {
  const dispatch = useAppDispatch();
  const { key } = brew;
  const { run, steps: done, isDripHeard, drainHeard } = soFar(brew);
  const scale = useBenchScale(brew, 'server');
  const view = useScaleView(scale);
  const startMs = run.marks[0]?.atMs;
  const steps = useMemo(() => benchSteps(plan), [plan]);
  const isRunning = startMs !== undefined && run.marks.length < steps.length;
  const trace = useMemo(
    () => (scale && startMs !== undefined ? sinceStart(scale.traceFrom(startMs)) : null),
    // A reading changes the view, and with it the trace.
    // oxlint-disable-next-line react/exhaustive-deps
    [scale, startMs, view?.readMs],
  );
  const listenedS = Math.floor(elapsedS / LISTEN_EVERY_S);
  // All the water is in, and only the drain is left to mark; a brew that is lifted does not drain.
  const lastPour = plan.pours.at(-1);
  const awaitsDrain =
    isRunning && !plan.lifts && drainHeard === 'no' && steps[done.length]?.kind === 'drawdown';
  const pouredS = lastPour
    ? (done.findLast(({ stepIndex }) => steps[stepIndex]?.kind === 'pour')?.atS ?? lastPour.startS) +
      (pourEndS(lastPour) - lastPour.startS)
    : 0;
  useEffect(() => {
    if (!trace || !isRunning) return;
    const dripS = isDripHeard ? null : firstDripS(trace);
    if (dripS !== null) {
      dispatch(brewTold({ key, happened: { kind: 'first-drip' }, atMs: startMs + dripS * 1000 }));
    }
    const drainS = awaitsDrain ? drainedS(trace, pouredS) : null;
    if (drainS !== null) dispatch(stepMarked({ key, atMs: startMs + drainS * 1000, by: 'outflow' }));
    // Once a second is often enough: the trace grows ten times as often.
    // oxlint-disable-next-line react/exhaustive-deps
  }, [listenedS, awaitsDrain, isDripHeard]);

  const hasTrace = trace !== null;
  const forecastS = Math.floor(elapsedS / FORECAST_EVERY_S) * FORECAST_EVERY_S;
  const points = useMemo(
    () =>
      trace && isRunning ? outflowPoints(trace, { everyS: FORECAST_EVERY_S, untilS: forecastS }) : NO_POINTS,
    // oxlint-disable-next-line react/exhaustive-deps
    [hasTrace, isRunning, forecastS],
  );
  return {
    view:
      view && trace
        ? {
            ...view,
            beverageG: view.status === 'reading' ? (trace.massG.at(-1) ?? null) : null,
            gps: isRunning ? outflowGps(trace, elapsedS * 1000) : null,
            line: traceLine(trace),
          }
        : null,
    points,
  };
}
