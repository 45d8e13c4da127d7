import { setTimeout as sleep } from 'node:timers/promises';
import type { Database, StartedDatabase } from './database.js';

/** A disk that is full stays so for a while: it is tried again, and not without a rest. */
const REST_MS = 5000;

/**
 * Starts a database, and starts it again whenever it ends by itself, until it is stopped: a disk that was full,
 * or a machine that ran out of memory, must not leave a lab without it once that is over.
 */
export async function keepDatabase(
  start: () => Promise<StartedDatabase>,
  { restMs = REST_MS, name = 'MariaDB' }: { restMs?: number; name?: string } = {},
): Promise<Database> {
  let current = await start();
  let isStopping = false;
  const isStopped = () => isStopping;
  const isAgain = async (): Promise<boolean> => {
    try {
      current = await start();
      return true;
    } catch (error) {
      console.log(`  ${error instanceof Error ? (error.message.split('\n')[0] ?? '') : String(error)}`);
      return false;
    }
  };
  const keep = async () => {
    for (;;) {
      await current.ended();
      if (isStopped()) return;
      console.log(`→ ${name} ended by itself: starting it again`);
      do await sleep(restMs);
      while (!isStopped() && !(await isAgain()));
      // Stopped while it was on its way.
      if (isStopped()) return current.stop();
    }
  };
  const kept = keep();
  return {
    ...current,
    stop: async () => {
      isStopping = true;
      await current.stop();
      await kept;
    },
    kill: () => current.kill(),
  };
}
