import { INTENSITIES, SHEET, type Intensity, type TastingSheet } from '@vendu/core';
import { INTENSITY_WORDS } from '../ui/words';

/** One figure of a sheet: how much of an attribute there is, how well it is liked there, or the cup as a whole. */
export type Cell = { of: Intensity; kind: 'intensity' | 'liking' } | { of: 'overall'; kind: 'liking' };

/** In the order in which they are filled: what is there, then whether it is liked. */
export const CELLS: readonly Cell[] = [
  ...INTENSITIES.flatMap((of): Cell[] => [
    { of, kind: 'intensity' },
    { of, kind: 'liking' },
  ]),
  { of: 'overall', kind: 'liking' },
];

export function rangeOf({ kind }: Cell): { low: number; high: number } {
  return SHEET[kind];
}

export function cellName(cell: Cell): string {
  if (cell.of === 'overall') return 'The cup, liked';
  return `${INTENSITY_WORDS[cell.of]}, ${cell.kind === 'intensity' ? 'how much' : 'liked'}`;
}

export function valueIn(sheet: TastingSheet, cell: Cell): number | null {
  if (cell.of === 'overall') return sheet.overall;
  return cell.kind === 'intensity' ? sheet.intensities[cell.of] : sheet.likings[cell.of];
}

export function withValue(sheet: TastingSheet, cell: Cell, value: number | null): TastingSheet {
  if (cell.of === 'overall') return { ...sheet, overall: value };
  return cell.kind === 'intensity'
    ? { ...sheet, intensities: { ...sheet.intensities, [cell.of]: value } }
    : { ...sheet, likings: { ...sheet.likings, [cell.of]: value } };
}

/** What a key does to the cell that has the focus; `null` where the key is not the sheet's. */
export function cellKey(
  key: string,
  cell: Cell,
  value: number | null,
): { value: number | null; go: -1 | 0 | 1 } | null {
  const { low, high } = rangeOf(cell);
  if (/^\d$/.test(key)) {
    const digit = Number(key);
    return digit < low || digit > high ? { value, go: 0 } : { value: digit, go: 1 };
  }
  switch (key) {
    case 'ArrowUp':
      return { value: Math.min(high, (value ?? low - 1) + 1), go: 0 };
    case 'ArrowDown':
      return { value: Math.max(low, (value ?? low + 1) - 1), go: 0 };
    case 'ArrowRight':
    case ' ':
      return { value, go: 1 };
    case 'ArrowLeft':
      return { value, go: -1 };
    case 'Backspace':
    case 'Delete':
      return { value: null, go: value === null ? -1 : 0 };
    default:
      return null;
  }
}
