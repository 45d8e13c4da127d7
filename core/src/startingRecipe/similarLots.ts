import type { EarlierLot, LotEvidence } from '../calibration/priors.js';
import { isOfLongFermentation } from '../lot/fermentation.js';
import { isOfProcess } from '../lot/process.js';
import { isHigh, isLow, middleElevationM } from '../lot/grown.js';
import type { Elevation } from '../quantity/elevation.js';
import type { BrewPlan } from '../plan/plan.js';
import {
  BASE_PROCESSES,
  ROAST_LEVELS,
  type BaseProcess,
  type BrewerShape,
  type Process,
  type RoastLevel,
} from '../vocabulary.js';

/** What two lots are compared by. */
export interface LotCharacter {
  process: Process;
  /** What that was done on top of; `null` where nobody says. */
  baseProcess: BaseProcess | null;
  additions?: string;
  isDecaffeinated?: boolean;
  elevation: Elevation | null;
  roastLevel: RoastLevel | null;
  /** Empty where nobody wrote it down. */
  variety: string;
  brewerShape: BrewerShape;
}

/** A lot of the lab whose recipe was accepted. */
export interface FinishedLot extends LotCharacter {
  lotId: number;
  name: string;
  /** Where its recipe began and where it ended. */
  startGrindUm: number;
  plan: BrewPlan;
  /** What its brews taught; `null` where none was measured. */
  evidence: LotEvidence | null;
}

export interface SimilarLot extends FinishedLot {
  /** 1 the same kind, 0 nothing in common. */
  likeness: number;
  /** What the two share, most telling first. */
  because: string[];
}

/** How much each agreement counts (assumed; they sum to 1). */
const WEIGHTS = { process: 0.35, elevation: 0.25, brewer: 0.15, roast: 0.15, variety: 0.1 };
/** Part of the weight for what is of one family only: another long fermentation, an elevation told as a word. */
const SAME_FAMILY = 0.5;
/** Part of it where one of two lots of a process does not say what it was done on top of (assumed). */
const BASE_UNTOLD = 0.75;
/** Elevations this far apart count for little (e to the minus one). */
const ELEVATION_SCALE_M = 300;
const LEAST_LIKE = 0.35;
const MOST_SHOWN = 4;

/** The finished lots most like a new one, four at most, each with what they share. */
export function similarLots(lot: LotCharacter, finished: readonly FinishedLot[]): SimilarLot[] {
  return finished
    .map((other) => ({ ...other, ...likenessOf(lot, other) }))
    .filter(({ likeness }) => likeness >= LEAST_LIKE)
    .sort((a, b) => b.likeness - a.likeness || a.lotId - b.lotId)
    .slice(0, MOST_SHOWN);
}

/** Of a lot brewed with another kind of brewer, where most of the flow differs, this much says something of the house (assumed). */
const OTHER_BREWER = 0.5;

/**
 * What the house's finished lots say of the next: all of them, like it or not, for what kit and water do to every lot is
 * learned from each. What process, elevation and roast did to them was taken off before.
 */
export function earlierLots(
  lot: Pick<LotCharacter, 'brewerShape'>,
  finished: readonly Pick<FinishedLot, 'lotId' | 'brewerShape' | 'evidence'>[],
): EarlierLot[] {
  // A lot with two accepted recipes is there twice, and has taught once.
  const byLot = new Map<number, EarlierLot>();
  for (const { lotId, evidence, brewerShape } of finished) {
    const likeness = brewerShape === lot.brewerShape ? 1 : OTHER_BREWER;
    if (evidence && likeness > (byLot.get(lotId)?.likeness ?? 0)) byLot.set(lotId, { evidence, likeness });
  }
  return [...byLot.values()];
}

