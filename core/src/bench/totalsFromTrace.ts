import { standingMassG, type Trace } from '../instruments/trace.js';
import { roundToTenth, type BrewPlan } from '../plan/plan.js';
import { benchSteps } from './benchSteps.js';
import type { StepDone } from './planAgainstActual.js';

/** Water rises slower than this once a pour is in, g/s. */
const SETTLED_GPS = 0.7;
/** The scale is looked at for so long, ms, to tell that it stands still. */
const SETTLE_MS = 1000;
/** A pour has begun when the scale has risen by this, g. */
const BEGUN_G = 3;

/**
 * What the scale showed when each marked pour was in, g, by step: of the earlier pours what stood there before
 * the next began, of the last one what stands there once it stands still. A pour that the scale did not see, because
 * it was silent, has none.
 */
export function totalsFromTrace({
  plan,
  done,
  trace,
  nowMs,
}: {
  plan: BrewPlan;
  done: readonly StepDone[];
  trace: Trace;
  nowMs: number;
}): Record<number, number> {
  const steps = benchSteps(plan);
  const pours = done.filter(({ stepIndex, skipped }) => steps[stepIndex]?.kind === 'pour' && !skipped);
  const totals: Record<number, number> = {};
  let beforeG = 0;
  for (const [index, pour] of pours.entries()) {
    const nextS = pours[index + 1]?.atS;
    const endMs = nextS === undefined ? nowMs : nextS * 1000;
    const totalG = standingMassG(trace, endMs);
    if (totalG === null || totalG - beforeG < BEGUN_G) continue;
    if (nextS === undefined && !isSettled(trace, nowMs, totalG)) continue;
    totals[pour.stepIndex] = roundToTenth(totalG);
    beforeG = totalG;
  }
  return totals;
}

function isSettled(trace: Trace, nowMs: number, totalG: number): boolean {
  const earlierG = standingMassG(trace, nowMs - SETTLE_MS);
  return earlierG !== null && Math.abs(totalG - earlierG) < (SETTLED_GPS * SETTLE_MS) / 1000;
}
