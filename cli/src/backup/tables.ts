import type { Database } from '../database.js';
import { asRoot } from '../databaseAccounts.js';

/** So that two copies of a table are told apart: how many rows, and a sum over all cells in whatever order. */
export interface TableFigures {
  rows: number;
  sum: string;
}

/** Every table of a schema, by name. */
export async function tablesOf(database: Database, schema: string): Promise<Record<string, TableFigures>> {
  return asRoot(database, async (connection) => {
    const columns: { table: string; column: string }[] = await connection.query(
      `SELECT table_name AS \`table\`, column_name AS \`column\` FROM information_schema.columns
      WHERE table_schema = ? ORDER BY table_name, ordinal_position`,
      [schema],
    );
    const figures: Record<string, TableFigures> = {};
    for (const table of new Set(columns.map((each) => each.table))) {
      const own = columns.filter((each) => each.table === table);
      const cells = own.flatMap(({ column }) => [`ISNULL(\`${column}\`)`, `\`${column}\``]);
      // The database's own CHECKSUM TABLE takes in what lies unused in a row, and differs between two equal ones.
      const [found]: { rows: bigint; sum: string | null }[] = await connection.query(
        `SELECT COUNT(*) AS \`rows\`,
          CAST(SUM(CAST(CONV(LEFT(MD5(CONCAT_WS('|', ${cells.join(', ')})), 15), 16, 10) AS UNSIGNED)) AS CHAR) AS sum
        FROM \`${schema}\`.\`${table}\``,
      );
      figures[table] = { rows: Number(found?.rows ?? 0), sum: found?.sum ?? '' };
    }
    return figures;
  });
}

/** @returns in words, each table that is not the same in both */
export function differences(
  wanted: Record<string, TableFigures>,
  found: Record<string, TableFigures>,
): string[] {
  const names = [...new Set([...Object.keys(wanted), ...Object.keys(found)])].sort();
  return names.flatMap((name) => {
    const [before, after] = [wanted[name], found[name]];
    if (!before || !after) return [`${name} is ${before ? 'missing' : 'one too many'}`];
    if (before.rows !== after.rows) return [`${name} has ${after.rows} rows and not ${before.rows}`];
    return before.sum === after.sum ? [] : [`${name} has other cells`];
  });
}
