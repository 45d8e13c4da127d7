import type { BrewConditions } from '../calibration/conditions.js';

/** What goes a little wrong when a recipe is brewed elsewhere, as standard deviations. */
export interface HandErrors {
  /** Another grinder's idea of the same size, um. */
  grindUm: number;
  kettleC: number;
  doseG: number;
  /** Of each running total against the scale, g: an overshoot is taken back by the next pour. */
  pourG: number;
  pourS: number;
  /** Share by which another paper resists more or less. */
  paperShare: number;
}
export type Cause = keyof HandErrors;
export const CAUSES: readonly Cause[] = ['grindUm', 'kettleC', 'doseG', 'pourG', 'pourS', 'paperShare'];

/** A careful home brewer with a scale (assumed): the grinder is by far the widest of them. */
export const ORDINARY_ERRORS: HandErrors = {
  grindUm: 50,
  kettleC: 2,
  doseG: 0.2,
  pourG: 5,
  pourS: 3,
  paperShare: 0.15,
};

/** Errors beyond this many standard deviations are mistakes, not ordinary errors. */
const WIDEST = 3;
const FINEST_UM = 100;
const SMALLEST_POUR_G = 1;

/**
 * One brew with errors. Draws are taken in a fixed order whatever the sizes, so that two recipes, or one
 * cause alone, meet the same luck.
 */
export function erredBrew(brew: BrewConditions, errors: HandErrors, draw: () => number): BrewConditions {
  const drawn = () => Math.max(-WIDEST, Math.min(WIDEST, draw()));
  const [grind, kettle, dose, paper] = [drawn(), drawn(), drawn(), drawn()];
  let overG = 0;
  const pours = brew.pours.map((pour, index) => {
    const [late, over] = [drawn() * errors.pourS, drawn() * errors.pourG];
    const amountG = Math.max(SMALLEST_POUR_G, pour.amountG + over - overG);
    overG = over;
    return { ...pour, startS: index === 0 ? 0 : Math.max(0, pour.startS + late), amountG };
  });
  const moved = (d50Um: number) => Math.max(FINEST_UM, d50Um + grind * errors.grindUm);
  return {
    ...brew,
    doseG: brew.doseG + Math.max(-brew.doseG / 2, dose * errors.doseG),
    grind:
      'parts' in brew.grind
        ? {
            ...brew.grind,
            parts: brew.grind.parts.map((part) => ({
              ...part,
              grind: { ...part.grind, d50Um: moved(part.grind.d50Um) },
            })),
          }
        : { ...brew.grind, d50Um: moved(brew.grind.d50Um) },
    kettleC: brew.kettleC + kettle * errors.kettleC,
    paperPerM: brew.paperPerM * Math.exp(paper * errors.paperShare),
    pours,
  };
}
