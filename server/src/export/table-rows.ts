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
  // By the column and not by its text, which has the same name: as text 10 comes before 9, and the next part would begin past it.
  const inTable = (column: string) => `\`${name}\`.\`${column}\``;
  const order = primaryKey.map(inTable).join(', ');
  // The key for itself: a table may leave without it.
  const keys = primaryKey.map((column, at) => `CAST(${inTable(column)} AS CHAR) AS key${at}`);
  const cells = [...fields.map(asText), ...keys].join(', ');
  let last: Cell[] | null = null;
  for (;;) {
    const after = last ? beyond(primaryKey.map(inTable)) : 'TRUE';
    const rows: Record<string, Cell>[] = await sequelize.query<Record<string, Cell>>(
      `SELECT ${cells} FROM \`${name}\` WHERE (${after}) AND ${where} ORDER BY ${order} LIMIT ${chunk}`,
      {
        type: QueryTypes.SELECT,
        replacements: { ...(last ? placed(last) : {}), lotId },
        transaction,
      },
    );
    for (const row of rows) yield fields.map((field) => row[field.name] ?? null);
    const end = rows.at(-1);
    if (!end || rows.length < chunk) return;
    last = primaryKey.map((_, at) => end[`key${at}`] ?? null);
  }
}

/**
 * Rows beyond the last one read, in the order of a key of one column or more. Where the last one stood is asked of the
 * key and not counted: counted, a table would be read from its beginning for each part of it.
 */
function beyond(columns: readonly string[]): string {
  return columns
    .map((column, at) => {
      const alike = columns.slice(0, at).map((before, index) => `${before} = :last${index}`);
      return `(${[...alike, `${column} > :last${at}`].join(' AND ')})`;
    })
    .join(' OR ');
}

function placed(last: readonly Cell[]): Record<string, Cell> {
  return Object.fromEntries(last.map((cell, at) => [`last${at}`, cell]));
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
