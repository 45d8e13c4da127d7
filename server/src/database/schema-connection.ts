import type { Connection } from 'mariadb';
import type { Sequelize } from 'sequelize';

/** One connection of its own, for statements that define tables. */
export interface SchemaConnection extends Pick<Connection, 'beginTransaction' | 'commit' | 'rollback'> {
  query: (statement: string, values?: unknown[]) => Promise<unknown>;
}

/** An upgrade of a large database may take so long; who waits for it waits no longer, s. */
const WAIT_S = 600;

/**
 * Does work on the schema while nobody else does, in this process or another. The lock and the statements are one
 * connection's: when its process is killed, the database lets go of the lock only once the statement that runs is over.
 */
export async function inTurnOfMigrations<T>(
  sequelize: Sequelize,
  work: (connection: SchemaConnection) => Promise<T>,
): Promise<T> {
  const pooled = await sequelize.connectionManager.getConnection({ type: 'write' });
  const connection = pooled as unknown as SchemaConnection;
  try {
    // Named by its schema: locks are the whole server's.
    const [{ isMine }] = (await connection.query(
      `SELECT GET_LOCK(CONCAT('vendu-schema:', DATABASE()), ${WAIT_S}) AS isMine`,
    )) as [{ isMine: number | bigint | null }];
    if (Number(isMine) !== 1) throw new Error('another process has been changing the schema for too long');
    try {
      return await work(connection);
    } finally {
      await connection.query(`SELECT RELEASE_LOCK(CONCAT('vendu-schema:', DATABASE()))`);
    }
  } finally {
    sequelize.connectionManager.releaseConnection(pooled);
  }
}
