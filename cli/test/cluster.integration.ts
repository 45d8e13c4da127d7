import { chmodSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { createConnection } from 'mariadb';
import getPort from 'get-port';
import { afterAll, expect, it } from 'vitest';
import { startCluster, untilHealth, type Cluster } from '../src/cluster/startCluster.js';
import { ensureSchema } from '../src/databaseAccounts.js';
import { pathsIn } from '../src/paths.js';
import { startProxy, type Proxy } from '../src/proxy/startProxy.js';
import { ensureSecrets } from '../src/secrets.js';
import { proxyPlanOf } from '../src/severalServers.js';
import { writtenTo } from '../src/trust/cluster.js';
import { comparedNodes } from '../src/trust/comparedNodes.js';

// What `./vendu trust cluster` does at length with a lab at work, in small: rows, and one node that goes.
const folder = mkdtempSync(join(tmpdir(), 'vendu-cluster-'));
chmodSync(folder, 0o755);
let cluster: Cluster | null = null;
let proxy: Proxy | null = null;
afterAll(async () => {
  await proxy?.stop();
  await cluster?.stop();
  rmSync(folder, { recursive: true, force: true });
});

const ROWS = 40;
const GOES_AT = 10;

it('what was stored stays stored when the node that is written to goes, and all nodes hold the same when it is back', async () => {
  const paths = pathsIn(join(folder, 'cluster'));
  const secrets = ensureSecrets(paths.secrets);
  const own = await startCluster(paths, secrets, await portsFrom(), { restMs: 500 });
  cluster = own;
  const { database, plan } = own;
  proxy = await startProxy(proxyPlanOf({ port: await getPort({ host: '127.0.0.1' }) }, 1, plan), paths);
  await ensureSchema(database, 'kept');
  const store = async (statement: string, values: unknown[] = []) => {
    const { socket: socketPath, user, password } = database;
    const connection = await createConnection({ socketPath, user, password, database: 'kept' });
    try {
      await connection.query(statement, values);
    } finally {
      await connection.end();
    }
  };
  await store('CREATE TABLE cups (g INT PRIMARY KEY)');
  const before = await writtenTo(own);
  let going: Promise<void> | null = null;
  for (let g = 0; g < ROWS; g++) {
    if (g === GOES_AT) going = before.current().kill();
    // The same again until it is acknowledged; what was stored and not told is not stored twice.
    await expect
      .poll(() => store('REPLACE INTO cups VALUES (?)', [g]).then(() => 'stored', String))
      .toBe('stored');
  }
  await going;
  expect((await writtenTo(own)).name).not.toBe(before.name);
  for (const node of own.nodes) expect(await untilHealth(node, 'ready', 100_000)).not.toBeNull();
  // It is back, and the others are gone on with.
  expect((await writtenTo(own)).name).not.toBe(before.name);
  const { tables, tablesDifferent, rows } = await comparedNodes(own, 'kept');
  expect({ tables, tablesDifferent, rows }).toEqual({ tables: 1, tablesDifferent: [], rows: ROWS });
}, 240_000);

/** Room for three nodes: ten ports each. */
async function portsFrom(): Promise<number> {
  for (;;) {
    const first = 20_000 + Math.floor(Math.random() * 1000) * 10;
    const wanted = Array.from({ length: 30 }, (_, at) => first + at);
    const free = await Promise.all(wanted.map((port) => getPort({ port, host: '127.0.0.1' })));
    if (free.every((port, at) => port === wanted[at])) return first;
  }
}
