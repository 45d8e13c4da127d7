import { Sequelize, type ModelCtor } from 'sequelize-typescript';
import type { Configuration } from '../configuration.js';
import type { Statements } from './statements.js';

/** A machine that is busy with something else may take seconds to answer. */
const CONNECT_TIMEOUT_MS = 10_000;

/** How long the application waits for one statement, before a database that is frozen or taken up is told as such. */
export interface Patience {
  /** For a statement that runs, s; for a lock on a whole table, a third of it. */
  statementS: number;
  /** For any answer at all, s. */
  answerS: number;
  /** For a connection that is free, s. */
  connectionS: number;
  /** Statements that wait for a connection for so long do so for a reason, s: a burst of people's clicks is over before. */
  starvedS: number;
  /** For whether it answers at all, s: whoever asks that wants to know now, and not once a frozen database thaws. */
  readyS: number;
}
export const PATIENCE: Patience = { statementS: 8, answerS: 10, connectionS: 6, starvedS: 1.5, readyS: 2 };

/** A table is locked for moments; who waits for one longer waits for somebody's hand. */
const LOCK_SHARE = 3;

/** So many people's statements at once. */
const CONNECTIONS = 16;

/**
 * One pool on MariaDB. Moments go in and come out as UTC.
 *
 * @param statements - is told what each statement took
 * @param patience - of a running application; without it, as at an upgrade, a statement may take its time
 */
export function connect(
  { database }: Pick<Configuration, 'database'>,
  models: ModelCtor[],
  { statements, patience }: { statements?: Statements; patience?: Patience } = {},
): Sequelize {
  return new Sequelize({
    dialect: 'mariadb',
    host: database.host,
    port: database.port,
    dialectOptions: {
      connectTimeout: CONNECT_TIMEOUT_MS,
      ...(patience ? limitsOf(patience) : {}),
      ...(database.socketPath === null ? {} : { socketPath: database.socketPath }),
    },
    database: database.name,
    username: database.user,
    password: database.password,
    timezone: '+00:00',
    benchmark: true,
    logging: statements ? (logged, ms = 0) => statements.note(logged, ms) : false,
    pool: { max: CONNECTIONS, min: 1, acquire: (patience?.connectionS ?? 15) * 1000 },
    define: { underscored: true },
    models,
  });
}

function limitsOf({ statementS, answerS }: Patience) {
  return {
    // A connection of which nothing is heard is given up; an idle one just the same, and the pool opens another.
    socketTimeout: answerS * 1000,
    sessionVariables: {
      max_statement_time: statementS,
      lock_wait_timeout: Math.max(1, Math.round(statementS / LOCK_SHARE)),
    },
  };
}
