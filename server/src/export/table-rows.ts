import { QueryTypes, type Transaction } from 'sequelize';
import type { Sequelize } from 'sequelize-typescript';
import type { ExportedTable, Field } from './exported-tables.js';

/** So many rows are held at once. */
const CHUNK = 500;

type Cell = string | null;

/**
 * A table row by row, each cell as text; in the order of its key, so that a long one is read in parts.
 *
 * @param some - which rows, as a condition that may name `:lotId`, and so many at once
 */
export async function* tableRows(
  sequelize: Sequelize,
  { name, fields, primaryKey }: Pick<ExportedTable, 'name' | 'fields' | 'primaryKey'>,
  // Named, for a stream that goes on when its reader has room has lost the transaction it was begun in.
  transaction: Transaction,
  { chunk = CHUNK, where = 'TRUE', lotId = 0 }: { chunk?: number; where?: string; lotId?: number } = {},
): AsyncGenerator<Cell[]> {
  const [key, second] = primaryKey;
  const cells = fields.map(asText).join(', ');
  // By the column and not by its text, which has the same name: as text 10 comes before 9, and the next part would begin past it.
  const inTable = (column: string) => `\`${name}\`.\`${column}\``;
  const isByKey = key !== undefined && second === undefined && fields.some((field) => field.name === key);
  let [last, offset] = ['0', 0];
  for (;;) {
    const rows = await sequelize.query<Record<string, Cell>>(
      isByKey
        ? `SELECT ${cells} FROM \`${name}\` WHERE \`${key}\` > :last AND ${where} ORDER BY ${inTable(key)} LIMIT ${chunk}`
        : `SELECT ${cells} FROM \`${name}\` WHERE ${where} ORDER BY ${primaryKey.map(inTable).join(', ')} LIMIT ${chunk} OFFSET ${offset}`,
      { type: QueryTypes.SELECT, replacements: { last, lotId }, transaction },
    );
    for (const row of rows) yield fields.map((field) => row[field.name] ?? null);
    if (rows.length < chunk) return;
    last = rows.at(-1)?.[key ?? ''] ?? last;
    offset += rows.length;
  }
}

/** As the database writes it: no figure is read and printed anew. Moments are UTC. */
export function asText({ name, type }: Field): string {
  const column = `\`${name}\``;
  switch (type) {
    case 'datetime':
      return `CONCAT(REPLACE(CAST(${column} AS CHAR), ' ', 'T'), 'Z') AS ${column}`;
    case 'boolean':
      return `IF(${column} IS NULL, NULL, IF(${column}, 'true', 'false')) AS ${column}`;
    default:
      return `CAST(${column} AS CHAR) AS ${column}`;
  }
}
