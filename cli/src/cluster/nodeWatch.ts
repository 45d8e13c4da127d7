import { createServer, type Server } from 'node:http';
import { createConnection } from 'mariadb';
import type { Secrets } from '../secrets.js';
import type { ClusterNode } from './nodes.js';

/** Who does not say how it is within this time is not well, ms. */
const SAYS_WITHIN_MS = 1000;

/** Galera's word for a node that has all and gives nobody its data just now. */
const SYNCED = '4';

/** How a node is: `away` does not answer, `waiting` is no part of the cluster or behind it, `ready` can be written to. */
export type NodeHealth = 'away' | 'waiting' | 'ready';

export async function healthOf(
  { paths }: ClusterNode,
  { databaseRootPassword }: Secrets,
): Promise<NodeHealth> {
  let timer: NodeJS.Timeout | undefined;
  const late = new Promise<NodeHealth>((resolve) => {
    timer = setTimeout(() => resolve('away'), SAYS_WITHIN_MS);
  });
  try {
    return await Promise.race([asked(paths.socket, databaseRootPassword), late]);
  } finally {
    clearTimeout(timer);
  }
}

async function asked(socketPath: string, password: string): Promise<NodeHealth> {
  try {
    const connection = await createConnection({
      socketPath,
      user: 'root',
      password,
      connectTimeout: SAYS_WITHIN_MS,
      socketTimeout: SAYS_WITHIN_MS,
    });
    try {
      const rows: { name: string; value: string }[] = await connection.query(
        `SELECT variable_name AS name, variable_value AS value FROM information_schema.global_status
         WHERE variable_name IN ('wsrep_ready', 'wsrep_local_state')`,
      );
      const said = new Map(rows.map(({ name, value }) => [name.toLowerCase(), value]));
      return said.get('wsrep_ready') === 'ON' && said.get('wsrep_local_state') === SYNCED
        ? 'ready'
        : 'waiting';
    } finally {
      connection.destroy();
    }
  } catch {
    return 'away';
  }
}

/** Tells the proxy how a node is, as it can ask: 200 where it can be written to. */
export function tellHealth(node: ClusterNode, secrets: Secrets): Promise<Server> {
  const server = createServer((_request, response) => {
    void healthOf(node, secrets).then((health) => {
      response.writeHead(health === 'ready' ? 200 : 503, { 'content-type': 'text/plain' }).end(health);
    });
  });
  return new Promise((resolve, reject) => {
    server.once('error', reject);
    server.listen(node.ports.told, '127.0.0.1', () => resolve(server));
  });
}