function likenessOf(lot: LotCharacter, other: LotCharacter): { likeness: number; because: string[] } {
  const shared = [processShared, elevationShared, brewerShared, roastShared, varietyShared]
    .map((compare) => compare(lot, other))
    .filter(({ weight }) => weight > 0)
    .sort((a, b) => b.weight - a.weight);
  return {
    likeness: Math.round(shared.reduce((sum, { weight }) => sum + weight, 0) * 100) / 100,
    because: shared.filter(({ words }) => words !== '').map(({ words }) => words),
  };
}

interface Shared {
  weight: number;
  words: string;
}
const NOTHING: Shared = { weight: 0, words: '' };

function processShared(a: LotCharacter, b: LotCharacter): Shared {
  if (a.process === 'not-known') return NOTHING;
  const family = WEIGHTS.process * SAME_FAMILY;
  // What one of them was done to besides, the other was not: alike as far as the rest goes.
  const isBeside = (['co-fermented', 'decaffeinated'] as const).some(
    (each) => isOfProcess(a, each) !== isOfProcess(b, each),
  );
  if (a.process === b.process && isBeside)
    return { weight: family, words: 'same process, but for what was done besides' };
  if (a.process === b.process) {
    if (a.baseProcess === b.baseProcess) return { weight: WEIGHTS.process, words: 'same process' };
    const isOpen = a.baseProcess === null || b.baseProcess === null;
    return isOpen
      ? { weight: WEIGHTS.process * BASE_UNTOLD, words: 'same process, as far as it is told' }
      : { weight: family, words: 'same process on another base' };
  }
  if (isOfLongFermentation(a) && isOfLongFermentation(b)) {
    return { weight: family, words: 'both long fermented' };
  }
  const base = BASE_PROCESSES.find((each) => isOfProcess(a, each) && isOfProcess(b, each));
  return base ? { weight: family, words: `both ${base}` } : NOTHING;
}

function elevationShared(a: LotCharacter, b: LotCharacter): Shared {
  if (!a.elevation || !b.elevation) return NOTHING;
  if (typeof a.elevation === 'string' || typeof b.elevation === 'string') {
    return grownAlike(a.elevation, b.elevation);
  }
  const apartM = Math.abs(middleElevationM(a.elevation) - middleElevationM(b.elevation));
  const weight = WEIGHTS.elevation * Math.exp(-((apartM / ELEVATION_SCALE_M) ** 2));
  if (weight < WEIGHTS.elevation / 3) return { weight, words: '' };
  return { weight, words: apartM < 25 ? 'same elevation' : `${Math.round(apartM)} m apart in elevation` };
}

/** Of a lot that is said to be high or low, only that can be compared. */
function grownAlike(a: Elevation, b: Elevation): Shared {
  const weight = WEIGHTS.elevation * SAME_FAMILY;
  if (isHigh(a) && isHigh(b)) return { weight, words: 'both grown high' };
  return isLow(a) && isLow(b) ? { weight, words: 'both grown low' } : NOTHING;
}

function brewerShared(a: LotCharacter, b: LotCharacter): Shared {
  return a.brewerShape === b.brewerShape ? { weight: WEIGHTS.brewer, words: 'same kind of brewer' } : NOTHING;
}

function roastShared(a: LotCharacter, b: LotCharacter): Shared {
  if (a.roastLevel === null || b.roastLevel === null) return NOTHING;
  const apart = Math.abs(ROAST_LEVELS.indexOf(a.roastLevel) - ROAST_LEVELS.indexOf(b.roastLevel));
  if (apart > 1) return NOTHING;
  return apart === 0
    ? { weight: WEIGHTS.roast, words: 'same roast level' }
    : { weight: WEIGHTS.roast / 2, words: 'neighbouring roast level' };
}

function varietyShared(a: LotCharacter, b: LotCharacter): Shared {
  const [one, two] = [a.variety, b.variety].map((variety) => variety.trim().toLowerCase());
  return one !== '' && one === two ? { weight: WEIGHTS.variety, words: 'same variety' } : NOTHING;
}
