import { Sequelize, type ModelCtor } from 'sequelize-typescript';
import type { Configuration } from '../configuration.js';

/** A machine that is busy with something else may take seconds to answer. */
const CONNECT_TIMEOUT_MS = 10_000;

/** One pool on MariaDB. Moments go in and come out as UTC. */
export function connect({ database }: Pick<Configuration, 'database'>, models: ModelCtor[]): Sequelize {
  return new Sequelize({
    dialect: 'mariadb',
    host: database.host,
    port: database.port,
    dialectOptions: {
      connectTimeout: CONNECT_TIMEOUT_MS,
      ...(database.socketPath === null ? {} : { socketPath: database.socketPath }),
    },
    database: database.name,
    username: database.user,
    password: database.password,
    timezone: '+00:00',
    logging: false,
    pool: { max: 10, min: 1, acquire: 15_000 },
    define: { underscored: true },
    models,
  });
}
