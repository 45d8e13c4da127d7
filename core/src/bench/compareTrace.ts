import type { Agitating } from '../vocabulary.js';
import { linearRegression } from 'simple-statistics';
import { outOfRange, type OutOfRange } from '../input/ranges.js';
import { isAlwaysAgitated } from '../plan/agitating.js';
import { pourEndS, runningTotalsG, type BrewPlan } from '../plan/plan.js';
import { failure, success, type Failure, type Result } from '../result.js';

/** Water on the scale at a moment: the total since the tare. */
export interface WaterPoint {
  atS: number;
  totalG: number;
}

/** One planned pour beside what the trace shows of it. */
export interface PouredPour {
  pourNumber: number;
  /** `null` where the trace shows no pour for it. */
  startS: number | null;
  endS: number | null;
  /** What the scale showed once it was in, g. */
  totalG: number | null;
  flowGps: number | null;
  /** Above 0 too late, above 0 too much, above 0 too fast. */
  lateByS: number | null;
  overByG: number | null;
  fasterByGps: number | null;
  /** What is worth saying of it; empty where hand and plan agree. */
  notes: PourNote[];
}

export type PourNote = 'late' | 'early' | 'over' | 'under' | 'too-fast' | 'too-slow' | 'missed';

export interface TraceComparison {
  pours: PouredPour[];
  /** Streams in the trace that no pour of the plan asked for. */
  unplanned: { startS: number; amountG: number }[];
  /** Swirls and stirs of the plan that nobody marked: a scale cannot see them. Empty where nothing was marked. */
  missedAgitation: { pourNumber: number; how: Agitating }[];
}

/** Water rises faster than this while somebody pours, g/s. */
const POURING_GPS = 1.2;
/** The rise is looked at over so long, s: longer than the noise of a scale at ten a second. */
const RISE_OVER_S = 0.6;
/** More than the noise of a bench scale, g. */
const CLEARLY_G = 0.4;
/** A stream that pauses for less than this is one pour, s. */
const PAUSE_S = 3;
/** Smaller than this is a nudge of the scale or a drip, g. */
const SMALLEST_POUR_G = 4;
/** Scatter of a steady hand: what is inside is not worth a note (common practice, sizes assumed). */
const STEADY = { lateByS: 3, overByG: 3, flowShare: 0.3 };
/** How far from its time a stream may start and still be that pour, s. */
const SAME_POUR_S = 25;
/** How far from its time a swirl may be marked and still be that swirl, s. */
const SAME_SWIRL_S = 20;

/**
 * What was poured against what was planned, from the trace of the scale under the brewer: when each pour
 * began and ended, how fast, to what total.
 *
 * @param trace - in any order, from tare to the end; one point a second or more
 * @param agitatedAtS - when the doer marked a swirl or a stir; left out where nobody marked any
 */
export function compareTrace({
  plan,
  trace,
  agitatedAtS,
}: {
  plan: BrewPlan;
  trace: readonly WaterPoint[];
  agitatedAtS?: readonly number[];
}): Result<TraceComparison, OutOfRange | Failure<'too-short'>> {
  for (const [index, { atS, totalG }] of trace.entries()) {
    const fault =
      outOfRange(`trace.${index}.atS`, atS, { low: -60, high: 3600, unit: 's' }) ??
      outOfRange(`trace.${index}.totalG`, totalG, { low: -1000, high: 10_000, unit: 'g' });
    if (fault) return fault;
  }
  if (trace.length < 3) return failure('too-short', 'A trace needs three points or more.');
  const streams = streamsOf([...trace].sort((a, b) => a.atS - b.atS));
  const totals = runningTotalsG(plan);
  const taken = new Set<Stream>();
  const pours = plan.pours.map((pour, index): PouredPour => {
    const stream = streams
      .filter((each) => !taken.has(each) && Math.abs(each.startS - pour.startS) <= SAME_POUR_S)
      .sort((a, b) => Math.abs(a.startS - pour.startS) - Math.abs(b.startS - pour.startS))[0];
    if (!stream) return missedPour(index + 1);
    taken.add(stream);
    const figures = {
      // A pour that waits for something seen is never late by the clock.
      lateByS: pour.startsWhen === undefined ? stream.startS - pour.startS : null,
      overByG: stream.totalG - (totals[index] ?? 0),
      fasterByGps: stream.flowGps - pour.flowGps,
    };
    return {
      pourNumber: index + 1,
      startS: stream.startS,
      endS: stream.endS,
      totalG: stream.totalG,
      flowGps: stream.flowGps,
      ...figures,
      notes: notesOf(figures, pour.flowGps),
    };
  });
  return success({
    pours,
    unplanned: streams
      .filter((stream) => !taken.has(stream))
      .map(({ startS, amountG }) => ({ startS, amountG })),
    missedAgitation: agitatedAtS ? missedAgitation(plan, agitatedAtS) : [],
  });
}

