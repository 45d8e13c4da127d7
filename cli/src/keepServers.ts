import { setTimeout as sleep } from 'node:timers/promises';
import { SERVER_FILE, startServer, type ApplicationSettings, type Server } from './application.js';
import type { ProfilePaths } from './paths.js';
import { CommandFailure } from './report.js';
import type { Program } from './running.js';

/** One that ends at once again and again does not take the machine. */
const REST_MS = 1000;

export interface KeptServers {
  /** Those that run now. */
  programs: () => Program[];
  /** Ends one without warning; it is started anew. */
  kill: (at: number) => Promise<void>;
  stop: () => Promise<void>;
}

/**
 * Starts several servers of one lab, each on a port of its own of this machine, and starts any again that ends by itself.
 *
 * @param onChange - other programs run now
 */
export async function keepServers(
  settings: readonly ApplicationSettings[],
  paths: ProfilePaths,
  onChange: (programs: Program[]) => void = () => undefined,
): Promise<KeptServers> {
  const running: (Server | null)[] = settings.map(() => null);
  const keeping: Promise<void>[] = [];
  let isStopping = false;
  const isStopped = () => isStopping;
  const programs = () =>
    running.flatMap((server) => (server?.pid == null ? [] : [{ pid: server.pid, file: SERVER_FILE }]));
  const start = async (own: ApplicationSettings, at: number): Promise<Server> => {
    const server = await startServer(own, { ...paths, serverLog: logOf(paths, at) });
    running[at] = server;
    onChange(programs());
    return server;
  };
  const keep = async (own: ApplicationSettings, at: number, first: Server) => {
    for (let server: Server | null = first; server !== null; server = await again(own, at)) {
      // Stopped while it was on its way.
      if (isStopped()) return server.stop();
      await server.ended();
      if (isStopped()) return;
      console.log(`→ server ${at + 1} ended by itself: starting it again`);
    }
  };
  /** @returns `null` where all are stopped before it is there */
  const again = async (own: ApplicationSettings, at: number): Promise<Server | null> => {
    while (!isStopped()) {
      await sleep(REST_MS);
      try {
        return await start(own, at);
      } catch (error) {
        if (!(error instanceof CommandFailure)) throw error;
        console.log(`  ${error.message}`);
      }
    }
    return null;
  };
  // One after the other: what the first sets right at its start the others find done.
  for (const [at, own] of settings.entries()) keeping.push(keep(own, at, await start(own, at)));
  return {
    programs,
    kill: async (at) => running[at]?.kill(),
    stop: async () => {
      isStopping = true;
      await Promise.all(running.flatMap((server) => (server === null ? [] : [server.stop()])));
      await Promise.all(keeping);
    },
  };
}

const logOf = ({ serverLog }: ProfilePaths, at: number) =>
  at === 0 ? serverLog : serverLog.replace(/\.log$/, `-${at + 1}.log`);
