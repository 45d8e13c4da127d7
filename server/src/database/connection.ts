import { Sequelize, type ModelCtor } from 'sequelize-typescript';
import type { Configuration } from '../configuration.js';

/** One pool on MariaDB. Moments go in and come out as UTC. */
export function connect({ database }: Pick<Configuration, 'database'>, models: ModelCtor[]): Sequelize {
  return new Sequelize({
    dialect: 'mariadb',
    host: database.host,
    port: database.port,
    ...(database.socketPath === null ? {} : { dialectOptions: { socketPath: database.socketPath } }),
    database: database.name,
    username: database.user,
    password: database.password,
    timezone: '+00:00',
    logging: false,
    pool: { max: 10, min: 1, acquire: 10_000 },
    define: { underscored: true },
    models,
  });
}
