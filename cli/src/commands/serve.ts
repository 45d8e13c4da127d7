import getPort from 'get-port';
import { firstLeadPath, prepareDatabase, startServer, type ApplicationSettings } from '../application.js';
import { DEFAULT_PORT } from '../arguments.js';
import { build } from '../build.js';
import { atEnd } from '../cleanup.js';
import { ensureDebianPackages, MARIADB } from '../debian.js';
import { ensureSchema } from '../databaseAccounts.js';
import { keepDatabase } from '../keepDatabase.js';
import { removeProfile } from '../mariadb.js';
import { asTyped, profilePaths } from '../paths.js';
import { step, CommandFailure } from '../report.js';
import { claim, endOrphanedServer, endRunning, findRunning, forgetRunning, noteRunning } from '../running.js';
import { ensureSecrets } from '../secrets.js';
import { readServeConfig, type ServeConfig } from '../serveConfig.js';

interface Asked {
  port: number;
  /** Phones of tasters in the same network get their pages. */
  opensToPhones: boolean;
}

/** Everything from a fresh checkout to the demo; runs until it is stopped. */
export function demo(asked: Asked & { reset: boolean }): Promise<void> {
  return runLab({ ...asked, isDemo: true });
}

/** The same for a lab of one's own: nobody invented is let in, and what is in it is never thrown away. */
export function serve({
  config,
  port,
  opensToPhones,
}: Pick<Asked, 'opensToPhones'> & { config: string | null; port: number | null }): Promise<void> {
  const said = config === null ? {} : readServeConfig(asTyped(config));
  return runLab({
    opensToPhones,
    port: port ?? said.port ?? DEFAULT_PORT,
    reset: false,
    isDemo: false,
    said,
  });
}

async function runLab({
  port,
  opensToPhones,
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
  if (await endOrphanedServer(paths)) console.log('→ ended the server of a run that was killed');
  const free = await getPort({ port, host: '127.0.0.1' });
  if (free !== port)
    throw new CommandFailure(`Port ${port} is taken by another program; try --port ${port + 1}.`);
  if (reset) removeProfile(paths);
  const other = claim(paths, { url, serverPid: null });
  if (other) {
    sayRunning(other.url);
    return;
  }
  atEnd(() => forgetRunning(paths));

  await ensureDebianPackages([MARIADB]);
  const secrets = ensureSecrets(paths.secrets);
  await build();
  const database = await step('starting MariaDB', () => keepDatabase(paths, secrets));
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
      ...(said.mailServer === undefined ? {} : { VENDU_SMTP: said.mailServer }),
      ...(said.mailFrom === undefined ? {} : { VENDU_MAIL_FROM: said.mailFrom }),
      ...(said.address === undefined ? {} : { VENDU_ADDRESS: said.address }),
      ...(said.tracesKeptDays === undefined ? {} : { VENDU_TRACES_KEPT_DAYS: String(said.tracesKeptDays) }),
    },
  };
  await prepareDatabase(settings, paths);
  const server = await step('starting the server', () => startServer(settings, paths));
  atEnd(server.stop);
  noteRunning(paths, { url, serverPid: server.pid });
  console.log(`\nVendu is at ${url}. Ctrl-C stops it.`);
  if (opensToPhones) console.log('Phones in the same network get the pages of tasters, and nothing else.');
  if (!isDemo) await sayFirstLead(settings, url);
  await server.ended();
}

function sayRunning(url: string): void {
  console.log(`Vendu is running, or being started, at ${url}. ./vendu stop ends it.`);
}

/** As long as nobody can sign in the server knows where the first lead begins. */
async function sayFirstLead(settings: ApplicationSettings, url: string): Promise<void> {
  const path = await firstLeadPath(settings);
  if (path !== null) console.log(`Nobody can sign in yet. The first lead begins at ${url}${path}`);
}
