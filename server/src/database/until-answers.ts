import { setTimeout as sleep } from 'node:timers/promises';
import { isGone } from './database-faults.js';

const AGAIN_MS = 3000;
/** A start waits so long for its database, ms. */
const PATIENCE_MS = 60_000;

/**
 * Waits until the database answers, asking again for a minute and saying so.
 *
 * @returns whether it answered; what else goes wrong is thrown
 */
export async function untilAnswers(
  { authenticate }: { authenticate: () => Promise<void> },
  { say, wait = sleep }: { say: (line: string) => void; wait?: (ms: number) => Promise<unknown> },
): Promise<boolean> {
  for (let waitedMs = 0; ; waitedMs += AGAIN_MS) {
    try {
      await authenticate();
      return true;
    } catch (error) {
      if (!isGone(error)) throw error;
      if (waitedMs >= PATIENCE_MS) return false;
      say(`the database does not answer yet; asking again (${waitedMs / 1000} of ${PATIENCE_MS / 1000} s)`);
    }
    await wait(AGAIN_MS);
  }
}
