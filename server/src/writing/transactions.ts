import { AsyncLocalStorage } from 'node:async_hooks';
import { Transaction } from 'sequelize';
import { Sequelize } from 'sequelize-typescript';
import { ProblemError } from '../problem/problem-error.js';
import { isBusy, isFull } from '../database/database-faults.js';

const TRIES = 6;
/** Before a lock is asked for again, ms: doubled from try to try, and never the same for two who met. */
const FIRST_WAIT_MS = 15;

// Every statement made inside a transaction is made by it, without being told: one that went by another connection
// would not see what was written, and with ten writers there would be no other connection left.
const store = new AsyncLocalStorage<Map<string, unknown>>();
Sequelize.useCLS({
  bind: (work: unknown) => work,
  run: (work: () => unknown) => store.run(new Map(store.getStore()), work),
  get: (key: string) => store.getStore()?.get(key),
  set: (key: string, value: unknown) => store.getStore()?.set(key, value),
});

/**
 * Does work in one transaction: all of it is stored or nothing. Where others hold what it needs it is begun again from
 * the start, so the work must change nothing but the database.
 *
 * @throws ProblemError `busy` where others would not let go, `full` where the disk has no room left (nothing was stored
 *   in either); `unknown-outcome` where the database
 *   went away while it was being stored, so that nobody can say whether it was
 */
export function inTransaction<T>(sequelize: Sequelize, work: () => Promise<T>): Promise<T> {
  return untilFree(async () => {
    const progress = { isWorkDone: false };
    try {
      return await sequelize.transaction(
        // What others have stored by now is seen, and reading it stands in nobody's way.
        { isolationLevel: Transaction.ISOLATION_LEVELS.READ_COMMITTED },
        async () => {
          const result = await work();
          progress.isWorkDone = true;
          return result;
        },
      );
    } catch (error) {
      if (!progress.isWorkDone && isFull(error)) {
        throw new ProblemError(
          'full',
          'The disk of the database is full; nothing was stored. Whoever keeps the machine has to make room; what you typed is kept on this device.',
        );
      }
      if (!progress.isWorkDone || isBusy(error)) throw error;
      throw new ProblemError(
        'unknown-outcome',
        'The database went away while this was being saved, and it is not known whether it was. Send the same again: it is saved only once.',
      );
    }
  });
}

/**
 * Does work that is undone whole where it fails, again while others hold what it needs.
 *
 * @throws ProblemError `busy` where they would not let go
 */
export async function untilFree<T>(work: () => Promise<T>): Promise<T> {
  for (let attempt = 1; ; attempt++) {
    try {
      return await work();
    } catch (error) {
      if (!isBusy(error)) throw error;
      if (attempt === TRIES) {
        throw new ProblemError(
          'busy',
          'Somebody else is saving the same just now; nothing was stored. Try again in a moment.',
        );
      }
      const waitMs = FIRST_WAIT_MS * 2 ** attempt * (0.5 + Math.random());
      await new Promise((resolve) => setTimeout(resolve, waitMs));
    }
  }
}
