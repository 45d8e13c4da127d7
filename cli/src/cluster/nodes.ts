import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { execa } from 'execa';
import type { StartedDatabase } from '../database.js';
import { NEUTRAL_FOLDER, PATH_WITH_SBIN, startDatabase } from '../mariadb.js';
import { pathsIn, type ProfilePaths } from '../paths.js';
import type { Secrets } from '../secrets.js';
import { databaseUser } from '../systemUser.js';
import { beginningHere, readNodeState, readRecovered, whoBegins } from './whoBegins.js';

/** Two left can still outvote one that is alone. */
const NODES = 3;
const PROVIDER = '/usr/lib/galera/libgalera_smm.so';
/** Of writes so many megabytes are kept for a node that was away: up to them it is given what it missed, and not everything. */
const KEPT_WRITES = '128M';
/** A statement of its own that another node came before is made again so often before it is told. */
const OWN_TRIES = 4;

export interface ClusterNode {
  name: string;
  paths: ProfilePaths;
  /** On loopback: where the others reach it, where it is given what it missed, where it is given everything, where it tells how it is. */
  ports: { group: number; missed: number; whole: number; told: number };
}

/** Nodes of a cluster on this machine, each with a folder of its own. */
export function nodesIn(folder: string, firstPort: number): ClusterNode[] {
  return Array.from({ length: NODES }, (_, at) => {
    const port = firstPort + at * 10;
    return {
      name: `node-${at + 1}`,
      paths: pathsIn(join(folder, `node-${at + 1}`)),
      ports: { group: port, missed: port + 1, whole: port + 2, told: port + 3 },
    };
  });
}

/** @param begins - it is the first of a cluster that has none yet, or none any more */
export function startNode(
  node: ClusterNode,
  all: readonly ClusterNode[],
  { secrets, begins }: { secrets: Secrets; begins: boolean },
): Promise<StartedDatabase> {
  return startDatabase(node.paths, secrets, {
    words: [...wordsOf(node, all), ...(begins ? ['--wsrep-new-cluster'] : [])],
    joins: !begins,
  });
}

function wordsOf({ name, ports }: ClusterNode, all: readonly ClusterNode[]): string[] {
  const others = all.map((each) => `127.0.0.1:${each.ports.group}`).join(',');
  return [
    '--wsrep-on=ON',
    `--wsrep-provider=${PROVIDER}`,
    '--wsrep-cluster-name=vendu',
    `--wsrep-cluster-address=gcomm://${others}`,
    `--wsrep-node-name=${name}`,
    `--wsrep-node-address=127.0.0.1:${ports.group}`,
    `--wsrep-provider-options=gmcast.listen_addr=tcp://127.0.0.1:${ports.group};ist.recv_addr=127.0.0.1:${ports.missed};gcache.size=${KEPT_WRITES}`,
    '--wsrep-sst-method=rsync',
    `--wsrep-sst-receive-address=127.0.0.1:${ports.whole}`,
    `--wsrep-retry-autocommit=${OWN_TRIES}`,
    // One node is written to, so each next row may have the next number.
    '--wsrep-auto-increment-control=OFF',
    // What Galera asks for.
    '--binlog-format=ROW',
    '--innodb-autoinc-lock-mode=2',
  ];
}

/** Which node a cluster begins with that is down as a whole; it is told so. */
export async function nodeToBegin(nodes: readonly ClusterNode[]): Promise<ClusterNode> {
  const seqnos = await Promise.all(nodes.map((node) => lastWriteOf(node)));
  const first = nodes[whoBegins(seqnos)] ?? nodes[0];
  if (!first) throw new Error('a cluster without a node');
  const file = stateFile(first);
  if (existsSync(file)) writeFileSync(file, beginningHere(readFileSync(file, 'utf8')));
  return first;
}

const stateFile = ({ paths }: ClusterNode) => join(paths.dataFolder, 'grastate.dat');

async function lastWriteOf(node: ClusterNode): Promise<number | null> {
  const file = stateFile(node);
  if (!existsSync(file)) return null;
  const { seqno, isSafeToBegin } = readNodeState(readFileSync(file, 'utf8'));
  if (isSafeToBegin) return Number.POSITIVE_INFINITY;
  return seqno >= 0 ? seqno : recovered(node);
}

/** Of a node that did not stop in good order its tables have to be asked. */
async function recovered({ paths }: ClusterNode): Promise<number> {
  const { all } = await execa(
    'mariadbd',
    [
      '--no-defaults',
      `--user=${databaseUser().name}`,
      `--datadir=${paths.dataFolder}`,
      `--pid-file=${join(paths.databaseFolder, 'recovering.pid')}`,
      `--socket=${join(paths.databaseFolder, 'recovering.sock')}`,
      '--skip-networking',
      '--wsrep-on=ON',
      `--wsrep-provider=${PROVIDER}`,
      '--wsrep-recover',
      '--log-error=',
    ],
    { env: { PATH: PATH_WITH_SBIN }, cwd: NEUTRAL_FOLDER, reject: false, all: true },
  );
  return readRecovered(all);
}
