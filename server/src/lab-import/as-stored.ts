import type { Field } from '../export/exported-tables.js';

/** A cell of a file as its column takes it. */
export function asStored(cell: string | null, type: Field['type'] | undefined): string | number | null {
  if (cell === null) return null;
  if (type === 'boolean') return cell === 'true' ? 1 : 0;
  return type === 'datetime' ? cell.replace('T', ' ').replace('Z', '') : cell;
}
