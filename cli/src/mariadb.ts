import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { userInfo } from 'node:os';
import { delimiter } from 'node:path';
import { execa, type ResultPromise } from 'execa';
import getPort, { portNumbers } from 'get-port';
import { createConnection } from 'mariadb';
import { setTimeout as sleep } from 'node:timers/promises';
import type { ProfilePaths } from './paths.js';
import { Trouble } from './report.js';

/** A running private MariaDB, listening on loopback only. */
export interface Database {
  port: number;
  user: string;
  password: string;
  stop: () => Promise<void>;
  /** Ends it without warning, as a power cut would. */
  kill: () => Promise<void>;
}

const USER = 'vendu';
const START_TIMEOUT_MS = 40_000;
const STOP_TIMEOUT_MS = 20_000;
/** Debian keeps the server's programs where only root's PATH looks. */
const PATH_WITH_SBIN = ['/usr/sbin', '/usr/local/sbin', process.env['PATH'] ?? ''].join(delimiter);

/**
 * Starts the profile's MariaDB, making its data folder first when there is none. What a killed server
 * left behind (pid file, socket, even the process itself) is cleared away.
 *
 * @param wantedPort - a free one unless given
 */
export async function startDatabase(
  paths: ProfilePaths,
  password: string,
  wantedPort?: number,
): Promise<Database> {
  await initialise(paths);
  await stopLeftover(paths);
  const port = wantedPort ?? (await getPort({ port: portNumbers(33_070, 33_270), host: '127.0.0.1' }));
  const server = execa('mariadbd', serverArguments(paths, port), {
    env: { PATH: PATH_WITH_SBIN },
    stdio: 'ignore',
    reject: false,
    // Ctrl-C in the terminal must reach us alone: we stop the database after its last client.
    detached: true,
  });
  await untilItAnswers(server, paths);
  await grantAccess(paths, password);
  return {
    port,
    user: USER,
    password,
    stop: () => stopServer(server),
    kill: async () => {
      server.kill('SIGKILL');
      await server;
    },
  };
}

/** Empties (or makes) a database of the server. */
export async function recreateDatabase({ port, user, password }: Database, name: string): Promise<void> {
  const connection = await createConnection({ host: '127.0.0.1', port, user, password });
  try {
    await connection.query(`DROP DATABASE IF EXISTS \`${name}\``);
    await connection.query(`CREATE DATABASE \`${name}\``);
  } finally {
    await connection.end();
  }
}

/** Makes a database of the server when there is none of this name. */
export async function ensureDatabase({ port, user, password }: Database, name: string): Promise<void> {
  const connection = await createConnection({ host: '127.0.0.1', port, user, password });
  try {
    await connection.query(`CREATE DATABASE IF NOT EXISTS \`${name}\``);
  } finally {
    await connection.end();
  }
}

async function initialise({ folder, dataFolder }: ProfilePaths): Promise<void> {
  if (existsSync(`${dataFolder}/mysql`)) return;
  mkdirSync(folder, { recursive: true });
  const made = await execa(
    'mariadb-install-db',
    [
      '--no-defaults',
      `--user=${userInfo().username}`,
      `--datadir=${dataFolder}`,
      '--auth-root-authentication-method=normal',
      '--skip-test-db',
      '--skip-name-resolve',
    ],
    { env: { PATH: PATH_WITH_SBIN }, reject: false, all: true },
  );
  if (made.failed) throw new Trouble(`MariaDB could not make its data folder:\n${made.all}`);
}

function serverArguments(paths: ProfilePaths, port: number): string[] {
  return [
    // First, or the system's own settings would apply.
    '--no-defaults',
    `--user=${userInfo().username}`,
    `--datadir=${paths.dataFolder}`,
    '--bind-address=127.0.0.1',
    `--port=${port}`,
    `--socket=${paths.socket}`,
    `--pid-file=${paths.databasePid}`,
    `--log-error=${paths.databaseLog}`,
    '--skip-name-resolve',
    '--skip-log-bin',
    '--character-set-server=utf8mb4',
    '--collation-server=utf8mb4_unicode_ci',
    '--default-time-zone=+00:00',
  ];
}

/** Judges by an answer, never by the pid file. */
async function untilItAnswers(server: ResultPromise, paths: ProfilePaths): Promise<void> {
  const deadlineMs = Date.now() + START_TIMEOUT_MS;
  while (Date.now() < deadlineMs && server.exitCode === null) {
    if (await answers(paths.socket)) return;
    await sleep(100);
  }
  server.kill('SIGKILL');
  const log = existsSync(paths.databaseLog)
    ? readFileSync(paths.databaseLog, 'utf8').split('\n').slice(-15).join('\n')
    : '';
  throw new Trouble(`MariaDB did not start. The end of its log (${paths.databaseLog}):\n${log}`);
}

async function answers(socket: string): Promise<boolean> {
  const ping = await execa(
    'mariadb-admin',
    ['--no-defaults', `--socket=${socket}`, '--connect-timeout=2', 'ping'],
    {
      reject: false,
      all: true,
    },
  );
  // "Access denied" is an answer too: the server is up and has a password already.
  return !ping.failed || /access denied/i.test(ping.all);
}

/** Gives the application its user, and takes root's empty password away. Done once per data folder. */
async function grantAccess({ socket }: ProfilePaths, password: string): Promise<void> {
  const asRoot = (rootPassword: string) =>
    createConnection({ socketPath: socket, user: 'root', password: rootPassword });
  const connection = await asRoot(password).catch(() => asRoot(''));
  try {
    await connection.query(`CREATE USER IF NOT EXISTS '${USER}'@'127.0.0.1' IDENTIFIED BY '${password}'`);
    await connection.query(`GRANT ALL ON *.* TO '${USER}'@'127.0.0.1'`);
    await connection.query(`ALTER USER 'root'@'localhost' IDENTIFIED BY '${password}'`);
  } finally {
    await connection.end();
  }
}

async function stopServer(server: ResultPromise): Promise<void> {
  server.kill('SIGTERM');
  const stopped = await Promise.race([
    server.then(() => true),
    sleep(STOP_TIMEOUT_MS, false, { ref: false }),
  ]);
  if (!stopped) server.kill('SIGKILL');
  await server;
}

/** Ends a server that still holds this data folder, and clears the files that a killed one leaves. */
export async function stopLeftover({ databasePid, dataFolder, socket }: ProfilePaths): Promise<boolean> {
  const pid = existsSync(databasePid) ? Number(readFileSync(databasePid, 'utf8')) : 0;
  const isOurs = pid > 0 && commandLine(pid).includes(dataFolder);
  if (isOurs) {
    process.kill(pid, 'SIGTERM');
    const deadlineMs = Date.now() + STOP_TIMEOUT_MS;
    while (commandLine(pid).includes(dataFolder)) {
      if (Date.now() > deadlineMs) process.kill(pid, 'SIGKILL');
      await sleep(100);
    }
  }
  rmSync(databasePid, { force: true });
  rmSync(socket, { force: true });
  return isOurs;
}

function commandLine(pid: number): string {
  try {
    return readFileSync(`/proc/${pid}/cmdline`, 'utf8');
  } catch {
    return '';
  }
}
