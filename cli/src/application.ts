import { join } from 'node:path';
import { execa, type ResultPromise } from 'execa';
import { setTimeout as sleep } from 'node:timers/promises';
import type { Database } from './database.js';
import { ownLog } from './ownLog.js';
import { ROOT, type ProfilePaths } from './paths.js';
import { step, CommandFailure } from './report.js';
import type { Secrets } from './secrets.js';

export interface ApplicationSettings {
  database: Database;
  databaseName: string;
  secrets: Secrets;
  port: number;
  isDemo: boolean;
  opensToPhones?: boolean;
  /** Whether the server also serves the built web application. */
  servesWeb: boolean;
  /** Where copies of its database go. */
  backups?: string;
  extraEnv?: Record<string, string>;
}

const ANSWER_TIMEOUT_MS = 120_000;

/** The server's settings, as its environment. */
export function environmentOf(settings: ApplicationSettings): Record<string, string> {
  const { database, secrets } = settings;
  return {
    VENDU_PORT: String(settings.port),
    VENDU_DB_SOCKET: database.socket,
    VENDU_DB_NAME: settings.databaseName,
    VENDU_DB_USER: database.user,
    VENDU_DB_PASSWORD: database.password,
    VENDU_SESSION_SECRET: secrets.sessionSecret,
    ...(settings.isDemo ? { VENDU_DEMO: '1' } : {}),
    ...(settings.opensToPhones ? { VENDU_PHONES: '1' } : {}),
    ...(settings.servesWeb ? { VENDU_WEB_ROOT: join(ROOT, 'web', 'dist') } : {}),
    ...(settings.backups === undefined ? {} : { VENDU_BACKUPS: settings.backups }),
    ...settings.extraEnv,
  };
}

/** Migrates the schema and, in demo mode, loads the demo data when there is none. */
export async function prepareDatabase(settings: ApplicationSettings, { dumps }: ProfilePaths): Promise<void> {
  await step('bringing the schema and the demo data up to date', async () => {
    const done = await execa('node', ['server/dist/prepare-database.js'], {
      cwd: ROOT,
      env: { ...environmentOf(settings), VENDU_DUMP_FOLDER: dumps },
      reject: false,
      all: true,
    });
    if (done.failed) throw new CommandFailure(`The database could not be prepared:\n${done.all}`);
    console.log(done.all.replace(/^/gm, '  '));
  });
}

/** Where the first lead of a lab begins; `null` once somebody can sign in. */
export async function firstLeadPath(settings: ApplicationSettings): Promise<string | null> {
  const { stdout } = await execa('node', ['server/dist/first-lead.js'], {
    cwd: ROOT,
    env: environmentOf(settings),
  });
  return stdout.trim() || null;
}

/** By which a server is told from other programs. */
export const SERVER_FILE = 'server/dist/main.js';

/** A running server. Plain functions, since a promise inside a promise would be awaited by accident. */
export interface Server {
  pid: number | null;
  ended: () => Promise<void>;
  stop: () => Promise<void>;
  /** Ends it without warning. */
  kill: () => Promise<void>;
}

/** Starts the server and waits until its health check answers. Its log goes to the profile's folder. */
export async function startServer(settings: ApplicationSettings, paths: ProfilePaths): Promise<Server> {
  const server = execa('node', ['--enable-source-maps', SERVER_FILE], {
    cwd: ROOT,
    env: environmentOf(settings),
    reject: false,
    all: true,
    buffer: false,
    detached: true,
  });
  server.all.pipe(ownLog(paths.serverLog));
  const deadlineMs = Date.now() + ANSWER_TIMEOUT_MS;
  while (Date.now() < deadlineMs && server.exitCode === null) {
    if (await isHealthy(settings.port)) {
      return {
        pid: server.pid ?? null,
        ended: () => server.then(() => undefined),
        stop: () => stopServer(server),
        kill: async () => {
          server.kill('SIGKILL');
          await server;
        },
      };
    }
    await sleep(150);
  }
  server.kill('SIGKILL');
  throw new CommandFailure(`The server did not start; its log is ${paths.serverLog}.`);
}

async function isHealthy(port: number): Promise<boolean> {
  try {
    return (await fetch(`http://127.0.0.1:${port}/api/health`)).ok;
  } catch {
    return false;
  }
}

async function stopServer(server: ResultPromise): Promise<void> {
  server.kill('SIGTERM');
  const stopped = await Promise.race([server.then(() => true), sleep(8000, false, { ref: false })]);
  if (!stopped) server.kill('SIGKILL');
  await server;
}
