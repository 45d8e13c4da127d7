import getPort from 'get-port';
import {
  firstLeadPath,
  prepareDatabase,
  SERVER_FILE,
  startServer,
  type ApplicationSettings,
} from '../application.js';
import { DEFAULT_PORT } from '../arguments.js';
import { build } from '../build.js';
import { atEnd } from '../cleanup.js';
import { ensureDebianPackages, HAPROXY, MARIADB } from '../debian.js';
import { ensureSchema } from '../databaseAccounts.js';
import { keepDatabase } from '../keepDatabase.js';
import { keepServers } from '../keepServers.js';
import { removeProfile, startDatabase } from '../mariadb.js';
import { asTyped, profilePaths, type ProfilePaths } from '../paths.js';
import { startProxy } from '../proxy/startProxy.js';
import { step, CommandFailure } from '../report.js';
import { claim, endOrphans, endRunning, findRunning, forgetRunning, noteRunning } from '../running.js';
import { ensureSecrets } from '../secrets.js';
import { proxyPlanOf, settingsOfEach } from '../severalServers.js';
import { readServeConfig, type ServeConfig } from '../serveConfig.js';

interface Asked {
  port: number;
  /** Phones of tasters in the same network get their pages. */
  opensToPhones: boolean;
  /** Servers that share the work, with a proxy before them where there is more than one. */
  workers: number;
}

/** Everything from a fresh checkout to the demo; runs until it is stopped. */
export function demo(asked: Omit<Asked, 'workers'> & { reset: boolean }): Promise<void> {
  return runLab({ ...asked, workers: 1, isDemo: true });
}

/** The same for a lab of one's own: nobody invented is let in, and what is in it is never thrown away. */
export function serve({
  config,
  port,
  opensToPhones,
  workers,
}: Pick<Asked, 'opensToPhones' | 'workers'> & { config: string | null; port: number | null }): Promise<void> {
  const said = config === null ? {} : readServeConfig(asTyped(config));
  if (workers > 1 && opensToPhones) {
    throw new CommandFailure(
      'A lab of several servers takes no phones past its proxy: put https before it, and they get their pages by that.',
    );
  }
  return runLab({
    opensToPhones,
    workers,
    port: port ?? said.port ?? DEFAULT_PORT,
    reset: false,
    isDemo: false,
    said,
  });
}

async function runLab({
  port,
  opensToPhones,
  workers,
  reset,
  isDemo,
  said = {},
}: Asked & { reset: boolean; isDemo: boolean; said?: Omit<ServeConfig, 'port'> }): Promise<void> {
  const paths = profilePaths(isDemo ? 'demo' : 'lab');
  const url = `http://127.0.0.1:${port}`;
  const running = findRunning(paths);
  if (running && !reset) {
    sayRunning(running.url);
    return;
  }
  if (running) await step('stopping what runs', () => endRunning(paths));
  if (await endOrphans(paths)) console.log('→ ended the server of a run that was killed');
  await refuseTaken(port, workers);
  if (reset) removeProfile(paths);
  const other = claim(paths, { url, programs: [] });
  if (other) {
    sayRunning(other.url);
    return;
  }
  atEnd(() => forgetRunning(paths));

  await ensureDebianPackages(workers > 1 ? [MARIADB, HAPROXY] : [MARIADB]);
  const secrets = ensureSecrets(paths.secrets);
  await build();
  const database = await step('starting MariaDB', () => keepDatabase(() => startDatabase(paths, secrets)));
  atEnd(database.stop);
  await ensureSchema(database, 'vendu');
  const settings: ApplicationSettings = {
    database,
    databaseName: 'vendu',
    secrets,
    port,
    isDemo,
    opensToPhones,
    servesWeb: true,
    backups: said.backups ?? paths.backups,
    extraEnv: {
      ...(said.listen === undefined ? {} : { VENDU_LISTEN: said.listen }),
      ...(said.proxies === undefined ? {} : { VENDU_PROXIES: said.proxies.join(',') }),
      ...(said.webhookHosts === undefined ? {} : { VENDU_WEBHOOK_HOSTS: said.webhookHosts.join(',') }),
      ...(said.mailServer === undefined ? {} : { VENDU_SMTP: said.mailServer }),
      ...(said.mailFrom === undefined ? {} : { VENDU_MAIL_FROM: said.mailFrom }),
      ...(said.address === undefined ? {} : { VENDU_ADDRESS: said.address }),
      ...(said.tracesKeptDays === undefined ? {} : { VENDU_TRACES_KEPT_DAYS: String(said.tracesKeptDays) }),
    },
  };
  await prepareDatabase(settings, paths);
  const { ended } = await (workers > 1
    ? serveTogether(settings, { paths, url, workers })
    : serveAlone(settings, { paths, url }));
  console.log(`\nVendu is at ${url}. Ctrl-C stops it.`);
  if (opensToPhones) console.log('Phones in the same network get the pages of tasters, and nothing else.');
  if (!isDemo) await sayFirstLead(settings, url);
  await ended();
}

interface Served {
  /** Resolves once nothing is served any more. */
  ended: () => Promise<void>;
}

async function serveAlone(
  settings: ApplicationSettings,
  { paths, url }: { paths: ProfilePaths; url: string },
): Promise<Served> {
  const server = await step('starting the server', () => startServer(settings, paths));
  atEnd(server.stop);
  noteRunning(paths, { url, programs: server.pid === null ? [] : [{ pid: server.pid, file: SERVER_FILE }] });
  return server;
}

/** By several servers with a proxy before them: what ends one holds up nobody for long. */
async function serveTogether(
  settings: ApplicationSettings,
  { paths, url, workers }: { paths: ProfilePaths; url: string; workers: number },
): Promise<Served> {
  const proxy = await step('starting HAProxy', () => startProxy(proxyPlanOf(settings, workers), paths));
  atEnd(proxy.stop);
  const servers = await step(`starting ${workers} servers`, () =>
    keepServers(settingsOfEach(settings, workers), paths, (programs) =>
      noteRunning(paths, { url, programs: [...proxy.programs, ...programs] }),
    ),
  );
  atEnd(servers.stop);
  return proxy;
}

/** The lab's own port, and those after it where several servers have one each. */
async function refuseTaken(port: number, workers: number): Promise<void> {
  const own = Array.from({ length: workers > 1 ? workers + 1 : 1 }, (_, at) => port + at);
  for (const each of own) {
    if ((await getPort({ port: each, host: '127.0.0.1' })) !== each) {
      throw new CommandFailure(`Port ${each} is taken by another program; try --port ${port + own.length}.`);
    }
  }
}

function sayRunning(url: string): void {
  console.log(`Vendu is running, or being started, at ${url}. ./vendu stop ends it.`);
}

/** As long as nobody can sign in the server knows where the first lead begins. */
async function sayFirstLead(settings: ApplicationSettings, url: string): Promise<void> {
  const path = await firstLeadPath(settings);
  if (path !== null) console.log(`Nobody can sign in yet. The first lead begins at ${url}${path}`);
}
