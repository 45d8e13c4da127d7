import { createConnection, type Connection } from 'mariadb';
import type { Database } from './database.js';
import type { Secrets } from './secrets.js';

/** MariaDB's own: nobody can sign in as them. */
const BUILT_IN = ['mariadb.sys', 'PUBLIC'];

/**
 * Leaves two accounts in the database: root, for making schemas, and the application's, which has no right anywhere until
 * a schema is opened to it. Both from the socket only and with a password each. All others are dropped, among them
 * the root accounts without a password that a new data folder comes with.
 */
export async function closeDoors(
  socketPath: string,
  { user, databaseRootPassword, databasePassword }: Secrets & { user: string },
): Promise<void> {
  // A new data folder has no password; an older version gave root the application's.
  const connection = await firstThatOpens(socketPath, [databaseRootPassword, databasePassword, '']);
  try {
    await connection.query('ALTER USER root@localhost IDENTIFIED BY ?', [databaseRootPassword]);
    const accounts: { user: string; host: string }[] = await connection.query(
      'SELECT user AS user, host AS host FROM mysql.user WHERE user NOT IN (?)',
      [BUILT_IN],
    );
    const needed = (each: { user: string; host: string }) =>
      each.host === 'localhost' && (each.user === 'root' || each.user === user);
    for (const each of accounts.filter((account) => !needed(account))) {
      await connection.query('DROP USER ?@?', [each.user, each.host]);
    }
    await connection.query('CREATE USER IF NOT EXISTS ?@localhost IDENTIFIED BY ?', [user, databasePassword]);
    await connection.query('ALTER USER ?@localhost IDENTIFIED BY ?', [user, databasePassword]);
  } finally {
    await connection.end();
  }
}

/** Makes a schema when there is none of this name, and opens it to the application. */
export async function ensureSchema(database: Database, name: string): Promise<void> {
  await asRoot(database, async (connection) => {
    await connection.query(`CREATE DATABASE IF NOT EXISTS \`${name}\``);
    await open(connection, database.user, name);
  });
}

/** Empties a schema, or makes it, and opens it to the application. */
export async function recreateSchema(database: Database, name: string): Promise<void> {
  await dropSchema(database, name);
  await ensureSchema(database, name);
}

/** Opens every schema of a name that begins so, which the application may then make and drop itself: for tests alone. */
export async function openSchemas(database: Database, prefix: string): Promise<void> {
  await asRoot(database, (connection) => open(connection, database.user, `${prefix}%`));
}

/** In a grant `_` stands for any letter unless it is escaped. */
async function open(connection: Connection, user: string, name: string): Promise<void> {
  await connection.query(`GRANT ALL ON \`${name.replaceAll('_', '\\_')}\`.* TO ?@localhost`, [user]);
}

/** Takes a schema away, if it is there. */
export async function dropSchema(database: Database, name: string): Promise<void> {
  await asRoot(database, (connection) => connection.query(`DROP DATABASE IF EXISTS \`${name}\``));
}

/** Moves tables from one schema to another in one statement: all of them or none. */
export async function moveTables(
  database: Database,
  tables: readonly string[],
  { from, to }: { from: string; to: string },
): Promise<void> {
  if (tables.length === 0) return;
  const moves = tables.map((table) => `\`${from}\`.\`${table}\` TO \`${to}\`.\`${table}\``);
  await asRoot(database, (connection) => connection.query(`RENAME TABLE ${moves.join(', ')}`));
}

export async function asRoot<T>(
  { socket, rootPassword }: Database,
  work: (connection: Connection) => Promise<T>,
): Promise<T> {
  const connection = await firstThatOpens(socket, [rootPassword]);
  try {
    return await work(connection);
  } finally {
    await connection.end();
  }
}

async function firstThatOpens(socketPath: string, [password, ...others]: string[]): Promise<Connection> {
  try {
    return await createConnection({ socketPath, user: 'root', password: password ?? '' });
  } catch (error) {
    if (others.length === 0) throw error;
    return firstThatOpens(socketPath, others);
  }
}
