import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { createConnection, type Connection } from 'mariadb';
import type { Configuration } from '../../src/configuration.js';

/** A connection of the test's own, past the application. */
export function connectTo({ database }: Configuration, name = database.name): Promise<Connection> {
  const { socketPath, host, port, user, password } = database;
  return createConnection({
    ...(socketPath === null ? { host, port } : { socketPath }),
    user,
    password,
    ...(name === '' ? {} : { database: name }),
  });
}

export async function administer(configuration: Configuration, statement: string): Promise<void> {
  const connection = await connectTo(configuration, '');
  await connection.query(statement);
  await connection.end();
}

/** Makes a database anew from a copy, as a person would. */
export function readIn({ database }: Configuration, file: string): void {
  const { socketPath, host, port, user, name, password } = database;
  const where = socketPath === null ? [`--host=${host}`, `--port=${port}`] : [`--socket=${socketPath}`];
  execFileSync('mariadb', ['--no-defaults', ...where, `--user=${user}`, name], {
    input: readFileSync(file),
    env: { ...process.env, MYSQL_PWD: password },
  });
}
