import type { TableRule } from './table-rules.js';
import type { Cells } from './lab-file.js';

/** As much of a row that is here as tells which one it is. */
export type Known = Cells & { id: string | null };

/**
 * Which row here each row of a file is. A row of the same number that was made at the same moment is the same one,
 * whatever it is called by now; else it is the one that the rule's key tells, and of several alike the first that is not taken.
 *
 * @param rows - rows of the file, what they refer to by the numbers that it has here
 * @returns the place among `here`, or `null` where the row is new
 */
export function matchRows(
  rows: readonly Cells[],
  here: readonly Known[],
  { key }: Pick<TableRule, 'key'>,
): (number | null)[] {
  const byMoment = new Map(here.flatMap((row, place) => pair(madeAs(row), place)));
  const taken = new Set<number>();
  const matched = rows.map((row) => {
    const place = byMoment.get(madeAs(row) ?? '') ?? null;
    if (place === null || taken.has(place)) return null;
    taken.add(place);
    return place;
  });
  const byKey = new Map<string, number[]>();
  for (const [place, row] of here.entries()) {
    if (taken.has(place)) continue;
    const told = keyOf(row, key);
    byKey.set(told, [...(byKey.get(told) ?? []), place]);
  }
  return rows.map((row, index) => matched[index] ?? byKey.get(keyOf(row, key))?.shift() ?? null);
}

const pair = (told: string | null, place: number): [string, number][] =>
  told === null ? [] : [[told, place]];

const madeAs = ({ id, created_at }: Cells): string | null =>
  id && created_at ? `${id} ${created_at}` : null;

/** Texts of names are told apart as the database does it: a capital makes no other name. */
const keyOf = (row: Cells, key: readonly string[]): string =>
  JSON.stringify(key.map((column) => row[column]?.toLowerCase() ?? null));
