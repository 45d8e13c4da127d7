import { EMPTY_SHEET, NOT_SCORED, type SheetOf } from '../tasting/sheet.js';
import type { Intensity } from '../vocabulary.js';

const PEOPLE = { Ilse: 1, Tamsin: 2, Joss: 3 } as const;

/** A sheet that says what a test is about, and nothing else. */
export function sheetOf(
  by: keyof typeof PEOPLE,
  { scores = {}, ...change }: Partial<SheetOf> & { scores?: Partial<Record<Intensity, number>> } = {},
): SheetOf {
  return {
    ...EMPTY_SHEET,
    personId: PEOPLE[by],
    by,
    stage: 'warm',
    intensities: { ...NOT_SCORED, ...scores },
    ...change,
  };
}
