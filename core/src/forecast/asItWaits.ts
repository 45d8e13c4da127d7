import { simulateBrew } from '../brewModel/simulateBrew.js';
import type { BrewForecast } from '../brewModel/types.js';
import {
  conditionsOfPlan,
  lotFactorsOf,
  type BrewConditions,
  type BrewKit,
  type LearnedFactors,
} from '../calibration/conditions.js';
import { pourEndS, type BrewPlan, type Pour } from '../plan/plan.js';
import { USUAL_LEVEL_MM } from '../plan/pouringWords.js';

/** Everything a forecast of a plan is made from. */
interface Waiting {
  plan: BrewPlan;
  kit: BrewKit;
  factors: LearnedFactors;
  roastAgeDays?: number | undefined;
  /** A brew under way: pours that have begun keep their time, and what has not cannot begin before what is known, s. */
  going?: { begunPours: number; knownS: number };
}

/**
 * The plan with each pour that waits begun when the model expects what it waits for: the bed shows once no free water
 * stands on it, all is through once the outflow has fallen to drips. Pours by the clock keep their time, or follow at
 * once where the water before them comes later.
 *
 * @returns the same plan where no pour waits
 */
export function asItWaits({
  plan,
  kit,
  factors,
  roastAgeDays,
  going: { begunPours, knownS } = { begunPours: 0, knownS: 0 },
}: Waiting): BrewPlan {
  if (plan.pours.every(({ startsWhen }) => startsWhen === undefined)) return plan;
  const pours: Pour[] = [];
  for (const pour of plan.pours) {
    const before = pours.at(-1);
    if (pours.length < begunPours) {
      pours.push(pour);
      continue;
    }
    const freeS = Math.max(knownS, before ? Math.ceil(pourEndS(before)) : 0);
    const seenS =
      pour.startsWhen === undefined
        ? null
        : seenAtS({ plan: { ...plan, pours }, kit, factors, roastAgeDays }, pour);
    pours.push({ ...pour, startS: Math.max(freeS, Math.round(seenS ?? pour.startS)) });
  }
  return { ...plan, pours };
}

/** A plan as the model brews it, with its waiting pours begun when they are expected to be. */
export function brewAsItWaits(waiting: Waiting): BrewConditions {
  const { kit, roastAgeDays } = waiting;
  return conditionsOfPlan({
    plan: asItWaits(waiting),
    kit,
    ...(roastAgeDays === undefined ? {} : { roastAgeDays }),
  });
}

/** When what a pour waits for is seen after the pours before it, s; `null` where the model never sees it. */
function seenAtS(
  { plan, kit, factors, roastAgeDays }: Waiting,
  { startsWhen, levelMm = USUAL_LEVEL_MM }: Pour,
): number | null {
  // Nobody lifts the brewer off before the last pour.
  const { liftAtS: _, ...brew } = conditionsOfPlan({ plan, kit });
  const simulated = simulateBrew({ ...brew, lot: lotFactorsOf(factors, roastAgeDays) });
  if (!simulated.ok || simulated.value.drawdownS === null) return null;
  const { drawdownS, series } = simulated.value;
  switch (startsWhen) {
    case 'level':
      return sinksToS(simulated.value, levelMm / 1000, Math.max(...plan.pours.map(pourEndS)));
    case 'bed-shows':
      return drawdownS;
    default:
      return series.atS.at(-1) ?? null;
  }
}

/** The first moment after a pour at which the water stands no higher than so much over the bed, s. */
function sinksToS({ drawdownS, series }: BrewForecast, overBedM: number, afterS: number): number | null {
  const bedM = series.levelM[series.atS.findIndex((atS) => atS >= (drawdownS ?? Infinity))] ?? 0;
  const sunk = series.atS.findIndex(
    (atS, index) => atS >= afterS && (series.levelM[index] ?? 0) - bedM <= overBedM,
  );
  return series.atS[sunk] ?? null;
}
