import type { Migration } from './migrations/migration.js';
import type { SchemaConnection } from './schema-connection.js';

/** Which statements of which step were begun, and which are done. */
export const STATEMENTS_TABLE = 'migration_statements';

/**
 * Makes the table of records, whole or not at all.
 *
 * @param doubtful - a step of which any statement may have been done without a record
 */
export async function makeStatementsTable(
  connection: SchemaConnection,
  doubtful: Migration | undefined,
): Promise<void> {
  const unfinished = `${STATEMENTS_TABLE}_new`;
  await connection.query(`DROP TABLE IF EXISTS ${unfinished}`);
  await connection.query(`CREATE TABLE ${unfinished} (
    step VARCHAR(120) NOT NULL,
    number INT NOT NULL,
    is_done BOOLEAN NOT NULL,
    PRIMARY KEY (step, number)
  )`);
  for (const [index] of doubtful?.statements.entries() ?? []) {
    await connection.query(`INSERT INTO ${unfinished} VALUES (?, ?, FALSE)`, [doubtful?.name, index + 1]);
  }
  await connection.query(`RENAME TABLE ${unfinished} TO ${STATEMENTS_TABLE}`);
}

export async function record(
  connection: SchemaConnection,
  step: string,
  number: number,
  isDone: boolean,
): Promise<void> {
  await connection.query(
    `INSERT INTO ${STATEMENTS_TABLE} (step, number, is_done) VALUES (?, ?, ?)
     ON DUPLICATE KEY UPDATE is_done = VALUES(is_done)`,
    [step, number, isDone],
  );
}

/** Whether each statement of a step that was begun is done, by its number. */
export async function recordedOf(connection: SchemaConnection, step: string): Promise<Map<number, boolean>> {
  const rows = (await connection.query(
    `SELECT number, is_done AS isDone FROM ${STATEMENTS_TABLE} WHERE step = ?`,
    [step],
  )) as { number: number; isDone: number }[];
  return new Map(rows.map(({ number, isDone }) => [number, Boolean(isDone)]));
}
