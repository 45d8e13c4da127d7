import { QueryTypes, type Sequelize } from 'sequelize';
import { SequelizeStorage, Umzug } from 'umzug';
import { MIGRATIONS } from './migrations/index.js';
import { inTurnOfMigrations, type SchemaConnection } from './schema-connection.js';
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
    await connection.query(STATEMENTS_TABLE);
    // An older version recorded whole steps only: where it was killed, the next step may be half done.
    const isInDoubt = before.includes('migrations') && !before.includes('migration_statements');
    const umzug = stepsOver(sequelize, connection, isInDoubt);
    const due = (await umzug.pending()).map(({ name }) => name);
    if (due.length > 0 && before.length > 0) await beforeUpgrade?.(due);
    const taken = (await umzug.up()).map(({ name }) => name);
    await afterwards?.(taken);
    return taken;
  });
}

const STATEMENTS_TABLE = `CREATE TABLE IF NOT EXISTS migration_statements (
  step VARCHAR(120) NOT NULL,
  number INT NOT NULL,
  is_done BOOLEAN NOT NULL,
  PRIMARY KEY (step, number)
)`;

function stepsOver(sequelize: Sequelize, connection: SchemaConnection, isFirstInDoubt: boolean) {
  let isInDoubt = isFirstInDoubt;
  return new Umzug({
    migrations: MIGRATIONS.map((migration) => ({
      name: migration.name,
      up: async () => {
        await takeStep(connection, migration, isInDoubt);
        isInDoubt = false;
      },
    })),
    storage: new SequelizeStorage({ sequelize, tableName: 'migrations' }),
    logger: undefined,
  });
}

async function tables(sequelize: Sequelize): Promise<string[]> {
  const rows = await sequelize.query<{ name: string }>(
    'SELECT table_name AS name FROM information_schema.tables WHERE table_schema = DATABASE()',
    { type: QueryTypes.SELECT },
  );
  return rows.map(({ name }) => name);
}
