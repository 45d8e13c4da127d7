import { stopLeftover } from '../mariadb.js';
import { profilePaths } from '../paths.js';
import { step } from '../report.js';
import { endOrphanedServer, endRunning, forgetRunning } from '../running.js';

/** Ends a demo that runs, and a database that a killed one left behind. */
export async function stop(): Promise<void> {
  const paths = profilePaths('demo');
  const wasRunning = await step('stopping the demo', () => endRunning(paths));
  const wasOrphaned = await endOrphanedServer(paths);
  const wasLeftOver = await stopLeftover(paths);
  forgetRunning(paths);
  console.log(wasRunning || wasOrphaned || wasLeftOver ? 'Stopped.' : 'Nothing was running.');
}
