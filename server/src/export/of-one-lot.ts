import type { ExportedTable } from './exported-tables.js';

/** Of a lab and its people, and of no lot; comparisons are of several. */
const OF_NO_LOT: readonly string[] = [
  'house',
  'practice_runs',
  'handover_notes',
  'zero_checks',
  'edits',
  'comparisons',
  'comparison_arms',
  'comparison_brews',
  'blind_tests',
  'blind_places',
  'blind_answers',
];

/**
 * Which rows of each table belong to one lot, as a condition on `:lotId`; of kit and people all, since they are few and
 * everything of a lot names some.
 *
 * @returns a condition by table; tables that are of no lot are not among them
 */
export function ofOneLot(tables: readonly ExportedTable[]): Map<string, string> {
  const byName = new Map(tables.map((table) => [table.name, table]));
  const conditions = new Map<string, string | null>();

  function conditionOf(name: string): string | null {
    const known = conditions.get(name);
    if (known !== undefined) return known;
    // Nothing is found of what names itself on the way.
    conditions.set(name, null);
    const condition = name === 'lots' ? 'id = :lotId' : byParent(byName.get(name));
    conditions.set(name, condition);
    return condition;
  }
  function byParent(table: ExportedTable | undefined): string | null {
    for (const { field, table: parent, column } of table?.foreignKeys ?? []) {
      if (parent === 'lots') return `${field} = :lotId`;
      const condition = parent === table?.name ? null : conditionOf(parent);
      if (condition) return `${field} IN (SELECT ${column} FROM ${parent} WHERE ${condition})`;
    }
    return null;
  }
  return new Map(
    tables
      .filter(({ name }) => !OF_NO_LOT.includes(name))
      .map(({ name }) => [name, conditionOf(name) ?? 'TRUE']),
  );
}
