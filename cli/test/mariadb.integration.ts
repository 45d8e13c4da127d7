import { chmodSync, mkdtempSync, readdirSync, readFileSync, rmSync, statSync } from 'node:fs';
import { tmpdir, userInfo } from 'node:os';
import { join } from 'node:path';
import { execa } from 'execa';
import { createConnection, type ConnectionConfig } from 'mariadb';
import { setTimeout as sleep } from 'node:timers/promises';
import { afterAll, afterEach, describe, expect, it } from 'vitest';
import { ensureSchema, recreateSchema } from '../src/databaseAccounts.js';
import type { Database } from '../src/database.js';
import { keepDatabase } from '../src/keepDatabase.js';
import { startDatabase, stopLeftover } from '../src/mariadb.js';
import { profilePaths } from '../src/paths.js';
import { systemUser } from '../src/systemUser.js';

// A folder of its own, which others may enter: none of this touches the demo's data or the other tests'.
const root = mkdtempSync(join(tmpdir(), 'vendu-db-'));
chmodSync(root, 0o755);
const paths = profilePaths('test', root);
const secrets = {
  databaseRootPassword: 'root-1f7c6a90b2',
  databasePassword: 'application-8d03e5b7',
  sessionSecret: '',
};
const isRoot = userInfo().uid === 0;
let database: Database | null = null;

afterEach(async () => {
  await database?.stop();
  database = null;
});
afterAll(() => rmSync(root, { recursive: true, force: true }));

async function start(): Promise<Database> {
  database = await startDatabase(paths, secrets);
  await ensureSchema(database, 'kept');
  return database;
}

async function ask<T>(account: ConnectionConfig, statement: string): Promise<T[]> {
  const connection = await createConnection({
    socketPath: paths.socket,
    bigIntAsNumber: true,
    ...account,
  });
  try {
    const answer: unknown = await connection.query(statement);
    // Statements that return no rows answer with a receipt.
    return Array.isArray(answer) ? (answer.slice() as T[]) : [];
  } finally {
    await connection.end();
  }
}
const asApplication = <T>({ user, password }: Database, statement: string) =>
  ask<T>({ user, password }, statement);
const asRoot = <T>(statement: string) =>
  ask<T>({ user: 'root', password: secrets.databaseRootPassword }, statement);

/** The process that serves the folder. */
function databasePid(): number {
  return Number(readFileSync(join(paths.databaseFolder, 'mariadb.pid'), 'utf8'));
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
  it('starts from nothing, with the time of the world', async () => {
    const first = await start();
    await asApplication(first, 'CREATE TABLE kept.cups (g INT)');
    await asApplication(first, 'INSERT INTO kept.cups VALUES (212)');
    expect(await asApplication(first, "SHOW VARIABLES LIKE 'time_zone'")).toEqual([
      { Variable_name: 'time_zone', Value: '+00:00' },
    ]);
  });

  it('has its rows again after a stop and a start', async () => {
    expect(await asApplication(await start(), 'SELECT g FROM kept.cups')).toEqual([{ g: 212 }]);
  });

  it('recovers from a server that was killed, with its files left behind', async () => {
    const killed = await start();
    const pid = databasePid();
    process.kill(pid, 'SIGKILL');
    while (isAlive(pid)) await sleep(50);
    expect(await asApplication(await start(), 'SELECT g FROM kept.cups')).toEqual([{ g: 212 }]);
    await killed.stop();
  });

  it('takes the place of a server that still holds the folder', async () => {
    await start();
    const orphan = databasePid();
    const second = await startDatabase(paths, secrets);
    try {
      expect(isAlive(orphan)).toBe(false);
      expect(await asApplication(second, 'SELECT 1 AS one')).toEqual([{ one: 1 }]);
    } finally {
      await second.stop();
    }
  });

  it('empties a schema on request, and only then', async () => {
    const running = await start();
    expect(await asApplication(running, 'SELECT g FROM kept.cups')).toHaveLength(1);
    await recreateSchema(running, 'kept');
    expect(await asApplication(running, 'SHOW TABLES IN kept')).toEqual([]);
  });

  it('leaves no process behind when it is stopped', async () => {
    const running = await start();
    const pid = databasePid();
    await running.stop();
    expect(isAlive(pid)).toBe(false);
  });
});

