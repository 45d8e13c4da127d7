import type { ExtractionWindow } from '../extraction/extractionMap.js';
import { USUAL_SCHOOLS, type Schools } from '../schools/schools.js';
import type { Aim } from './aim.js';

/** Strength and yield that each school of aims goes for, as far as it leaves the house's window (common practice). */
const BY_SCHOOL: Record<Schools['aim'], Partial<ExtractionWindow>> = {
  classic: {},
  light: { tdsLowPercent: 1.2, tdsHighPercent: 1.25 },
  strong: { tdsLowPercent: 1.3, tdsHighPercent: 1.45 },
  'high-yield': { yieldLowPercent: 20, yieldHighPercent: 23 },
};

/** The window a recipe aims at: its own where it has one, else the house's, moved where its school aims elsewhere. */
export function aimOf(
  houseWindow: ExtractionWindow,
  { aim }: Pick<Schools, 'aim'> = USUAL_SCHOOLS,
  own: Aim | null = null,
): Aim {
  if (own) return own;
  return { ...houseWindow, ...BY_SCHOOL[aim] };
}

/** Where an aim comes from: the recipe itself, a position on strength and yield, or the house's window as it is. */
export type AimSource = 'recipe' | 'position' | 'house';

export function aimSourceOf(
  { aim }: Pick<Schools, 'aim'> = USUAL_SCHOOLS,
  own: Aim | null = null,
): AimSource {
  if (own) return 'recipe';
  return Object.keys(BY_SCHOOL[aim]).length > 0 ? 'position' : 'house';
}
