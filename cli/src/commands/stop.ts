import { nodesIn } from '../cluster/nodes.js';
import { stopLeftover } from '../mariadb.js';
import { profilePaths } from '../paths.js';
import { step } from '../report.js';
import { endOrphans, endRunning, forgetRunning } from '../running.js';

/** Ends a demo, a lab or a cluster that runs, and the databases that a killed one left behind. */
export async function stop(): Promise<void> {
  let isAnyEnded = false;
  for (const profile of ['demo', 'lab', 'cluster'] as const) {
    const paths = profilePaths(profile);
    const wasRunning = await step(`stopping the ${profile}`, () => endRunning(paths));
    const wasOrphaned = await endOrphans(paths);
    const nodes = profile === 'cluster' ? nodesIn(paths.folder, 0).map((node) => node.paths) : [paths];
    let wasLeftOver = false;
    for (const each of nodes) wasLeftOver = (await stopLeftover(each)) || wasLeftOver;
    forgetRunning(paths);
    isAnyEnded ||= wasRunning || wasOrphaned || wasLeftOver;
  }
  console.log(isAnyEnded ? 'Stopped.' : 'Nothing was running.');
}
