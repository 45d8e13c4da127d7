import {
  addedWaterG,
  benchSteps,
  brewResult,
  CUP_IS_GONE_H,
  labelNotesIn,
  outflowPoints,
  pouredWaterG,
  roastAgeDays,
  type BrewResult,
  type Trace,
  type TracePoint,
} from '@vendu/core';
import type { BrewListItem, BrewView } from '@vendu/contract';
import type { LotModel } from '../lots/lot.model.js';
import type { BrewModel } from './brew.model.js';
import type { FractionModel } from './fraction.model.js';

/** What whoever brews or tastes has to know of the coffee. */
export function lotInCup({ id, name, process, additions, labelNotes }: LotModel): BrewView['lot'] {
  return { id, name, process, additions, labelNotes: labelNotesIn(labelNotes) };
}

/** What the figures of a brew are worked out from. */
export type WeighedBrew = Pick<BrewModel, 'doseG' | 'waterG' | 'beverageG' | 'plan' | 'steps' | 'events'> & {
  readings: readonly { tdsPercent: number }[];
};

/** The water of a brew: as written down, else as the plan says, and which of the two it is. */
export function brewWater(brew: Omit<WeighedBrew, 'readings'>): {
  waterG: number;
  basis: 'as-weighed' | 'as-planned';
} {
  if (brew.waterG !== null) return { waterG: brew.waterG, basis: 'as-weighed' };
  return pouredWaterG({ plan: brew.plan, done: brew.steps });
}

/** The dose of a brew: as weighed, else as the plan says, and which of the two it is. */
export function brewDose(brew: Omit<WeighedBrew, 'readings'>): {
  doseG: number;
  basis: 'as-weighed' | 'as-planned';
} {
  return brew.doseG === null
    ? { doseG: brew.plan.doseG, basis: 'as-planned' }
    : { doseG: brew.doseG, basis: 'as-weighed' };
}

/** Needs `readings` loaded. */
export function resultOf(brew: WeighedBrew): BrewResult | null {
  return brewResult({
    doseG: brewDose(brew).doseG,
    // What was added to the finished beverage is in it and in no bed.
    waterG: brewWater(brew).waterG + addedWaterG({ plan: brew.plan, events: brew.events ?? [] }),
    beverageG: brew.beverageG,
    readingsPercent: brew.readings.map(({ tdsPercent }) => tdsPercent),
  });
}

/** Needs `readings`, `version`, `roastBatch` and `brewer` loaded. */
export function brewListItem(
  brew: BrewModel,
  number: number,
  { outflow, cups, liked }: { outflow: Trace | null; cups: readonly FractionModel[]; liked: number | null },
): BrewListItem {
  return {
    id: brew.id,
    number,
    recipeId: brew.version.recipeId,
    versionNumber: brew.version.number,
    brewedBy: brew.brewer.name,
    startedAt: brew.startedAt.toISOString(),
    plan: brew.plan,
    steps: brew.steps,
    events: brew.events ?? [],
    doseG: brewDose(brew).doseG,
    waterG: brewWater(brew).waterG,
    beverageG: brew.beverageG,
    result: resultOf(brew),
    verdict: brew.verdict,
    // A mean would tell of sheets that are still closed.
    liked: Date.now() - brew.startedAt.getTime() > CUP_IS_GONE_H * 3_600_000 ? liked : null,
    isSetAside: brew.setAsideAt !== null,
    isSimulated: brew.isSimulated || brew.readings.some(({ source }) => source === 'simulated'),
    fromCard: brew.fromCard,
    roastAgeDays: roastAgeAtBrew(brew),
    outflow: outflow ? pointsOf(outflow, brew) : [],
    cups: cups.map(({ endS, beverageG, tdsPercent }) => ({ endS, beverageG, tdsPercent })),
  };
}

/** So often a curve is passed on, s: the calibration takes eight points of it. */
const POINT_EVERY_S = 10;

/** The curve until the brew was marked as drained: what happens to the server afterwards is no drip. */
function pointsOf(outflow: Trace, { plan, steps }: Pick<BrewModel, 'plan' | 'steps'>): TracePoint[] {
  const lastS = (outflow.atMs.at(-1) ?? 0) / 1000;
  const last = benchSteps(plan).length - 1;
  const drained = steps.find(({ stepIndex, skipped }) => stepIndex === last && !skipped);
  return outflowPoints(outflow, { everyS: POINT_EVERY_S, untilS: Math.min(lastS, drained?.atS ?? lastS) });
}

function roastAgeAtBrew(brew: BrewModel): number {
  return roastAgeDays({
    roastedOn: brew.roastBatch.roastedOn,
    onDate: brew.startedAt.toISOString().slice(0, 10),
  });
}
