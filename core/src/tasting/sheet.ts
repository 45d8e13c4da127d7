import type { Finding } from '../change/findings.js';
import {
  INTENSITIES,
  type AromaMoment,
  type Intensity,
  type TastingStage,
  type Vessel,
} from '../vocabulary.js';

/** What a sheet takes. Liking is told on the nine-point hedonic scale of sensory work (common practice): 5 is neither. */
export const SHEET = {
  intensity: { low: 0, high: 10 },
  liking: { low: 1, high: 9 },
  longestNotes: 1000,
  longestAroma: 200,
} as const;

/** A figure for each attribute; `null` where the taster did not say. */
export type Scores = Readonly<Record<Intensity, number | null>>;

/** What one person writes of one cup at one stage. */
export interface TastingSheet {
  aromas: Readonly<Record<AromaMoment, string>>;
  vessel: Vessel | null;
  /** How much of it there is, 0 to 10. */
  intensities: Scores;
  /** How well it is liked there, 1 to 9. */
  likings: Scores;
  /** How well the cup is liked, 1 to 9. */
  overall: number | null;
  faults: readonly Finding[];
  /** Words parted by commas. */
  notes: string;
  isSpat: boolean;
}

/** A sheet with whose it is. */
export interface SheetOf extends TastingSheet {
  personId: number;
  by: string;
  stage: TastingStage;
}

export const NOT_SCORED: Scores = {
  acidity: null,
  sweetness: null,
  body: null,
  bitterness: null,
  dryness: null,
  clarity: null,
  aftertaste: null,
};

export const EMPTY_SHEET: TastingSheet = {
  aromas: { dry: '', swirled: '', emptied: '' },
  vessel: null,
  intensities: NOT_SCORED,
  likings: NOT_SCORED,
  overall: null,
  faults: [],
  notes: '',
  isSpat: false,
};

/** Whether a sheet says nothing at all; from what it was tasted and whether it was spat is no taste. */
export function isBlankSheet({
  aromas,
  intensities,
  likings,
  overall,
  faults,
  notes,
}: TastingSheet): boolean {
  return (
    overall === null &&
    faults.length === 0 &&
    [notes, ...Object.values(aromas)].every((text) => text.trim() === '') &&
    INTENSITIES.every((attribute) => intensities[attribute] === null && likings[attribute] === null)
  );
}
