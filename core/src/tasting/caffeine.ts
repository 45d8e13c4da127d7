/** Caffeine of roasted arabica and of decaffeinated coffee, as a share of its mass (common practice: 1.0 to 1.5 %; at most 0.1 %). */
const CAFFEINE_SHARE = 0.012;
const DECAFFEINATED_SHARE = 0.001;
/** Of it, what a filter brew takes out (common practice: nearly all). */
const EXTRACTED = 0.9;
/** What a taster takes of a cup at one stage, g (assumed: four or five spoons), and what stays when it is spat (assumed). */
export const TASTED_G = 30;
const KEPT_OF_SPAT = 0.1;

/**
 * Adult guidance in mg (European Food Safety Authority, scientific opinion on the safety of caffeine, 2015; from
 * memory): at once, in a day, and in a day in pregnancy.
 */
export const CAFFEINE_GUIDANCE_MG = { atOnce: 200, inADay: 400, inADayPregnant: 200 } as const;

/** One stage of one brew, tasted. */
export interface SipTaken {
  doseG: number;
  /** As weighed, or as expected. */
  beverageG: number;
  isDecaffeinated: boolean;
  isSpat: boolean;
}

/** What a taster has had of caffeine, reckoned in mg: from doses, with assumed sips, so a guide and no measurement. */
export function tastedCaffeineMg(sips: readonly SipTaken[]): number {
  let sum = 0;
  for (const { doseG, beverageG, isDecaffeinated, isSpat } of sips) {
    const inCupMg = 1000 * doseG * (isDecaffeinated ? DECAFFEINATED_SHARE : CAFFEINE_SHARE) * EXTRACTED;
    const takenShare = beverageG > 0 ? Math.min(1, TASTED_G / beverageG) : 0;
    sum += inCupMg * takenShare * (isSpat ? KEPT_OF_SPAT : 1);
  }
  return sum;
}
