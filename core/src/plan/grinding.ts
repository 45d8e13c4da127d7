import type { Grind, GrindBlend } from '../brewModel/types.js';
import { sieveGrind } from '../grind/sieveGrind.js';
import { roundToTenth, type BrewPlan } from './plan.js';

type Ground = Pick<BrewPlan, 'doseG' | 'grindUm' | 'secondGrind' | 'sieveUm'>;

/** One size of the coffee that is ground. */
export interface GrindPart {
  grindUm: number;
  /** What is ground to it, g: before the sieve. */
  toGrindG: number;
}

/** What is done to the coffee before it lies in the brewer. */
export interface Grinding {
  /** The plan's own grind first. */
  parts: GrindPart[];
  /** What is ground in all so that the dose is left, g. */
  toGrindG: number;
  /** What is expected to fall through the sieve, g; 0 without one. */
  finesG: number;
  /** Share of what is ground that stays on the sieve, 0 to 1. */
  leftShare: number;
}

/** Two sizes closer to each other than this are one grind, micrometres: a grinder's own spread covers it (assumed). */
export const LEAST_APART_UM = 50;
/** Less left on the sieve than this, and it is no longer fines that are taken out. */
export const LEAST_LEFT_SHARE = 0.5;

/** What to grind, to which sizes, and what a sieve takes of it, computed of the common spread of sizes: no measurement. */
export function grindingOf(plan: Ground): Grinding {
  const parts = sievedParts(plan);
  const leftShare = parts.reduce((sum, { share, left }) => sum + share * left, 0);
  // A sieve that lets all through leaves no dose: nothing sensible can be ground for it, and the plan is refused.
  const toGrindG = roundToTenth(plan.doseG / Math.max(leftShare, LEAST_LEFT_SHARE));
  return {
    parts: parts.map(({ grindUm, share }) => ({ grindUm, toGrindG: roundToTenth(share * toGrindG) })),
    toGrindG,
    finesG: roundToTenth(toGrindG - plan.doseG),
    leftShare,
  };
}

/**
 * The ground coffee as the brew model takes it: what lies in the brewer, sieved and put together.
 *
 * @param weighedFinesG - what was weighed under the sieve, g: how well it was shaken follows from it
 */
export function grindOfPlan(plan: Ground, weighedFinesG?: number): Grind | GrindBlend {
  if (plan.secondGrind === undefined && plan.sieveUm === undefined) return { d50Um: plan.grindUm };
  const passing = weighedFinesG === undefined ? undefined : passingOf(plan, weighedFinesG);
  return {
    parts: sievedParts(plan, passing).map(({ grind, share, left }) => ({ grind, share: share * left })),
  };
}

/** How much of what is smaller than the holes fell through, 0 to 1, so that as much was weighed under the sieve. */
function passingOf(plan: Ground, finesG: number): number {
  const smaller = sievedParts(plan, 1).reduce((sum, { share, left }) => sum + share * (1 - left), 0);
  const fell = finesG / (plan.doseG + finesG);
  return smaller > 0 ? Math.min(1, fell / smaller) : 1;
}

/** The plan at another grind; a second one keeps its proportion to it, as both are moved on one grinder. */
export function withGrind<P extends Pick<BrewPlan, 'grindUm' | 'secondGrind'>>(plan: P, grindUm: number): P {
  const { secondGrind } = plan;
  if (secondGrind === undefined) return { ...plan, grindUm };
  const secondUm = Math.round((secondGrind.grindUm * grindUm) / plan.grindUm / 10) * 10;
  return { ...plan, grindUm, secondGrind: { ...secondGrind, grindUm: secondUm } };
}

/** The grind in the trade's words, for a change between plans and for a line of figures. */
export function grindWords({ grindUm, secondGrind, sieveUm }: Ground): string {
  const sizes =
    secondGrind === undefined
      ? `${grindUm} µm`
      : `${grindUm} µm and ${secondGrind.sharePercent} % at ${secondGrind.grindUm} µm`;
  return sieveUm === undefined ? sizes : `${sizes}, sieved at ${sieveUm} µm`;
}

interface SievedPart {
  grindUm: number;
  /** Of what is ground, 0 to 1. */
  share: number;
  grind: Grind;
  /** Share of it that the sieve leaves, 0 to 1. */
  left: number;
}

function sievedParts({ grindUm, secondGrind, sieveUm }: Ground, passing?: number): SievedPart[] {
  const second = (secondGrind?.sharePercent ?? 0) / 100;
  const parts = [
    { grindUm, share: 1 - second },
    ...(secondGrind === undefined ? [] : [{ grindUm: secondGrind.grindUm, share: second }]),
  ];
  return parts.map((part) => {
    const whole = { ...part, grind: { d50Um: part.grindUm }, left: 1 };
    if (sieveUm === undefined) return whole;
    const sieved = sieveGrind({
      grind: whole.grind,
      doseG: 100,
      apertureUm: sieveUm,
      ...(passing === undefined ? {} : { passing }),
    });
    return sieved.ok
      ? { ...part, grind: sieved.value.grind, left: sieved.value.leftG / 100 }
      : { ...whole, left: 0 };
  });
}
