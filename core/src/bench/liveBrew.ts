import { withKettlesRead } from '../plan/openLid.js';
import { asDone, withAgitation } from '../plan/agitating.js';
import { runningTotalsG, roundToTenth, type BrewPlan, type Pour } from '../plan/plan.js';
import { staircase, staircaseTotalG } from '../plan/staircase.js';
import { kettleReadsC, type BenchEvent } from './benchEvents.js';
import { benchSteps } from './benchSteps.js';
import type { StepDone } from './planAgainstActual.js';

/** How the brew stands against its plan at a moment. */
export interface Lead {
  /** More water in than planned by now, g; below 0 less. */
  aheadG: number;
  /** Earlier than planned, s: when the plan reaches what is in now; `null` where the plan stands still. */
  aheadS: number | null;
}

/** Slopes flatter than this tell no time, g/s. */
const STANDING_GPS = 0.5;
/** Shortest flow that a pour begun and not ended is taken to have, g/s. */
const SLOWEST_GPS = 1;

/** Lead or lag of what was poured, against the planned staircase. */
export function leadOf({ plan, atS, totalG }: { plan: BrewPlan; atS: number; totalG: number }): Lead {
  const points = staircase({ pours: plan.pours, endS: plan.drawdownS });
  const aheadG = roundToTenth(totalG - staircaseTotalG({ points, atS }));
  const rising = points.findIndex(
    (point, index) => index > 0 && point.totalG >= totalG && point.totalG > (points[index - 1]?.totalG ?? 0),
  );
  const [from, to] = [points[rising - 1], points[rising]];
  if (!from || !to) return { aheadG, aheadS: null };
  const slopeGps = (to.totalG - from.totalG) / (to.atS - from.atS);
  const plannedS = from.atS + (totalG - from.totalG) / slopeGps;
  const isPouring = atS >= from.atS - 5 && atS <= to.atS + 5;
  return { aheadG, aheadS: slopeGps < STANDING_GPS || !isPouring ? null : plannedS - atS };
}

/** What may be done about a pour that missed its total. */
export interface Correction {
  /** The pour that missed, and by how much: over is positive, g. */
  pourNumber: number;
  overG: number;
  /** By how much later totals move if amounts are kept, in whole grams as a scale is read, and the next total then. */
  moveByG: number;
  keepAmountG: number;
  /** The next pour's total as planned: its amount takes up the miss. */
  keepTotalG: number;
}

/** Misses up to this are a hand's scatter, g (common practice, size assumed). */
const WORTH_SAYING_G = 2;

/** The choice of next totals after a pour that missed its own; `null` where none is due. */
export function correctionAfter({
  plan,
  pourNumber,
  shownG,
}: {
  plan: BrewPlan;
  pourNumber: number;
  shownG: number;
}): Correction | null {
  const totals = runningTotalsG(plan);
  const [plannedG, nextG] = [totals[pourNumber - 1], totals[pourNumber]];
  if (plannedG === undefined || nextG === undefined) return null;
  const overG = roundToTenth(shownG - plannedG);
  if (Math.abs(overG) <= WORTH_SAYING_G) return null;
  const moveByG = Math.round(overG);
  return { pourNumber, overG, moveByG, keepAmountG: roundToTenth(nextG + moveByG), keepTotalG: nextG };
}

/** The plan with later totals moved, as somebody chose after a miss; amounts before that pour stay. */
export function withTotalsMoved(
  plan: BrewPlan,
  { fromPour, byG }: { fromPour: number; byG: number },
): BrewPlan {
  return {
    ...plan,
    pours: plan.pours.map((pour, index) =>
      index === fromPour - 1 ? { ...pour, amountG: roundToTenth(pour.amountG + byG) } : pour,
    ),
  };
}

/**
 * The plan as the brew is really going: what was done stands, what is to come keeps its totals and its distance.
 * The kettle is as hot as it was read, until it is read again or the plan sets it anew.
 */
export function planAsGoing({
  plan,
  done,
  events,
  ambientC,
}: {
  plan: BrewPlan;
  ambientC?: number;
  done: readonly StepDone[];
  events: readonly BenchEvent[];
}): BrewPlan {
  const steps = benchSteps(plan);
  const totals = runningTotalsG(plan);
  const agitated = new Map(
    done.flatMap(({ stepIndex, skipped }) => {
      const step = steps[stepIndex];
      return step?.kind === 'agitate' ? [[step.pourNumber, !skipped] as const] : [];
    }),
  );
  const marks = plan.pours.map((_, index) => {
    const stepIndex = steps.findIndex((step) => step.kind === 'pour' && step.pourNumber === index + 1);
    return done.find((each) => each.stepIndex === stepIndex && !each.skipped);
  });
  const readsC = kettleReadsC(
    events,
    marks.map((mark) => mark?.atS ?? null),
  );
  // What is not marked by then had not begun.
  const knownS = Math.max(0, ...[...done, ...events].map(({ atS }) => atS));
  let beforeG = 0;
  let freeS = 0;
  const pours = plan.pours.map((pour, index): Pour => {
    const mark = marks[index];
    const totalG = mark?.totalG ?? totals[index] ?? beforeG;
    const amountG = Math.max(1, roundToTenth(totalG - beforeG));
    const startS = Math.max(freeS, mark?.atS ?? Math.max(knownS, pour.startS));
    beforeG = Math.max(beforeG + 1, totalG);
    freeS = startS + amountG / Math.max(SLOWEST_GPS, pour.flowGps);
    const wasAgitated = agitated.get(index + 1);
    return {
      ...(wasAgitated === undefined ? pour : wasAgitated ? asDone(pour) : withAgitation(pour, 'none')),
      startS,
      amountG,
    };
  });
  return withKettlesRead({ ...plan, pours }, readsC, ambientC);
}
