import { QueryTypes } from 'sequelize';
import type { Sequelize } from 'sequelize-typescript';
import { exportedTables, type ExportedTable } from '../export/exported-tables.js';
import { ProblemError } from '../problem/problem-error.js';
import { chunks } from './chunks.js';
import { inOrder } from './import-lab.js';
import type { Standings } from './standing.js';
import { TABLE_RULES } from './table-rules.js';

/** Writes down which rows came with a file and what each looks like, so that they can go again. */
export async function rememberRows(
  sequelize: Sequelize,
  importId: number,
  standings: Standings,
): Promise<void> {
  for (const table of inOrder(await exportedTables(sequelize))) {
    const came = standings.fresh(table.name).map(({ id, secondId }) => [id, secondId]);
    for (const some of chunks(came)) {
      const [own, second] = numbersOf(table);
      await sequelize.query(
        `INSERT INTO import_rows (import_id, table_name, row_id, second_id, looks)
        SELECT :importId, :name, ${own}, ${second}, ${looks(table)} FROM \`${table.name}\` AS t
        WHERE ${own} IN (:ids) AND (${own}, ${second}) IN (:some)`,
        // The first condition is what an index answers.
        { replacements: { importId, name: table.name, some, ids: some.map(([id]) => id) } },
      );
    }
  }
}

/**
 * Takes out again what came with a file.
 *
 * @throws ProblemError `conflict` where something else hangs on it by now, or it was changed here
 */
export async function removeRows(sequelize: Sequelize, importId: number): Promise<void> {
  const tables = inOrder(await exportedTables(sequelize)).reverse();
  for (const table of tables) await refuseChanged(sequelize, importId, table);
  for (const table of tables) await refuseNeeded(sequelize, importId, table);
  const replacements = { importId };
  await sequelize.query(`DELETE traces FROM traces ${came('brews', 'traces.brew_id')}`, { replacements });
  await sequelize.query(
    `DELETE brew_entries FROM brew_entries JOIN brews ON brews.client_key = brew_entries.brew_key
    ${came('brews', 'brews.id')}`,
    { replacements },
  );
  for (const table of tables) {
    const [own, second] = numbersOf(table);
    const bottoms = table.name === 'brewers' ? ' ORDER BY body_of_id IS NULL' : '';
    await sequelize.query(
      `DELETE FROM \`${table.name}\` WHERE (${own.replace('t.', '')}, ${second.replace('t.', '')}) IN
      (SELECT row_id, second_id FROM import_rows WHERE import_id = :importId AND table_name = :name)${bottoms}`,
      { replacements: { importId, name: table.name } },
    );
  }
  await sequelize.query('DELETE FROM import_rows WHERE import_id = :importId', { replacements });
}

const came = (table: string, id: string) =>
  `JOIN import_rows AS came ON came.import_id = :importId AND came.table_name = '${table}' AND came.row_id = ${id}`;

/** By which numbers a row is told: its own, or the two that it joins. */
function numbersOf({ primaryKey }: ExportedTable): [string, string] {
  const [own = 'id', second] = primaryKey;
  return [`t.${own}`, second === undefined ? '0' : `t.${second}`];
}

/** What was written into a row and does not follow from others, as one short text. */
function looks({ name, fields }: ExportedTable): string {
  const derived = new Set([...(TABLE_RULES[name]?.derived ?? []), 'updated_at', 'revision']);
  const cells = fields
    .filter((field) => !derived.has(field.name))
    .map((field) => `IFNULL(t.\`${field.name}\`, '–')`);
  return `MD5(CONCAT_WS('|', ${cells.join(', ')}))`;
}

async function refuseChanged(sequelize: Sequelize, importId: number, table: ExportedTable): Promise<void> {
  const [own, second] = numbersOf(table);
  const [row] = await sequelize.query<{ changed: number | bigint }>(
    `SELECT COUNT(*) AS changed FROM import_rows AS came
    LEFT JOIN \`${table.name}\` AS t ON ${own} = came.row_id AND ${second} = came.second_id
    WHERE came.import_id = :importId AND came.table_name = :name AND NOT came.looks <=> ${looks(table)}`,
    { type: QueryTypes.SELECT, replacements: { importId, name: table.name } },
  );
  refuse(Number(row?.changed ?? 0), `${wordsOf(table.name)} that came were changed here since`);
}

/** Looks at every table that the database knows to name rows of this one, whether it leaves with an export or not. */
async function refuseNeeded(sequelize: Sequelize, importId: number, table: ExportedTable): Promise<void> {
  const naming = await sequelize.query<{ name: string; column: string }>(
    `SELECT table_name AS name, column_name AS \`column\` FROM information_schema.key_column_usage
    WHERE table_schema = DATABASE() AND referenced_table_name = :table`,
    { type: QueryTypes.SELECT, replacements: { table: table.name } },
  );
  const tables = await exportedTables(sequelize);
  for (const { name, column } of naming) {
    // They are told by the brews that they belong to, and were looked at with those.
    if (name === 'traces' || name === 'brew_entries') continue;
    const theirs = tables.find((each) => each.name === name);
    const [own, second] = theirs ? numbersOf(theirs) : ['0', '0'];
    const [row] = await sequelize.query<{ hanging: number | bigint }>(
      `SELECT COUNT(*) AS hanging FROM \`${name}\` AS t ${came(table.name, `t.${column}`)}
      LEFT JOIN import_rows AS too ON too.import_id = :importId AND too.table_name = '${name}'
        AND too.row_id = ${own} AND too.second_id = ${second}
      WHERE too.row_id IS NULL`,
      { type: QueryTypes.SELECT, replacements: { importId } },
    );
    refuse(
      Number(row?.hanging ?? 0),
      `${wordsOf(name)} that were made here hang on ${wordsOf(table.name)} that came`,
    );
  }
}

const wordsOf = (table: string) => TABLE_RULES[table]?.words ?? table.replaceAll('_', ' ');

function refuse(count: number, what: string): void {
  if (count === 0) return;
  throw new ProblemError(
    'conflict',
    `${count} ${what}, so it cannot be taken out again. Nothing was changed.`,
  );
}
