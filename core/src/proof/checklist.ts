/** What a version has to show before a lead signs it off. Set by the house, and by a recipe where it is another matter. */
export interface ProofChecklist {
  /** Measured brews of it, whoever made them. */
  repeats: number;
  /** No two of the last so many lie further apart than these: strength in % TDS, yield in points, drain time in s. */
  strengthApartPercent: number;
  yieldApartPoints: number;
  drainApartS: number;
  /** Somebody else brewed it from its card alone. */
  needsSecondHands: boolean;
  /** It was brewed with beans of another grinder. */
  needsSecondGrinder: boolean;
  /** Of 100 brews with ordinary errors at least so many give the same cup, as the model has it; `null` for no demand. */
  forgivenPercent: number | null;
  /** Tasted hot, warm and cool. */
  needsThreeStages: boolean;
  /** Of the label's notes at least so many of 100 were found, or something of their family; `null` for no demand. */
  labelFoundPercent: number | null;
}

/**
 * Until a house sets its own (assumed: the hand spreads a cup by 0.03 to 0.05 % and the meter by 0.015 % a reading, so
 * that three of one recipe seldom lie further apart).
 */
export const USUAL_CHECKLIST: ProofChecklist = {
  repeats: 3,
  strengthApartPercent: 0.12,
  yieldApartPoints: 1.5,
  drainApartS: 30,
  needsSecondHands: true,
  needsSecondGrinder: true,
  forgivenPercent: null,
  needsThreeStages: true,
  labelFoundPercent: 50,
};

export const PROOF_CHECKS = [
  'repeats',
  'second-hands',
  'second-grinder',
  'forgiveness',
  'three-stages',
  'label',
  'allergens',
] as const;
export type ProofCheckId = (typeof PROOF_CHECKS)[number];
