import type { ExportedTable } from '../export/exported-tables.js';
import type { TableRule } from './table-rules.js';

/** Which tables the columns of a table name a row of. */
export function referencesOf(
  { foreignKeys }: Pick<ExportedTable, 'foreignKeys'>,
  { named }: TableRule,
): Map<string, string> {
  return new Map([
    ...foreignKeys.map(({ field, table }): [string, string] => [field, table]),
    ...Object.entries(named ?? {}),
  ]);
}
