import type { Sequelize } from 'sequelize';
import { SequelizeStorage, Umzug } from 'umzug';
import { MIGRATIONS } from './migrations/index.js';

/**
 * Brings the schema up to date.
 *
 * @returns names of the steps taken now; empty when nothing was due
 */
export async function migrate(sequelize: Sequelize): Promise<string[]> {
  const umzug = new Umzug({
    migrations: MIGRATIONS.map(({ name, statements }) => ({
      name,
      up: async () => {
        for (const statement of statements) await sequelize.query(statement);
      },
    })),
    storage: new SequelizeStorage({ sequelize, tableName: 'migrations' }),
    logger: undefined,
  });
  return (await umzug.up()).map(({ name }) => name);
}
