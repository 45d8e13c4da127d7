import { createHash } from 'node:crypto';
import { createConnection, type Connection } from 'mariadb';
import type { Cluster } from '../cluster/startCluster.js';

export interface NodesCompared {
  tables: number;
  rows: number;
  /** Tables in which the nodes differ. */
  tablesDifferent: string[];
}

/** What a table holds: how many rows, and a sum over them. */
interface Held {
  rows: number;
  sum: string;
}

/** Compares what the nodes of a cluster hold once each has taken in all that was written. */
export async function comparedNodes(
  { nodes, database }: Cluster,
  databaseName: string,
): Promise<NodesCompared> {
  const { user, password } = database;
  const [one, ...others] = await Promise.all(
    nodes.map(async ({ paths }) => {
      const connection = await createConnection({
        socketPath: paths.socket,
        user,
        password,
        database: databaseName,
      });
      try {
        // Reads wait until everything is there that was written by then.
        await connection.query('SET SESSION wsrep_sync_wait = 15');
        return await heldBy(connection);
      } finally {
        await connection.end();
      }
    }),
  );
  const tables = [...(one?.entries() ?? [])];
  return {
    tables: tables.length,
    rows: tables.reduce((sum, [, { rows }]) => sum + rows, 0),
    tablesDifferent: tables
      .filter(([name, { sum }]) => others.some((other) => other.get(name)?.sum !== sum))
      .map(([name]) => name),
  };
}

async function heldBy(connection: Connection): Promise<Map<string, Held>> {
  const names: { name: string }[] = await connection.query(
    'SELECT table_name AS name FROM information_schema.tables WHERE table_schema = DATABASE()',
  );
  const held = new Map<string, Held>();
  for (const { name } of names) held.set(name, await contentOf(connection, name));
  return held;
}

/**
 * Over the rows in whatever order they come. `CHECKSUM TABLE` will not do: MariaDB 10.11 was seen to sum the same rows
 * differently where a stored computed column has no value.
 */
async function contentOf(connection: Connection, table: string): Promise<Held> {
  const rows: object[] = await connection.query({ sql: `SELECT * FROM \`${table}\``, rowsAsArray: true });
  const hash = (text: string) => createHash('sha256').update(text).digest('hex');
  const asText = (_: string, value: unknown) => (typeof value === 'bigint' ? String(value) : value);
  const sums = rows.map((row) => hash(JSON.stringify(row, asText)));
  return { rows: rows.length, sum: hash(sums.toSorted((a, b) => a.localeCompare(b)).join('')) };
}
