import { spanWords } from '../temperature/spanWords.js';

/** What a water is known to hold, mg/L; hardness and alkalinity as CaCO3. */
export interface WaterFacts {
  name: string;
  hardnessMgPerL: number;
  alkalinityMgPerL: number;
  mineralsMgPerL: number;
}

/** What water, kettle and brewer say of a starting recipe beyond its figures. */
export interface KitNote {
  part: 'water' | 'kettle' | 'brewer';
  note: string;
}

/** Span of the waters that recipes are stated with, mg/L of minerals in all (common practice). */
const STATED_MINERALS = { low: 80, high: 120 };
/** Alkalinity outside of which the cup's acidity is the water's doing too, mg/L as CaCO3 (assumed). */
const QUIET_ALKALINITY = { low: 20, high: 75 };

/**
 * Water pushes no figure: what it does to a cup is known by direction only. It is said, so that a sour or a
 * flat cup is not laid to the recipe alone.
 */
export function waterNote({ name, alkalinityMgPerL, mineralsMgPerL }: WaterFacts): KitNote {
  const { low, high } = STATED_MINERALS;
  const minerals =
    mineralsMgPerL < low || mineralsMgPerL > high
      ? `${mineralsMgPerL} mg/L of minerals, ${mineralsMgPerL < low ? 'less' : 'more'} than the ${low} to ${high} that recipes are stated with: it may taste different elsewhere`
      : `${mineralsMgPerL} mg/L of minerals, as recipes are stated with`;
  return { part: 'water', note: [`${name}: ${minerals}`, ...acidityWords(alkalinityMgPerL)].join('; ') };
}

/** More water than the brewer takes: the plan stays as it was asked for, and this says what to do. */
export function overfullNote(waterG: number, capacityG: number | undefined): KitNote | null {
  if (capacityG === undefined || waterG <= capacityG) return null;
  return {
    part: 'brewer',
    note: `${waterG} g of water is more than the ${capacityG} g that this brewer takes in a brew: a smaller dose, or a larger brewer`,
  };
}

/** A kettle that the maker of the brewer advises against: said, not obeyed, for the lot knows better than its brewer. */
export function adviceNote(
  kettleC: number,
  { advisedLowC = null, advisedHighC = null }: { advisedLowC?: number | null; advisedHighC?: number | null },
): KitNote | null {
  const isCooler = advisedLowC !== null && kettleC < advisedLowC;
  const isHotter = advisedHighC !== null && kettleC > advisedHighC;
  if (!isCooler && !isHotter) return null;
  return {
    part: 'kettle',
    note: `the maker advises ${spanWords(advisedLowC, advisedHighC)}; ${kettleC} °C is ${isHotter ? 'hotter' : 'cooler'}, for what the lot asks`,
  };
}

function acidityWords(alkalinityMgPerL: number): string[] {
  if (alkalinityMgPerL > QUIET_ALKALINITY.high) {
    return [`its alkalinity of ${alkalinityMgPerL} damps acidity: a flat cup may be the water`];
  }
  if (alkalinityMgPerL < QUIET_ALKALINITY.low) {
    return [`its alkalinity of ${alkalinityMgPerL} leaves acidity unbuffered: a sharp cup may be the water`];
  }
  return [];
}