function missedAgitation(plan: BrewPlan, markedS: readonly number[]): TraceComparison['missedAgitation'] {
  const left = [...markedS];
  return plan.pours.flatMap((pour, index) => {
    if (!isAlwaysAgitated(pour)) return [];
    const dueS = pourEndS(pour);
    const marked = left.findIndex((atS) => Math.abs(atS - dueS) <= SAME_SWIRL_S);
    if (marked < 0) return [{ pourNumber: index + 1, how: pour.agitation }];
    left.splice(marked, 1);
    return [];
  });
}

function notesOf(
  { lateByS, overByG, fasterByGps }: { lateByS: number | null; overByG: number; fasterByGps: number },
  flowGps: number,
): PourNote[] {
  const notes: PourNote[] = [];
  if (lateByS !== null && Math.abs(lateByS) > STEADY.lateByS) notes.push(lateByS > 0 ? 'late' : 'early');
  if (Math.abs(overByG) > STEADY.overByG) notes.push(overByG > 0 ? 'over' : 'under');
  if (Math.abs(fasterByGps) > STEADY.flowShare * flowGps)
    notes.push(fasterByGps > 0 ? 'too-fast' : 'too-slow');
  return notes;
}

function missedPour(pourNumber: number): PouredPour {
  const nothing = { startS: null, endS: null, totalG: null, flowGps: null };
  return { pourNumber, ...nothing, lateByS: null, overByG: null, fasterByGps: null, notes: ['missed'] };
}

interface Stream {
  startS: number;
  endS: number;
  amountG: number;
  totalG: number;
  flowGps: number;
}

/** Stretches in which the water rises, short pauses bridged. */
function streamsOf(trace: readonly WaterPoint[]): Stream[] {
  const rising: { from: number; to: number }[] = [];
  let back = 0;
  for (let at = 1; at < trace.length; at++) {
    const now = trace[at];
    if (!now) continue;
    // Over a while, since two neighbours at ten a second differ by noise alone.
    while (back < at - 1 && now.atS - (trace[back + 1]?.atS ?? 0) >= RISE_OVER_S) back += 1;
    const before = trace[back];
    if (!before || now.atS <= before.atS) continue;
    if ((now.totalG - before.totalG) / (now.atS - before.atS) < POURING_GPS) continue;
    const open = rising.at(-1);
    if (open && before.atS - (trace[open.to]?.atS ?? 0) < PAUSE_S) open.to = at;
    else rising.push({ from: back, to: at });
  }
  return rising.flatMap(({ from, to }): Stream[] => {
    const points = trimmed(trace.slice(from, to + 1));
    const [first, last] = [points[0], points.at(-1)];
    if (!first || !last || last.totalG - first.totalG < SMALLEST_POUR_G) return [];
    const amountG = last.totalG - first.totalG;
    // The ends of a stream are ramps of the scale, not of the hand.
    const steady = points.filter(
      ({ totalG }) => totalG > first.totalG + 0.15 * amountG && totalG < last.totalG - 0.15 * amountG,
    );
    const line = linearRegression(
      (steady.length < 2 ? points : steady).map(({ atS, totalG }) => [atS, totalG]),
    );
    return [
      {
        startS: first.atS,
        endS: last.atS,
        amountG,
        totalG: last.totalG,
        flowGps: line.m,
      },
    ];
  });
}

/** From the last point before the water clearly rises to the first at which it is clearly in. */
function trimmed(points: readonly WaterPoint[]): WaterPoint[] {
  const [lowG, highG] = [points[0]?.totalG ?? 0, points.at(-1)?.totalG ?? 0];
  const risen = points.findIndex(({ totalG }) => totalG > lowG + CLEARLY_G);
  const settled = points.findIndex(({ totalG }) => totalG > highG - CLEARLY_G);
  if (risen === -1 || settled <= risen) return [...points];
  return points.slice(Math.max(0, risen - 1), settled + 1);
}
