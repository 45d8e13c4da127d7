import type { Migration } from './migrations/migration.js';
import type { SchemaConnection } from './schema-connection.js';
import { record, recordedOf } from './statement-records.js';

/**
 * What MariaDB answers where a statement that may have been done already is asked for again: the table, column, key or
 * row is there, or what it drops or reads is gone. Each statement that defines tables is done whole or not at all
 * (atomic since MariaDB 10.6), so one such answer speaks for the whole statement.
 */
const DONE_ALREADY: readonly number[] = [
  1050, // table exists
  1054, // unknown column: a later statement has dropped it
  1060, // column exists
  1061, // key exists
  1062, // row exists
  1091, // nothing to drop
  1826, // foreign key exists
];
/** A table could not be made; the words say that a foreign key of this name exists. */
const CANNOT_CREATE = 1005;

/**
 * Takes one step, statement by statement, each recorded before it begins and when it is done. Statements that change
 * rows are recorded in their own transaction; those that define tables cannot be, and may be found begun and not done.
 */
export async function takeStep(connection: SchemaConnection, { name, statements }: Migration): Promise<void> {
  const recorded = await recordedOf(connection, name);
  for (const [index, statement] of statements.entries()) {
    const number = index + 1;
    const isDone = recorded.get(number);
    if (isDone === true) continue;
    const mayBeDone = isDone === false;
    if (definesTables(statement)) {
      await record(connection, name, number, false);
      await run(connection, statement, mayBeDone);
      await record(connection, name, number, true);
    } else {
      await connection.beginTransaction();
      try {
        await run(connection, statement, mayBeDone);
        await record(connection, name, number, true);
        await connection.commit();
      } catch (error) {
        await connection.rollback();
        throw error;
      }
    }
  }
}

async function run(connection: SchemaConnection, statement: string, mayBeDone: boolean): Promise<void> {
  try {
    await connection.query(statement);
  } catch (error) {
    if (!mayBeDone || !saysDone(error)) throw error;
  }
}

/** These end any transaction they are in, so they cannot share one with their record. */
function definesTables(statement: string): boolean {
  return /^\s*(CREATE|ALTER|DROP|RENAME|TRUNCATE)\b/i.test(statement);
}

function saysDone(error: unknown): boolean {
  if (!(error instanceof Error && 'errno' in error) || typeof error.errno !== 'number') return false;
  return (
    DONE_ALREADY.includes(error.errno) ||
    (error.errno === CANNOT_CREATE && /duplicate key/i.test(error.message))
  );
}
