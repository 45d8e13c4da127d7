import { prepareDatabase, type ApplicationSettings } from '../application.js';
import { build } from '../build.js';
import { atEnd } from '../cleanup.js';
import { startCluster, type KeptNode } from '../cluster/startCluster.js';
import type { NodeHealth } from '../cluster/nodeWatch.js';
import { ensureDebianPackages, GALERA, HAPROXY, MARIADB } from '../debian.js';
import { ensureSchema } from '../databaseAccounts.js';
import { keepServers } from '../keepServers.js';
import { profilePaths } from '../paths.js';
import { startProxy } from '../proxy/startProxy.js';
import { step, CommandFailure } from '../report.js';
import { claim, endOrphans, forgetRunning, noteRunning } from '../running.js';
import { ensureSecrets } from '../secrets.js';
import { proxyPlanOf, settingsOfEach } from '../severalServers.js';

/** Where the nodes talk to each other, on loopback. */
const FIRST_NODE_PORT = 4567;
const LOOKS_EVERY_MS = 1000;

const HEALTH_WORDS: Record<NodeHealth, string> = {
  away: 'does not answer',
  waiting: 'is no part of the cluster just now, or behind it',
  ready: 'can be written to',
};

/** The demo on a database of three nodes, by several servers, to see what happens when one of them goes; until it is stopped. */
export async function cluster({ port, workers }: { port: number; workers: number }): Promise<void> {
  const paths = profilePaths('cluster');
  const url = `http://127.0.0.1:${port}`;
  await endOrphans(paths);
  if (claim(paths, { url, programs: [] })) {
    throw new CommandFailure(`A cluster is running, or being started. ./vendu stop ends it.`);
  }
  atEnd(() => forgetRunning(paths));
  await ensureDebianPackages([MARIADB, GALERA, HAPROXY]);
  const secrets = ensureSecrets(paths.secrets);
  await build();
  const { nodes, plan, database, stop } = await startCluster(paths, secrets, FIRST_NODE_PORT);
  atEnd(stop);
  const settings: ApplicationSettings = {
    database,
    databaseName: 'vendu',
    secrets,
    port,
    isDemo: true,
    servesWeb: true,
  };
  const proxy = await step('starting HAProxy', () => startProxy(proxyPlanOf(settings, workers, plan), paths));
  atEnd(proxy.stop);
  await ensureSchema(database, settings.databaseName);
  await prepareDatabase(settings, paths);
  const servers = await step(`starting ${workers} servers`, () =>
    keepServers(settingsOfEach(settings, workers), paths, (programs) =>
      noteRunning(paths, { url, programs: [...proxy.programs, ...programs] }),
    ),
  );
  atEnd(servers.stop);
  console.log(`\nVendu is at ${url}, on three nodes and by ${workers} servers. Ctrl-C stops it.`);
  console.log('To see a node go: kill -9 the process of its socket, and read on here.');
  sayChanges(nodes);
  await proxy.ended();
}

/** Says of each node how it is, whenever that changes. */
function sayChanges(nodes: readonly KeptNode[]): void {
  const last = new Map<string, NodeHealth>();
  const look = async () => {
    for (const node of nodes) {
      const health = await node.health();
      if (last.get(node.name) !== health) {
        console.log(`  ${node.name} ${HEALTH_WORDS[health]} (${node.paths.socket})`);
      }
      last.set(node.name, health);
    }
  };
  let looking = look();
  const timer = setInterval(() => {
    looking = looking.then(look);
  }, LOOKS_EVERY_MS);
  atEnd(() => {
    clearInterval(timer);
    return looking;
  });
}
