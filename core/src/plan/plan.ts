import type {
  Agitation,
  AgitationCondition,
  BeverageMixing,
  PourPattern,
  PourTrigger,
} from '../vocabulary.js';
import type { CupSchedule, CupUnit } from './cupSchedule.js';

/** Count, force and condition of an agitation; what is left out is left to the hand. */
export interface AgitationHow {
  times?: number;
  /** Hard; gently where it is left out. */
  isHard?: boolean;
  /** Done only then; always where it is left out. */
  onlyIf?: AgitationCondition;
}

/** One pour of a plan. */
export interface Pour {
  /** When the stream starts, s on the brew clock. */
  startS: number;
  /** Water of this pour alone, g. The running total is the sum up to here. */
  amountG: number;
  /** Flow of the stream, g/s. */
  flowGps: number;
  /** What is done to the bed once this pour is in. */
  agitation: Agitation;
  /** How it is done, where the plan says more of it. */
  agitationHow?: AgitationHow;
  /** The first pour may be a bloom: wet all grounds, then wait. */
  isBloom: boolean;
  /** Where the kettle is set anew for this pour, C; it stays so for the pours after it. */
  kettleC?: number;
  /** Where the stream goes; left out where nobody minds, which is a spiral. */
  pattern?: PourPattern;
  /** From how high it falls on the bed, cm; left out where nobody minds, which is about 10. */
  heightCm?: number;
  /** What it waits for, with the start as what to expect; left out where it starts by the clock. */
  startsWhen?: PourTrigger;
  /** How high the water may still stand over the bed then, mm; of a pour that waits for the level. */
  levelMm?: number;
}

/** The same pour, started by the clock. */
export function byTheClock({ startsWhen: _, levelMm: _level, ...pour }: Pour): Pour {
  return pour;
}

/** Part of the coffee that is ground to another size. */
export interface SecondGrind {
  /** Median particle size, micrometres. */
  grindUm: number;
  /** Of all that is ground, %. */
  sharePercent: number;
}

/**
 * The plan of a brew. Water and ratio are not stored: they are the sum of the pours, so they cannot
 * disagree with them.
 */
export interface BrewPlan {
  doseG: number;
  kettleC: number;
  /** Median particle size aimed at, micrometres; of the first grind where there are two. */
  grindUm: number;
  /** A second grind put together with the first; left out where all of it is ground alike. */
  secondGrind?: SecondGrind;
  /** Holes of a sieve that the ground coffee is shaken over before it is weighed as the dose, micrometres. */
  sieveUm?: number;
  pours: readonly Pour[];
  /** When the stream should turn to drops, s on the brew clock; or when the brewer is lifted off. */
  drawdownS: number;
  /** The end may come so much later and is still on plan, s; left out where it is one moment. */
  endWithinS?: number;
  /** The brewer is lifted off at `drawdownS`, whatever still runs. */
  lifts?: boolean;
  /** A chilled ball lies under the outlet from the start until this time, s. */
  ballUntilS?: number;
  /** The kettle is taken off its heat and its lid opened at this time, s: later pours fall with it, until one sets it anew. */
  lidOpensS?: number;
  /** A flow regulator stands on the brewer and takes the pours: the most it lets through, g/s. */
  regulatorGps?: number;
  /** A shower plate lies on the brewer: the water rains on all of the bed, however it is poured. */
  showerPlate?: boolean;
  /** Needles are led through the dry bed before the first pour. */
  needlesDry?: boolean;
  /** What runs out after the brewer was lifted goes into a cup of its own. */
  tailApart?: boolean;
  /** The brew runs into a row of cups, changed then; left out where it stays in one. */
  cups?: CupSchedule;
  /** Water added to the finished beverage, g. */
  bypassG?: number;
  /** What is done to the finished beverage; left out where nothing is. */
  beverageMixed?: BeverageMixing;
  /** The beverage is poured over into another vessel. */
  decants?: boolean;
}

/** Where a row of cups of a plan ends: s at which the brew does, or g that are poured in all. */
export function cupsEnd({ drawdownS, pours }: Pick<BrewPlan, 'drawdownS' | 'pours'>, unit: CupUnit): number {
  return unit === 's' ? drawdownS : planWaterG({ pours });
}

/** Water that is poured, g: the last running total. */
export function planWaterG({ pours }: Pick<BrewPlan, 'pours'>): number {
  return roundToTenth(pours.reduce((sum, pour) => sum + pour.amountG, 0));
}

/** Kettle of each pour, C: the plan's, until a pour sets it anew. */
export function pourKettlesC({ kettleC, pours }: Pick<BrewPlan, 'kettleC' | 'pours'>): number[] {
  let atC = kettleC;
  return pours.map((pour) => (atC = pour.kettleC ?? atC));
}

/** All water of the recipe, g: what is poured and what is added to the finished beverage. */
export function planAllWaterG(plan: Pick<BrewPlan, 'pours' | 'bypassG'>): number {
  return roundToTenth(planWaterG(plan) + (plan.bypassG ?? 0));
}

/** Ratio as g of water, poured and added, per g of dose; `doseG` above 0. */
export function planRatio(plan: Pick<BrewPlan, 'doseG' | 'pours' | 'bypassG'>): number {
  return planAllWaterG(plan) / plan.doseG;
}

/** What is to be poured for a ratio, g: less what is added to the finished beverage. */
export function pouredForRatioG(
  { doseG, bypassG = 0 }: Pick<BrewPlan, 'doseG' | 'bypassG'>,
  ratio: number,
): number {
  return Math.round(doseG * ratio - bypassG);
}

/** The figures people follow on the scale: what it should show when each pour is in, g. */
export function runningTotalsG({ pours }: Pick<BrewPlan, 'pours'>): number[] {
  let totalG = 0;
  return pours.map((pour) => (totalG = roundToTenth(totalG + pour.amountG)));
}

/** When a pour ends, s on the brew clock. */
export function pourEndS({ startS, amountG, flowGps }: Pick<Pour, 'startS' | 'amountG' | 'flowGps'>): number {
  return startS + amountG / flowGps;
}

/** Masses are kept to 0.1 g, the step of a bench scale; this also drops binary dust from sums. */
export function roundToTenth(value: number): number {
  return Math.round(value * 10) / 10;
}