describe('its doors', () => {
  it('are no port, and a socket that other system users cannot reach', async () => {
    await start();
    expect(await asRoot("SHOW VARIABLES LIKE 'skip_networking'")).toMatchObject([{ Value: 'ON' }]);
    const { mode, uid } = statSync(paths.databaseFolder);
    expect(mode & 0o077).toBe(0);
    expect(statSync(paths.dataFolder).mode & 0o007).toBe(0);
    // Only root can try as somebody else; whoever else starts it owns the folder that the modes above close.
    expect(uid).toBe(isRoot ? systemUser('mysql').uid : userInfo().uid);
    if (!isRoot) return;
    const stranger = systemUser('nobody');
    for (const words of [
      ['mariadb', '--no-defaults', `--socket=${paths.socket}`, '--user=root', '-e', 'SELECT 1'],
      ['ls', paths.dataFolder],
      ['cat', paths.databaseLog],
    ]) {
      const [program = '', ...args] = words;
      const tried = await execa(program, args, {
        uid: stranger.uid,
        gid: stranger.gid,
        cwd: '/',
        reject: false,
        all: true,
      });
      expect([words, tried.failed]).toEqual([words, true]);
      expect(tried.all).toMatch(/permission denied|can't connect/i);
    }
    // The server itself may not do what root may.
    const status = readFileSync(`/proc/${databasePid()}/status`, 'utf8');
    expect(status).toMatch(new RegExp(`^Uid:\\s+${uid}\\s+${uid}\\s+${uid}\\s+${uid}$`, 'm'));
  });

  it('open to two accounts only, each with a password of its own', async () => {
    await start();
    const accounts = await asRoot<{ user: string; host: string }>(
      "SELECT user AS user, host AS host FROM mysql.user WHERE user NOT IN ('mariadb.sys', 'PUBLIC') ORDER BY user",
    );
    expect(accounts).toEqual([
      { user: 'root', host: 'localhost' },
      { user: 'vendu', host: 'localhost' },
    ]);
    for (const password of ['', secrets.databasePassword]) {
      await expect(ask({ user: 'root', password }, 'SELECT 1')).rejects.toThrow(/access denied/i);
    }
  });

  it('let the application into its own schema and nowhere else, and to no file', async () => {
    const running = await start();
    await expect(asApplication(running, 'SELECT * FROM mysql.user')).rejects.toThrow(/denied/);
    await expect(asApplication(running, 'CREATE DATABASE another')).rejects.toThrow(/denied/);
    await expect(asApplication(running, "SELECT 1 INTO OUTFILE '/tmp/vendu-leak'")).rejects.toThrow(/denied/);
    await expect(asRoot(`SELECT 1 INTO OUTFILE '${root}/leak'`)).rejects.toThrow(/secure.file.priv/);
    expect(readdirSync(root)).not.toContain('leak');
  });

  it('are shut on a data folder of an older version, which is kept', async () => {
    await start();
    await asRoot("CREATE USER vendu@127.0.0.1 IDENTIFIED BY 'old'");
    await asRoot('GRANT ALL ON *.* TO vendu@127.0.0.1');
    await asRoot('CREATE USER root@127.0.0.1');
    // As it was: root's password was the application's.
    await asRoot(`ALTER USER root@localhost IDENTIFIED BY '${secrets.databasePassword}'`);
    await database?.stop();
    const running = await start();
    expect(
      await asRoot('SELECT COUNT(*) AS count FROM mysql.user WHERE host <> "localhost" AND user <> "PUBLIC"'),
    ).toEqual([{ count: 0 }]);
    expect(await asApplication(running, 'SHOW TABLES IN kept')).toEqual([]);
  });
});

describe('a database whose passwords are lost', () => {
  it('does not start, and leaves no process behind', async () => {
    const others = { ...secrets, databaseRootPassword: 'x1', databasePassword: 'x2' };
    await expect(startDatabase(paths, others)).rejects.toThrow(/access denied/i);
    expect(await stopLeftover(paths)).toBe(false);
  });
});

describe('a database that is kept', () => {
  it('is there again after it ended by itself, with what was in it, and is not once it is stopped', async () => {
    const kept = await keepDatabase(() => startDatabase(paths, secrets), { restMs: 50 });
    database = kept;
    await recreateSchema(kept, 'kept');
    await asApplication(kept, 'CREATE TABLE kept.cups (n INT)');
    await asApplication(kept, 'INSERT INTO kept.cups VALUES (7)');
    const before = databasePid();
    process.kill(before, 'SIGKILL');
    await expect
      .poll(() => asApplication<{ n: number }>(kept, 'SELECT n FROM kept.cups').catch(() => []))
      .toMatchObject([{ n: 7 }]);
    const again = databasePid();
    expect(again).not.toBe(before);
    await kept.stop();
    await sleep(300);
    expect(readdirSync('/proc')).not.toContain(String(again));
    await expect(asApplication(kept, 'SELECT 1')).rejects.toThrow();
  });
});
