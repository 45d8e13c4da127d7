import { chownSync, mkdirSync } from 'node:fs';
import { setTimeout as sleep } from 'node:timers/promises';
import type { Database, StartedDatabase } from '../database.js';
import { keepDatabase } from '../keepDatabase.js';
import { runningDatabase } from '../mariadb.js';
import type { ProfilePaths } from '../paths.js';
import type { DatabasePlan } from '../proxy/haproxyConfig.js';
import { step, CommandFailure } from '../report.js';
import type { Secrets } from '../secrets.js';
import { databaseUser } from '../systemUser.js';
import { healthOf, tellHealth, type NodeHealth } from './nodeWatch.js';
import { nodesIn, nodeToBegin, startNode, type ClusterNode } from './nodes.js';

/** A node that ended is started again after this, ms. */
const REST_MS = 2000;
/** Being given everything takes as long as copying it, ms. */
const READY_WITHIN_MS = 180_000;
const ASKED_EVERY_MS = 250;

export interface Cluster {
  nodes: readonly KeptNode[];
  /** What the proxy has to know. */
  plan: DatabasePlan;
  /** The database as the servers see it, once the proxy stands before the nodes. */
  database: Database;
  stop: () => Promise<void>;
}

export interface KeptNode extends ClusterNode {
  /** The process that is this node now. */
  current: () => StartedDatabase;
  health: () => Promise<NodeHealth>;
}

/** Starts a cluster of three nodes on this machine, begins it anew where all were down, and starts again any that ends. */
export async function startCluster(
  paths: ProfilePaths,
  secrets: Secrets,
  firstPort: number,
  { restMs = REST_MS }: { restMs?: number } = {},
): Promise<Cluster> {
  const all = nodesIn(paths.folder, firstPort);
  makeRoomForSocket(paths);
  const first = await nodeToBegin(all);
  const stops: (() => Promise<unknown>)[] = [];
  const stop = async () => {
    // The last to stop is the one that the cluster begins with again.
    for (const each of stops.splice(0)) await each();
  };
  try {
    const nodes: KeptNode[] = [];
    for (const node of [first, ...all.filter((each) => each !== first)]) {
      const kept = await step(`starting ${node.name}`, () => keep(node, node === first));
      nodes.push(kept);
      const watch = await tellHealth(node, secrets);
      stops.push(() => Promise.resolve(watch.close()));
      await untilReady(kept);
    }
    nodes.sort((a, b) => a.ports.group - b.ports.group);
    return { nodes, plan: planOf(paths, all), database: runningDatabase(paths, secrets), stop };
  } catch (error) {
    await stop();
    throw error;
  }

  async function keep(node: ClusterNode, isFirst: boolean): Promise<KeptNode> {
    let begins = isFirst;
    let current: StartedDatabase | null = null;
    const kept = await keepDatabase(
      async () => {
        current = await startNode(node, all, { secrets, begins });
        // Once there is a cluster it is joined.
        begins = false;
        return current;
      },
      { restMs, name: node.name },
    );
    stops.unshift(kept.stop);
    return {
      ...node,
      current: () => {
        if (current === null) throw new Error(`${node.name} was never started`);
        return current;
      },
      health: () => healthOf(node, secrets),
    };
  }
}

async function untilReady(node: KeptNode): Promise<void> {
  if ((await untilHealth(node, 'ready', READY_WITHIN_MS)) === null) {
    throw new CommandFailure(`${node.name} did not join the cluster; its log is ${node.paths.databaseLog}.`);
  }
}

/** @returns how long that took, ms; `null` where it was not so within the time */
export async function untilHealth(
  node: Pick<KeptNode, 'health'>,
  wanted: NodeHealth,
  withinMs: number,
): Promise<number | null> {
  const begun = performance.now();
  while (performance.now() - begun < withinMs) {
    if ((await node.health()) === wanted) return Math.round(performance.now() - begun);
    await sleep(ASKED_EVERY_MS);
  }
  return null;
}

/** The proxy's socket is where that of a single database would be. */
function makeRoomForSocket({ folder, databaseFolder }: ProfilePaths): void {
  const { uid, gid } = databaseUser();
  mkdirSync(folder, { recursive: true });
  mkdirSync(databaseFolder, { recursive: true, mode: 0o700 });
  chownSync(databaseFolder, uid, gid);
}

function planOf({ socket }: ProfilePaths, nodes: readonly ClusterNode[]): DatabasePlan {
  return {
    socket,
    nodes: nodes.map(({ name, paths, ports }) => ({ name, socket: paths.socket, toldPort: ports.told })),
  };
}
