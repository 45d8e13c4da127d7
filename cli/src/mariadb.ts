import { chownSync, existsSync, mkdirSync, readFileSync, readdirSync, rmSync, statSync } from 'node:fs';
import { userInfo } from 'node:os';
import { delimiter, join } from 'node:path';
import { execa, type ResultPromise } from 'execa';
import { setTimeout as sleep } from 'node:timers/promises';
import type { Database, StartedDatabase } from './database.js';
import { closeDoors } from './databaseAccounts.js';
import type { ProfilePaths } from './paths.js';
import { CommandFailure } from './report.js';
import type { Secrets } from './secrets.js';
import { databaseUser } from './systemUser.js';

const USER = 'vendu';
const START_TIMEOUT_MS = 120_000;
const STOP_TIMEOUT_MS = 20_000;
/** A statement that waits longer for somebody else's lock gives up, and is tried again. */
const LOCK_WAIT_S = 5;
/** Debian keeps the server's programs where only root's PATH looks. */
export const PATH_WITH_SBIN = ['/usr/sbin', '/usr/local/sbin', process.env['PATH'] ?? ''].join(delimiter);
/** Nothing in it that another system user could not read. */
export const NEUTRAL_FOLDER = '/';

/** What a node of a cluster has besides. */
export interface AsNode {
  words: readonly string[];
  /** The others give it their data, accounts too. */
  joins: boolean;
}

/**
 * Starts the profile's MariaDB, making its data folder first when there is none. What a killed server
 * left behind (socket, even the process itself) is cleared away, and accounts that nobody needs are dropped.
 */
export async function startDatabase(
  paths: ProfilePaths,
  secrets: Secrets,
  { words, joins }: AsNode = { words: [], joins: false },
): Promise<StartedDatabase> {
  await stopLeftover(paths);
  await moveIn(paths);
  if (!joins) await initialise(paths);
  const server = execa('mariadbd', [...serverArguments(paths), ...words], {
    env: { PATH: PATH_WITH_SBIN },
    cwd: NEUTRAL_FOLDER,
    stdio: 'ignore',
    reject: false,
    // Ctrl-C in the terminal must reach us alone: we stop the database after its last client.
    detached: true,
  });
  await untilItAnswers(server, paths);
  try {
    if (!joins) await closeDoors(paths.socket, { user: USER, ...secrets });
  } catch (error) {
    // Nobody else would end it: it is no child of the terminal.
    await stopServer(server);
    throw error;
  }
  return {
    socket: paths.socket,
    user: USER,
    password: secrets.databasePassword,
    rootPassword: secrets.databaseRootPassword,
    stop: () => stopServer(server),
    ended: async () => {
      await server;
    },
    kill: async () => {
      server.kill('SIGKILL');
      await server;
    },
    freeze: () => void server.kill('SIGSTOP'),
    thaw: () => void server.kill('SIGCONT'),
  };
}

/** A database that another process runs, or a proxy stands before: it is not ours to end. */
export function runningDatabase(
  { socket }: ProfilePaths,
  { databasePassword, databaseRootPassword }: Secrets,
): Database {
  const leave = () => Promise.resolve();
  return {
    socket,
    user: USER,
    password: databasePassword,
    rootPassword: databaseRootPassword,
    stop: leave,
    kill: leave,
  };
}

/** Takes what a profile has off the disk, its database too. */
export function removeProfile({ folder, home }: ProfilePaths): void {
  for (const each of new Set([folder, home])) rmSync(each, { recursive: true, force: true });
}

/** Brings the folders to where they belong now, and gives them to whom the database runs as. */
async function moveIn({ folder, home, dataFolder, databaseFolder }: ProfilePaths): Promise<void> {
  const { uid, gid, name } = databaseUser();
  mkdirSync(folder, { recursive: true });
  mkdirSync(home, { recursive: true });
  const before = join(folder, 'data');
  if (before !== dataFolder && existsSync(before) && !existsSync(dataFolder)) {
    await execa('mv', [before, dataFolder]);
  }
  for (const own of [databaseFolder, temporaryFolder(databaseFolder), filesFolder(databaseFolder)]) {
    mkdirSync(own, { recursive: true, mode: 0o700 });
    chownSync(own, uid, gid);
  }
  mkdirSync(dataFolder, { recursive: true, mode: 0o700 });
  if (statSync(dataFolder).uid !== uid) {
    await execa('chown', ['-R', `${name}:`, dataFolder]);
  }
}

