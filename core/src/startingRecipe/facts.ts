import { PAPER_PER_M } from '../brewModel/hardware.js';
import { classMeasures } from '../kit/brewerGeometry.js';
import { isHigh, isLow } from '../lot/grown.js';
import type { Elevation } from '../quantity/elevation.js';
import { USUAL_SCHOOLS, type SchoolPoint, type Schools } from '../schools/schools.js';
import type { WaterFacts } from './kitNotes.js';
import type { BaseProcess, BrewerShape, LotSign, Process, Ribs, RoastLevel } from '../vocabulary.js';

/** What is known before the first brew of a lot, and what it will be brewed with. */
export interface StartingFacts {
  process: Process;
  /** What that was done on top of; left out or `null` where nobody says. */
  baseProcess?: BaseProcess | null;
  /** Fruit or yeast that was added, and whether it was decaffeinated besides. */
  additions?: string;
  isDecaffeinated?: boolean;
  /** Growing elevation; `null` where the sack does not say. */
  elevation: Elevation | null;
  /** `null` where the roaster did not say. */
  roastLevel: RoastLevel | null;
  /** {@link UNROASTED_AGE_DAYS} where it is not roasted yet. */
  roastAgeDays: number;
  /** Green only, where it is not. */
  isRoasted?: boolean;
  brewer: {
    shape: BrewerShape;
    usualDoseG: number;
    /** Most water in a brew, g, where it is known. */
    capacityG?: number;
    /** How the water leaves it; as in the brewer's class where nobody measured. */
    outletCount?: number;
    outletDiameterMm?: number;
    ribs?: Ribs | null;
    /** A valve holds the water back as small holes do. */
    hasValve?: boolean;
    /** What its maker advises, C; `null` where nothing is known. */
    advisedLowC?: number | null;
    advisedHighC?: number | null;
  };
  /** Dose that somebody chose, g; the brewer's usual one if left out. */
  doseG?: number;
  /** Resistance of the wet paper, 1/m; an ordinary one if left out. */
  paperPerM?: number;
  water?: WaterFacts;
  /** Smallest step of the kettle's thermostat, C. */
  kettleStepC?: number;
  /** What was noticed of it. */
  signs?: readonly LotSign[];
  /** The house's stands; where most stand if left out. */
  schools?: Schools;
  /** Elevation of the lab above sea level, m: it caps the kettle. */
  labElevationM: number;
}

/** Taken of a lot that is not roasted yet, days: between gassy and flat, so that no rule of age speaks on a guess. */
export const UNROASTED_AGE_DAYS = 10;

/** Up to here a paper counts as fast, and from there on as thick, 1/m: between the calibrated papers of {@link PAPER_PER_M}. */
const FAST_PAPER_PER_M = 1.45e8;
const THICK_PAPER_PER_M = 3.6e8;

/** From this width on a single hole lets the grind alone set the flow, mm (assumed: between the 6 to 9 mm of holes that hold back and the 15 and more of open cones). */
const OPEN_OUTLET_MM = 12;

/** One large hole, and nothing that shuts it. */
export function isOpenBelow({ brewer }: StartingFacts): boolean {
  const { outletCount, outletDiameterMm } = outletsOf(brewer);
  return outletCount === 1 && outletDiameterMm >= OPEN_OUTLET_MM && !brewer.hasValve;
}

/** Small holes or a valve: what lets the water go, not the bed alone, sets the flow. */
export function isHeldBackBelow({ brewer }: StartingFacts): boolean {
  return brewer.hasValve === true || outletsOf(brewer).outletDiameterMm < OPEN_OUTLET_MM;
}

function outletsOf({ shape, ...brewer }: StartingFacts['brewer']) {
  return { ...classMeasures(shape), ...brewer };
}

export function doseOf({ doseG, brewer }: StartingFacts): number {
  return doseG ?? brewer.usualDoseG;
}

export function isHighGrown({ elevation }: StartingFacts): boolean {
  return elevation !== null && isHigh(elevation);
}

export function isLowGrown({ elevation }: StartingFacts): boolean {
  return elevation !== null && isLow(elevation);
}

export function isInFastPaper({ paperPerM = PAPER_PER_M.ordinary }: StartingFacts): boolean {
  return paperPerM <= FAST_PAPER_PER_M;
}

export function isInThickPaper({ paperPerM = PAPER_PER_M.ordinary }: StartingFacts): boolean {
  return paperPerM >= THICK_PAPER_PER_M;
}

export function hasSign({ signs = [] }: StartingFacts, sign: LotSign): boolean {
  return signs.includes(sign);
}

/** Whether the house stands there on a disputed point. */
export function stands<P extends SchoolPoint>(
  { schools = USUAL_SCHOOLS }: StartingFacts,
  point: P,
  stand: Schools[P],
): boolean {
  return schools[point] === stand;
}
