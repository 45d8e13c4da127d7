import { mean, standardDeviation } from 'simple-statistics';
import { compareTrace } from '../bench/compareTrace.js';
import { flowAtGps, traceFault, type Trace } from '../instruments/trace.js';
import type { OutOfRange } from '../input/ranges.js';
import type { BrewPlan } from '../plan/plan.js';
import { success, type Failure, type Result } from '../result.js';

/** What a practice pour is judged on. */
export const SCORED = ['flow', 'timing', 'totals', 'steadiness'] as const;
export type Scored = (typeof SCORED)[number];

export interface PracticeScore {
  /** 0 to 100 each. */
  points: Record<Scored, number>;
  /**
   * Mean size of each miss over the pours that came: g/s, s, g; and the sway of the flow as a share of it;
   * `null` where nothing was poured.
   */
  misses: { flowGps: number; lateS: number; overG: number; sway: number } | null;
  /** Pours that never came. */
  missedPours: number;
}

/** A miss of this size has no points left: flow g/s, time s, total g, sway share (assumed: a beginner's). */
const WORST = { flow: 5, timing: 8, totals: 12, steadiness: 0.5 } satisfies Record<Scored, number>;
/** The start and the end of a stream are ramps of any hand, s. */
const RAMP_S = 1.2;
const LOOKED_AT_EVERY_MS = 100;

/** How well somebody poured what was asked for, off the scale alone. */
export function scorePractice({
  plan,
  trace,
}: {
  plan: BrewPlan;
  trace: Trace;
}): Result<PracticeScore, OutOfRange | Failure<'uneven' | 'too-long' | 'not-rising' | 'too-short'>> {
  const fault = traceFault(trace);
  if (fault) return fault;
  const compared = compareTrace({
    plan,
    trace: trace.atMs.map((atMs, index) => ({ atS: atMs / 1000, totalG: trace.massG[index] ?? 0 })),
  });
  if (!compared.ok) return compared;
  const { pours } = compared.value;
  const poured = pours.filter(({ startS }) => startS !== null);
  const missedPours = pours.length - poured.length;
  if (poured.length === 0) {
    return success({
      points: { flow: 0, timing: 0, totals: 0, steadiness: 0 },
      misses: null,
      missedPours,
    });
  }
  const sizeOf = (figure: (pour: (typeof pours)[number]) => number | null) =>
    mean(poured.map((pour) => Math.abs(figure(pour) ?? 0)));
  const sways = poured.flatMap(({ startS, endS }) => {
    const sway = swayOf(trace, startS ?? 0, endS ?? 0);
    return sway === null ? [] : [sway];
  });
  const misses = {
    flowGps: sizeOf(({ fasterByGps }) => fasterByGps),
    lateS: sizeOf(({ lateByS }) => lateByS),
    overG: sizeOf(({ overByG }) => overByG),
    sway: sways.length === 0 ? 0 : mean(sways),
  };
  // A pour that never came has no points for anything.
  const share = poured.length / pours.length;
  const points = (miss: number, worst: number) => Math.round(100 * share * Math.max(0, 1 - miss / worst));
  return success({
    points: {
      flow: points(misses.flowGps, WORST.flow),
      timing: points(misses.lateS, WORST.timing),
      totals: points(misses.overG, WORST.totals),
      steadiness: points(misses.sway, WORST.steadiness),
    },
    misses,
    missedPours,
  });
}

/** How far the flow sways within a stream, as a share of its mean; `null` where the stream is too short to say. */
function swayOf(trace: Trace, startS: number, endS: number): number | null {
  const flows: number[] = [];
  for (let atMs = (startS + RAMP_S) * 1000; atMs <= (endS - RAMP_S / 2) * 1000; atMs += LOOKED_AT_EVERY_MS) {
    const flowGps = flowAtGps(trace, atMs);
    if (flowGps !== null) flows.push(flowGps);
  }
  return flows.length < 5 ? null : standardDeviation(flows) / Math.max(1, mean(flows));
}
