import { stopLeftover } from '../mariadb.js';
import { profilePaths } from '../paths.js';
import { step } from '../report.js';
import { endOrphanedServer, endRunning, forgetRunning } from '../running.js';

/** Ends a demo or a lab that runs, and a database that a killed one left behind. */
export async function stop(): Promise<void> {
  let isAnyEnded = false;
  for (const profile of ['demo', 'lab'] as const) {
    const paths = profilePaths(profile);
    const wasRunning = await step(`stopping the ${profile}`, () => endRunning(paths));
    const wasOrphaned = await endOrphanedServer(paths);
    const wasLeftOver = await stopLeftover(paths);
    forgetRunning(paths);
    isAnyEnded ||= wasRunning || wasOrphaned || wasLeftOver;
  }
  console.log(isAnyEnded ? 'Stopped.' : 'Nothing was running.');
}
