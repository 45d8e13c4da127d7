import type { LotCalibration } from '../calibration/calibrateLot.js';
import { conditionsOfPlan, type BrewKit } from '../calibration/conditions.js';
import { forecasterOf, sensitivityOf, type CalibratedForecast } from '../calibration/forecastBrew.js';
import type { Targets } from '../aim/aim.js';
import { distanceFromAim } from '../aim/chanceOnAim.js';
import { cupsOnAim } from '../aim/cupsOnAim.js';
import { asItWaits } from '../forecast/asItWaits.js';
import type { BrewPlan } from '../plan/plan.js';
import { LEVERS, MOVES, withLever, type Lever, type Limits } from './levers.js';

/** One lever moved. */
export interface LeverMove {
  lever: Lever;
  from: number;
  to: number;
}

/** A plan a change away from the last one, and what to expect of it. */
export interface Candidate {
  moves: LeverMove[];
  plan: BrewPlan;
  /** The same with each pour that waits at the time at which it is expected to begin. */
  timed: BrewPlan;
  forecast: CalibratedForecast;
  /** Probability that the next cup of it comes out within the target's windows. */
  chance: number;
  distance: number;
}

/** Points of the first look along a lever. */
const SCAN = 9;

/** Looks along levers for the plan likeliest to come out within its windows. */
export function searcher({
  plan,
  kit,
  calibration,
  targets,
  limits,
  roastAgeDays,
}: {
  plan: BrewPlan;
  kit: BrewKit;
  calibration: LotCalibration;
  targets: Targets;
  limits: Limits;
  roastAgeDays?: number;
}) {
  const forecaster = forecasterOf(calibration);
  const { factors } = calibration;
  const timedOf = (candidate: BrewPlan) => asItWaits({ plan: candidate, kit, factors, roastAgeDays });
  const brewOf = (timed: BrewPlan) =>
    conditionsOfPlan({ plan: timed, kit, ...(roastAgeDays === undefined ? {} : { roastAgeDays }) });
  // Slopes change slowly along a lever: those of the plan serve all its neighbours.
  const slopes = sensitivityOf(calibration, brewOf(timedOf(plan)));

  function candidateOf(candidate: BrewPlan): Candidate {
    const timed = timedOf(candidate);
    const forecast = forecaster.forecast(brewOf(timed), slopes);
    const usable = forecast.drains && !forecast.overflows;
    return {
      moves: movesBetween(plan, candidate),
      plan: candidate,
      timed,
      forecast,
      chance: usable ? cupsOnAim(forecast, targets) : 0,
      distance: distanceFromAim(forecast, targets) + (usable ? 0 : 100),
    };
  }

  /** The best value of one lever with all else as in `from`. */
  function along(lever: Lever, from: Candidate): Candidate {
    const { step, reach } = MOVES[lever];
    const { low, high } = reach(plan, limits);
    if (!(high > low)) return from;
    const seen = new Map<number, Candidate | null>();
    const look = (value: number): Candidate | null => {
      const rounded = Math.min(high, Math.max(low, Math.round(value / step) * step));
      const known = seen.get(rounded);
      if (known !== undefined) return known;
      const changed = withLever(from.plan, lever, rounded);
      const candidate = changed && candidateOf(changed);
      seen.set(rounded, candidate);
      return candidate;
    };
    let best = from;
    let at = MOVES[lever].valueIn(from.plan);
    const consider = (value: number) => {
      const candidate = look(value);
      if (!candidate || worth(candidate) <= worth(best)) return;
      best = candidate;
      at = MOVES[lever].valueIn(candidate.plan);
    };
    let spacing = (high - low) / (SCAN - 1);
    for (let index = 0; index < SCAN; index++) consider(low + index * spacing);
    while (spacing > step) {
      spacing /= 2;
      const centre = at;
      consider(centre - spacing);
      consider(centre + spacing);
    }
    return best;
  }

  const current = candidateOf(plan);
  const alone = new Map<Lever, Candidate>();
  function single(lever: Lever): Candidate {
    const best = alone.get(lever) ?? along(lever, current);
    alone.set(lever, best);
    return best;
  }
  return {
    /** The plan as it is. */
    current,
    /** The best of each lever alone. */
    singles(levers: readonly Lever[]): Candidate[] {
      return levers.map(single).filter(({ moves }) => moves.length > 0);
    },
    /** One usual step of a lever, or `null` where that cannot be done. */
    stepped(lever: Lever, direction: 'up' | 'down'): Candidate | null {
      const { valueIn, usual, reach } = MOVES[lever];
      const to = valueIn(plan) + (direction === 'up' ? usual : -usual);
      const { low, high } = reach(plan, limits);
      const changed = to < low || to > high ? null : withLever(plan, lever, to);
      return changed && candidateOf(changed);
    },
    /** The best of two levers together: the first alone, then the second, then the first once more. */
    pair(first: Lever, second: Lever): Candidate {
      return along(first, along(second, single(first)));
    },
  };
}

/** Chance first; where none is left to tell two plans apart, the nearer one. */
export function worth({ chance, distance }: Candidate): number {
  return chance - 0.002 * distance;
}

function movesBetween(from: BrewPlan, to: BrewPlan): LeverMove[] {
  return LEVERS.flatMap((lever) => {
    const [before, after] = [MOVES[lever].valueIn(from), MOVES[lever].valueIn(to)];
    return before === after ? [] : [{ lever, from: before, to: after }];
  });
}
