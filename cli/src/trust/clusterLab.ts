import { join } from 'node:path';
import getPort, { portNumbers } from 'get-port';
import { prepareDatabase, startServer, type ApplicationSettings } from '../application.js';
import { atEnd } from '../cleanup.js';
import { nodesIn } from '../cluster/nodes.js';
import { startCluster } from '../cluster/startCluster.js';
import { ensureSchema } from '../databaseAccounts.js';
import { ensureDebianPackages, GALERA, HAPROXY, MARIADB } from '../debian.js';
import { keepServers } from '../keepServers.js';
import { removeProfile } from '../mariadb.js';
import { pathsIn, profilePaths } from '../paths.js';
import { startProxy } from '../proxy/startProxy.js';
import { ensureSecrets } from '../secrets.js';
import { proxyPlanOf, settingsOfEach } from '../severalServers.js';
import type { ClusterLab } from './cluster.js';
import { enterLab, visitor, type Lab, type Visitor } from './lab.js';

const SERVERS = 2;
const FIRST_NODE_PORT = 4667;
/** People of the demo sign in again and again. */
const EAGER = { VENDU_SIGN_INS_PER_MINUTE: '1000' };

export interface WholeClusterLab extends ClusterLab {
  settings: ApplicationSettings;
}

/** A cluster of its own with the demo in it, two servers and a proxy before both. */
export async function makeClusterLab(): Promise<WholeClusterLab> {
  await ensureDebianPackages([MARIADB, GALERA, HAPROXY]);
  const paths = pathsIn(join(profilePaths('trust').folder, 'cluster'));
  for (const each of [paths, ...nodesIn(paths.folder, FIRST_NODE_PORT).map((node) => node.paths)]) {
    removeProfile(each);
  }
  const secrets = ensureSecrets(paths.secrets);
  const cluster = await startCluster(paths, secrets, FIRST_NODE_PORT);
  atEnd(cluster.stop);
  const settings: ApplicationSettings = {
    database: cluster.database,
    databaseName: 'vendu',
    secrets,
    port: await getPort({ port: portNumbers(5100, 5190), host: '127.0.0.1' }),
    isDemo: true,
    servesWeb: false,
    extraEnv: EAGER,
  };
  const proxy = await startProxy(proxyPlanOf(settings, SERVERS, cluster.plan), paths);
  atEnd(proxy.stop);
  await ensureSchema(cluster.database, settings.databaseName);
  await prepareDatabase(settings, paths);
  const servers = await keepServers(settingsOfEach(settings, SERVERS), paths);
  atEnd(servers.stop);
  const lab = await enterLab(`http://127.0.0.1:${settings.port}`);
  return { cluster, servers, databaseName: settings.databaseName, lab, settings };
}

/** The same lab with each request answered at another node: as nobody should run it, to see what comes of that. */
export async function acrossNodes({ cluster, settings }: WholeClusterLab): Promise<Lab> {
  const labs: Lab[] = [];
  for (const [at, { paths }] of cluster.nodes.slice(0, SERVERS).entries()) {
    const own: ApplicationSettings = {
      ...settings,
      database: { ...cluster.database, socket: paths.socket },
      port: settings.port + SERVERS + 1 + at,
    };
    const server = await startServer(own, { ...paths, serverLog: join(paths.folder, 'server.log') });
    atEnd(server.stop);
    labs.push(await enterLab(`http://127.0.0.1:${own.port}`));
  }
  const [first] = labs;
  if (!first) throw new Error('a cluster without a node');
  return {
    url: first.url,
    lead: inTurns(labs.map(({ lead }) => lead)),
    barista: inTurns(labs.map(({ barista }) => barista)),
    secondBarista: inTurns(labs.map(({ secondBarista }) => secondBarista)),
  };
}

/** One person who asks now here and now there. */
function inTurns(visitors: readonly Visitor[]): Visitor {
  let asked = 0;
  const next = () => visitors[asked++ % visitors.length] ?? visitor('');
  return {
    get: (...of) => next().get(...of),
    post: (...of) => next().post(...of),
    put: (...of) => next().put(...of),
    patch: (...of) => next().patch(...of),
    delete: (...of) => next().delete(...of),
    cookie: visitors[0]?.cookie ?? '',
  };
}
