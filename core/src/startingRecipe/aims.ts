import type { ExtractionWindow } from '../extraction/extractionMap.js';
import { USUAL_SCHOOLS, type Schools } from '../schools/schools.js';

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
  own: ExtractionWindow | null = null,
): ExtractionWindow {
  if (own) return own;
  return { ...houseWindow, ...BY_SCHOOL[aim] };
}
