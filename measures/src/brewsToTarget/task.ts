import {
  CLASSIC_WINDOW,
  conditionsOfPlan,
  fittedStart,
  isOnAim,
  normalDraw,
  seededRandom,
  targetsOf,
  USUAL_SCHOOLS,
  type Aim,
  type BrewPlan,
  type EarlierLot,
  type Targets,
} from '@vendu/core';
import { layeredLab } from '../truths/layers/layeredLab.js';
import type { SyntheticLab, SyntheticLot, TrueBrew, TruthName } from '../truths/truth.js';
import { variedLab } from '../truths/variedModel.js';

/** What a fresh installation aims at, a house with a window of its own, and one that wants just its middle. */
export const AIMS = {
  installed: CLASSIC_WINDOW,
  house: { tdsLowPercent: 1.2, tdsHighPercent: 1.4, yieldLowPercent: 18.5, yieldHighPercent: 21.5 },
  middle: { tdsLowPercent: 1.25, tdsHighPercent: 1.35, yieldLowPercent: 19.5, yieldHighPercent: 20.5 },
} satisfies Record<string, Aim>;
export type AimName = keyof typeof AIMS;

/** What the grinder, the kettle and the place can do. */
export const LIMITS = { finestUm: 300, coarsestUm: 1400, hottestC: 99, coolestC: 80 };

export const LOTS_A_LAB = 10;

const LABS: Record<TruthName, (seed: number) => SyntheticLab> = { varied: variedLab, layered: layeredLab };

/** A lot that has just come in, what it is meant to give, and the recipe that the page starts it with. */
export interface Task {
  seed: number;
  lot: SyntheticLot;
  aim: Aim;
  targets: Targets;
  start: BrewPlan;
}

/**
 * @param earlierLots - what the laboratory's finished lots say of this one
 * @param shape - of its brewer; the lot's own draw where left out
 */
export function taskOf(
  truth: TruthName,
  seed: number,
  aim: Aim = AIMS.house,
  earlierLots: readonly EarlierLot[] = [],
  shape?: SyntheticLot['shape'],
): Task {
  const lot = LABS[truth](Math.floor(seed / LOTS_A_LAB)).lot(seed, shape);
  const { facts, kit } = lot;
  const { elevationM } = facts;
  const { plan: start } = fittedStart({
    facts: {
      ...facts,
      elevation: elevationM === null ? null : { fromM: elevationM, toM: elevationM },
      brewer: { shape: lot.shape, usualDoseG: 15 + (seed % 4) },
      paperPerM: kit.paperPerM,
      schools: USUAL_SCHOOLS,
      labElevationM: kit.elevationM,
    },
    switchedOff: [],
    kit,
    houseWindow: { ...aim },
    aim: null,
    reach: LIMITS,
    earlierLots,
  });
  return { seed, lot, aim, targets: targetsOf(aim), start };
}

/** A plan brewed without any error. */
export function trueCup({ lot }: Task, plan: BrewPlan): TrueBrew {
  return lot.trueBrew(conditionsOfPlan({ plan, kit: lot.kit, roastAgeDays: lot.facts.roastAgeDays }));
}

export function isInside({ targets }: Task, cup: { tdsPercent: number; yieldPercent: number }): boolean {
  return isOnAim(targets, cup);
}

export function middleOf(aim: Aim) {
  return {
    tdsPercent: (aim.tdsLowPercent + aim.tdsHighPercent) / 2,
    yieldPercent: (aim.yieldLowPercent + aim.yieldHighPercent) / 2,
  };
}

/** A stream of hand errors that is the same for every strategy on a lot. */
export function handOf(seed: number): () => number {
  const random = seededRandom(seed * 104_729 + 1);
  normalDraw(random, { mean: 0, sd: 1 });
  return random;
}
