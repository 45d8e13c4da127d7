import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { createConnection } from 'mariadb';
import { setTimeout as sleep } from 'node:timers/promises';
import { afterAll, afterEach, describe, expect, it } from 'vitest';
import { ensureDatabase, recreateDatabase, startDatabase, type Database } from '../src/mariadb.js';
import { profilePaths } from '../src/paths.js';

// A folder of its own: none of this touches the demo's data or the other tests'.
const root = mkdtempSync(join(tmpdir(), 'vendu-db-'));
const paths = profilePaths('test', root);
let database: Database | null = null;

afterEach(async () => {
  await database?.stop();
  database = null;
});
afterAll(() => rmSync(root, { recursive: true, force: true }));

async function start(): Promise<Database> {
  database = await startDatabase(paths, 'secret');
  return database;
}

async function query<T>({ port, user, password }: Database, statement: string): Promise<T[]> {
  const connection = await createConnection({
    host: '127.0.0.1',
    port,
    user,
    password,
    bigIntAsNumber: true,
  });
  try {
    const answer: unknown = await connection.query(statement);
    // Statements that return no rows answer with a receipt.
    return Array.isArray(answer) ? (answer.slice() as T[]) : [];
  } finally {
    await connection.end();
  }
}

function isAlive(pid: number): boolean {
  try {
    process.kill(pid, 0);
    return true;
  } catch {
    return false;
  }
}

describe('the private database', () => {
  it('starts from nothing, on loopback only, and leaves no open door for root', async () => {
    const first = await start();
    await ensureDatabase(first, 'kept');
    await query(first, 'CREATE TABLE kept.cups (g INT)');
    await query(first, 'INSERT INTO kept.cups VALUES (212)');
    expect(await query(first, "SHOW VARIABLES LIKE 'bind_address'")).toEqual([
      { Variable_name: 'bind_address', Value: '127.0.0.1' },
    ]);
    expect(await query(first, "SHOW VARIABLES LIKE 'time_zone'")).toEqual([
      { Variable_name: 'time_zone', Value: '+00:00' },
    ]);
    await expect(
      createConnection({ socketPath: paths.socket, user: 'root', password: '' }),
    ).rejects.toThrow();
  });

  it('has its rows again after a stop and a start', async () => {
    expect(await query(await start(), 'SELECT g FROM kept.cups')).toEqual([{ g: 212 }]);
  });

  it('recovers from a server that was killed, with its pid file and socket left behind', async () => {
    const killed = await start();
    const pid = Number(readFileSync(paths.databasePid, 'utf8'));
    process.kill(pid, 'SIGKILL');
    while (isAlive(pid)) await sleep(50);
    expect(await query(await start(), 'SELECT g FROM kept.cups')).toEqual([{ g: 212 }]);
    await killed.stop();
  });

  it('takes the place of a server that still holds the folder', async () => {
    await start();
    const orphan = Number(readFileSync(paths.databasePid, 'utf8'));
    const second = await startDatabase(paths, 'secret');
    try {
      expect(isAlive(orphan)).toBe(false);
      expect(await query(second, 'SELECT 1 AS one')).toEqual([{ one: 1 }]);
    } finally {
      await second.stop();
    }
  });

  it('empties a database on request, and only then', async () => {
    const running = await start();
    await ensureDatabase(running, 'kept');
    expect(await query(running, 'SELECT g FROM kept.cups')).toHaveLength(1);
    await recreateDatabase(running, 'kept');
    expect(
      await query(running, "SELECT table_name FROM information_schema.tables WHERE table_schema = 'kept'"),
    ).toEqual([]);
  });

  it('leaves no process behind when it is stopped', async () => {
    const running = await start();
    const pid = Number(readFileSync(paths.databasePid, 'utf8'));
    await running.stop();
    expect(isAlive(pid)).toBe(false);
  });
});
