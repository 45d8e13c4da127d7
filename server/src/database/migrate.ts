import { QueryTypes, type Sequelize } from 'sequelize';
import { SequelizeStorage, Umzug } from 'umzug';
import { MIGRATIONS } from './migrations/index.js';
import { inTurnOfMigrations } from './schema-connection.js';
import { makeStatementsTable, STATEMENTS_TABLE } from './statement-records.js';
import { takeStep } from './take-step.js';

export interface MigrateOptions {
  /** Called once before a schema that holds data is changed; what it throws stops the upgrade. */
  beforeUpgrade?: (steps: readonly string[]) => Promise<void>;
  /** Called inside the same turn once the schema is up to date, so that two starts do not do it twice. */
  afterwards?: (steps: readonly string[]) => Promise<void>;
}

/**
 * Brings the schema up to date. Of several processes that start at once the others wait; one that was killed in the
 * middle is gone on with where it stopped, at the very statement.
 *
 * @returns names of the steps taken now; empty when nothing was due
 */
export async function migrate(
  sequelize: Sequelize,
  { beforeUpgrade, afterwards }: MigrateOptions = {},
): Promise<string[]> {
  return inTurnOfMigrations(sequelize, async (connection) => {
    const before = await tables(sequelize);
    const umzug = new Umzug({
      migrations: MIGRATIONS.map((migration) => ({
        name: migration.name,
        up: () => takeStep(connection, migration),
      })),
      storage: new SequelizeStorage({ sequelize, tableName: 'migrations' }),
      logger: undefined,
    });
    const due = (await umzug.pending()).map(({ name }) => name);
    if (!before.includes(STATEMENTS_TABLE)) {
      // An older version recorded whole steps only: where it was killed, the first step that is due may be half done.
      const isInDoubt = before.includes('migrations');
      const doubtful = isInDoubt ? MIGRATIONS.find(({ name }) => name === due[0]) : undefined;
      await makeStatementsTable(connection, doubtful);
    }
    if (due.length > 0 && before.length > 0) await beforeUpgrade?.(due);
    const taken = (await umzug.up()).map(({ name }) => name);
    await afterwards?.(taken);
    return taken;
  });
}

async function tables(sequelize: Sequelize): Promise<string[]> {
  const rows = await sequelize.query<{ name: string }>(
    'SELECT table_name AS name FROM information_schema.tables WHERE table_schema = DATABASE()',
    { type: QueryTypes.SELECT },
  );
  return rows.map(({ name }) => name);
}
