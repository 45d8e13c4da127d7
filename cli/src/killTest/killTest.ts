import { setTimeout as sleep } from 'node:timers/promises';
import { startServer, type ApplicationSettings, type Server } from '../application.js';
import type { Database } from '../database.js';
import { startDatabase } from '../mariadb.js';
import type { ProfilePaths } from '../paths.js';
import { CommandFailure } from '../report.js';
import type { Secrets } from '../secrets.js';
import { sessionCookie } from '../sessionCookie.js';
import { enterLab } from '../trust/lab.js';
import { countBrews, lostMarks, type BrewsCounted } from './counting.js';
import { Desk, type DeskReport } from './desk.js';
import { ask, brewUntil, type DeviceBrew, type Ground } from './device.js';

export interface KillReport extends DeskReport, BrewsCounted {
  serverKills: number;
  databaseKills: number;
  marksLost: number;
}

interface KillTest {
  kills: number;
  settings: ApplicationSettings;
  secrets: Secrets;
  paths: ProfilePaths;
  account: { email: string; password: string };
  onKill?: (count: number) => void;
}

const LOT = 'Kill test';

/** Between a recovery and the next kill, ms: inside any part of a brew. */
const QUIET_MS = { least: 50, most: 900 };

/**
 * Kills server or database, without warning and in the middle of whatever they do, while a device brews and a desk takes lots to their publication; starts
 * again what was killed; and counts afterwards what is missing or twice in the database. Ends both at the end.
 */
export async function killTest({
  kills,
  settings,
  secrets,
  paths,
  account,
  onKill,
}: KillTest): Promise<KillReport> {
  let database = settings.database;
  let server = await startServer(settings, paths);
  const brews: DeviceBrew[] = [];
  const report = { serverKills: 0, databaseKills: 0 };
  let marksLost = 0;
  try {
    const ground = await signIn(settings.port, account);
    let isOver = false;
    const lab = await enterLab(ground.url);
    const desk = new Desk(() => lab);
    const working = Promise.all([brewUntil(ground, () => isOver, brews), desk.workUntil(() => isOver)]);
    for (let kill = 0; kill < kills; kill++) {
      await sleep(QUIET_MS.least + Math.random() * (QUIET_MS.most - QUIET_MS.least));
      if (Math.random() < 0.5) {
        report.serverKills += 1;
        server = await killServer(server, settings, paths);
      } else {
        report.databaseKills += 1;
        database = await killDatabase(database, paths, secrets);
      }
      marksLost += await lostMarks(ground, brews);
      onKill?.(kill + 1);
    }
    isOver = true;
    await working;
    return {
      ...report,
      ...(await countBrews(database, settings.databaseName, { brews, ofLots: LOT })),
      ...(await desk.report()),
      marksLost,
    };
  } finally {
    await server.stop();
    await database.stop();
  }
}

async function killServer(
  server: Server,
  settings: ApplicationSettings,
  paths: ProfilePaths,
): Promise<Server> {
  await server.kill();
  return startServer(settings, paths);
}

/** The same socket again: the server goes on looking for its database there. */
async function killDatabase(database: Database, paths: ProfilePaths, secrets: Secrets): Promise<Database> {
  await database.kill();
  return startDatabase(paths, secrets);
}

async function signIn(port: number, account: KillTest['account']): Promise<Ground> {
  const url = `http://127.0.0.1:${port}`;
  const response = await fetch(`${url}/api/session`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(account),
  });
  const cookie = sessionCookie(response);
  const lot = (await ask({ url, cookie }, 'POST', 'lots', {
    name: LOT,
    country: 'UG',
    process: 'washed',
    roastedOn: '2026-01-15',
  })) as { id: number } | null;
  const recipe = (await ask({ url, cookie }, 'POST', `lots/${lot?.id ?? 0}/recipes`, {
    brewerId: 1,
    grinderId: 1,
  })) as { latestRoastBatchId: number; versions: { id: number }[] } | null;
  if (!recipe) throw new CommandFailure('The kill test could not begin: no recipe to brew.');
  return {
    url,
    cookie,
    recipeVersionId: recipe.versions[0]?.id ?? 0,
    roastBatchId: recipe.latestRoastBatchId,
  };
}
