import { calibrateLot, type LotCalibration } from '../calibration/calibrateLot.js';
import { conditionsOfPlan, FACTORS, type BrewKit } from '../calibration/conditions.js';
import { conditionsFault } from '../calibration/evidence.js';
import { forecasterOf, sensitivityOf, type Expected } from '../calibration/forecastBrew.js';
import { modelledBrew } from '../calibration/modelled.js';
import type { BrewInputFailure } from '../brewModel/checkBrew.js';
import { retainedWaterGPerG } from '../extraction/retainedWater.js';
import { asItWaits } from '../forecast/asItWaits.js';
import { OUTCOMES, type OutcomeOf } from '../forecast/outcome.js';
import { withGrind } from '../plan/grinding.js';
import { planWaterG, type BrewPlan } from '../plan/plan.js';
import { success, valueOf, type Result } from '../result.js';
import { lessonOf, type Lesson } from './lesson.js';

/** A figure of this lot and of lots like it with the same plan, and what is still open of the difference. */
interface Beside {
  here: number;
  likeIt: number;
  /** Standard deviation of what is expected here. */
  sd: number;
}

export interface LotTaught {
  /** Brews that it was learned from, those in other kit among them. */
  brews: number;
  /** The plan as it stands, beside what was believed of such a lot before any of its brews. */
  beside: Record<OutcomeOf, Beside>;
  /** What 50 um finer and one degree hotter do to it. */
  finer: Record<OutcomeOf, number>;
  hotter: Record<OutcomeOf, number>;
  /** Share of the step of the grind that is still open, as a standard deviation: 0.2 is a fifth. */
  stepOpen: number;
  /** Water that the bed keeps, g per g of dose, with the band that holds it nine times of ten. */
  retainedGPerG: { value: number; low: number; high: number };
  /** What the next brew would teach most; `null` where nothing much is left. */
  lesson: Lesson | null;
}

const FINER_UM = 50;
const HOTTER_C = 1;
const STEEPNESS = FACTORS.indexOf('steepness');

/** What the brews of a lot have taught, in figures that somebody can act on. */
export function lotTaught({
  plan,
  kit,
  calibration,
  roastAgeDays,
}: {
  plan: BrewPlan;
  kit: BrewKit;
  calibration: LotCalibration;
  roastAgeDays?: number;
}): Result<LotTaught, BrewInputFailure> {
  const { factors, band, prior, brews, lnCovariance } = calibration;
  const aged = roastAgeDays === undefined ? {} : { roastAgeDays };
  const brewOf = (changed: BrewPlan) =>
    conditionsOfPlan({ plan: asItWaits({ plan: changed, kit, factors, ...aged }), kit, ...aged });
  const brew = brewOf(plan);
  const fault = conditionsFault(brew, factors);
  if (fault) return fault;
  const forecastBy = (known: LotCalibration) => {
    const forecaster = forecasterOf(known);
    const slopes = sensitivityOf(known, brew);
    return (changed: BrewPlan) => forecaster.forecast(brewOf(changed), slopes);
  };
  const here = forecastBy(calibration);
  const asItIs = here(plan);
  const likeIt = forecastBy(valueOf(calibrateLot({ brews: [], prior })))(plan);
  const effectOf = (changed: BrewPlan) => {
    const then = here(changed);
    return perOutcome((outcome) => then[outcome].value - asItIs[outcome].value);
  };
  const retainedAt = (retained: number) =>
    retainedWaterGPerG({
      waterG: planWaterG(plan),
      beverageG: modelledBrew({ ...brew, bypassG: 0 }, { ...factors, retained }).beverageG,
      doseG: plan.doseG,
    });
  return success({
    brews: brews.length,
    beside: perOutcome((outcome) => besideOf(asItIs[outcome], likeIt[outcome])),
    finer: effectOf(withGrind(plan, plan.grindUm - FINER_UM)),
    hotter: effectOf({ ...plan, kettleC: plan.kettleC + HOTTER_C }),
    stepOpen: Math.sqrt(lnCovariance[STEEPNESS]?.[STEEPNESS] ?? 0),
    retainedGPerG: {
      value: retainedAt(factors.retained),
      low: retainedAt(band.retained.low),
      high: retainedAt(band.retained.high),
    },
    lesson: lessonOf(calibration),
  });
}

function besideOf(here: Expected, likeIt: Expected): Beside {
  return { here: here.value, likeIt: likeIt.value, sd: here.sd };
}

function perOutcome<V>(of: (outcome: OutcomeOf) => V): Record<OutcomeOf, V> {
  return Object.fromEntries(OUTCOMES.map((outcome) => [outcome, of(outcome)])) as Record<OutcomeOf, V>;
}