async function initialise({ dataFolder, databaseFolder }: ProfilePaths): Promise<void> {
  if (existsSync(`${dataFolder}/mysql`)) return;
  const made = await execa(
    'mariadb-install-db',
    [
      '--no-defaults',
      `--user=${databaseUser().name}`,
      `--datadir=${dataFolder}`,
      // A server that starts clears what another one, being set up just then, has in a folder that both share.
      `--tmpdir=${temporaryFolder(databaseFolder)}`,
      '--auth-root-authentication-method=normal',
      '--skip-test-db',
      '--skip-name-resolve',
    ],
    { env: { PATH: PATH_WITH_SBIN }, cwd: NEUTRAL_FOLDER, reject: false, all: true },
  );
  if (made.failed) throw new CommandFailure(`MariaDB could not make its data folder:\n${made.all}`);
}

function serverArguments(paths: ProfilePaths): string[] {
  const { dataFolder, databaseFolder, socket, databaseLog, isThrownAway } = paths;
  return [
    // First, or the system's own settings would apply.
    '--no-defaults',
    `--user=${databaseUser().name}`,
    `--datadir=${dataFolder}`,
    '--skip-networking',
    `--socket=${socket}`,
    `--pid-file=${join(databaseFolder, 'mariadb.pid')}`,
    `--log-error=${databaseLog}`,
    `--tmpdir=${temporaryFolder(databaseFolder)}`,
    // Statements that read or write files reach an empty folder of the database's own, and the client's none.
    `--secure-file-priv=${filesFolder(databaseFolder)}`,
    '--local-infile=0',
    '--skip-symbolic-links',
    '--skip-name-resolve',
    '--skip-log-bin',
    `--innodb-lock-wait-timeout=${LOCK_WAIT_S}`,
    `--lock-wait-timeout=${LOCK_WAIT_S * 12}`,
    '--character-set-server=utf8mb4',
    '--collation-server=utf8mb4_unicode_ci',
    '--default-time-zone=+00:00',
    // A server that is killed still finds what it wrote; only a machine that went down would not.
    ...(isThrownAway
      ? ['--innodb-flush-log-at-trx-commit=2', '--innodb-flush-method=nosync', '--innodb-file-per-table=0']
      : []),
  ];
}

const temporaryFolder = (databaseFolder: string) => join(databaseFolder, 'tmp');
const filesFolder = (databaseFolder: string) => join(databaseFolder, 'files');

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
  throw new CommandFailure(`MariaDB did not start. The end of its log (${paths.databaseLog}):\n${log}`);
}

async function answers(socket: string): Promise<boolean> {
  const ping = await execa(
    'mariadb-admin',
    ['--no-defaults', `--socket=${socket}`, '--connect-timeout=10', 'ping'],
    {
      reject: false,
      all: true,
    },
  );
  // "Access denied" is an answer too: the server is up and has a password already.
  return !ping.failed || /access denied/i.test(ping.all);
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

/** Ends a server that still holds this data folder, and clears the socket that a killed one leaves. */
export async function stopLeftover({ folder, dataFolder, socket }: ProfilePaths): Promise<boolean> {
  // An older version had the data in the profile's folder, whoever could enter there.
  const holders = serversOn([dataFolder, join(folder, 'data')]);
  for (const pid of holders) {
    process.kill(pid, 'SIGTERM');
    const deadlineMs = Date.now() + STOP_TIMEOUT_MS;
    while (serversOn([dataFolder, join(folder, 'data')]).includes(pid)) {
      if (Date.now() > deadlineMs) process.kill(pid, 'SIGKILL');
      await sleep(100);
    }
  }
  rmSync(socket, { force: true });
  return holders.length > 0;
}

/** Processes, this user's or the database user's, that serve one of these data folders: judged by how they were called. */
function serversOn(dataFolders: readonly string[]): number[] {
  const own = [userInfo().uid, databaseUserId()];
  return readdirSync('/proc')
    .filter((name) => /^\d+$/.test(name))
    .filter((pid) => {
      const [program = '', ...words] = commandLine(pid);
      return (
        program.endsWith('mariadbd') &&
        words.some((word) => dataFolders.includes(word.replace('--datadir=', ''))) &&
        own.includes(statSync(`/proc/${pid}`, { throwIfNoEntry: false })?.uid ?? -1)
      );
    })
    .map(Number);
}

/** Before the package is there, nothing runs as its user. */
function databaseUserId(): number {
  try {
    return databaseUser().uid;
  } catch {
    return userInfo().uid;
  }
}

function commandLine(pid: string): string[] {
  try {
    return readFileSync(`/proc/${pid}/cmdline`, 'utf8').split('\0');
  } catch {
    return [];
  }
}
