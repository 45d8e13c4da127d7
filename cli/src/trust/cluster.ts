import { rmSync } from 'node:fs';
import { randomUUID } from 'node:crypto';
import { setTimeout as sleep } from 'node:timers/promises';
import { untilHealth, type Cluster, type KeptNode } from '../cluster/startCluster.js';
import { asRoot } from '../databaseAccounts.js';
import type { KeptServers } from '../keepServers.js';
import { countBrews, lostMarks, type BrewsCounted } from '../killTest/counting.js';
import { Desk, type DeskReport } from '../killTest/desk.js';
import { brewUntil, type DeviceBrew, type Ground } from '../killTest/device.js';
import { CommandFailure } from '../report.js';
import { comparedNodes, type NodesCompared } from './comparedNodes.js';
import { startRecipe, type Lab } from './lab.js';

/** What one fault came to. */
export interface ClusterFault {
  name: string;
  /** The longest that somebody who was saving waited until it was acknowledged, ms. */
  longestSaveMs: number;
  /** From its end until all nodes could be written to again, ms; `null` where they could not. */
  wholeAgainMs: number | null;
}

export interface ClusterReport extends DeskReport, BrewsCounted, NodesCompared {
  faults: ClusterFault[];
  marksLost: number;
  saves: number;
  /** Of them those that are not there, or twice. */
  savesWrong: number;
}

export interface ClusterLab {
  cluster: Cluster;
  servers: Pick<KeptServers, 'kill'>;
  databaseName: string;
  lab: Lab;
}

const LOTS = 'Cluster bench';
const AGAIN_MS = 100;
/** Being given everything again takes its time, and so does a node that was cut off. */
const WHOLE_WITHIN_MS = 180_000;

interface Fault {
  name: string;
  run: (ground: ClusterLab, forMs: number) => Promise<void>;
}

const FAULTS: readonly Fault[] = [
  {
    name: 'the node that is written to, killed',
    run: async ({ cluster }) => (await writtenTo(cluster)).current().kill(),
  },
  {
    name: 'a node killed, and its data gone: it is given everything again',
    run: async ({ cluster }) => {
      const written = await writtenTo(cluster);
      const other = cluster.nodes.find(({ name }) => name !== written.name);
      await other?.current().kill();
      if (other) rmSync(other.paths.dataFolder, { recursive: true });
    },
  },
  {
    name: 'the node that is written to, cut off from the others',
    run: async ({ cluster }, forMs) => {
      const node = await writtenTo(cluster);
      await cutOff(node, cluster, true);
      await sleep(forMs);
      await cutOff(node, cluster, false);
    },
  },
  {
    name: 'the node that is written to, held still',
    run: async ({ cluster }, forMs) => {
      const node = (await writtenTo(cluster)).current();
      node.freeze();
      await sleep(forMs);
      node.thaw();
    },
  },
  { name: 'one of the servers, killed', run: ({ servers }) => servers.kill(0) },
];

export const CLUSTER_FAULTS = FAULTS.length;

/** Benches, a desk and somebody who saves one thing after another go on while one fault after another befalls the cluster. */
export async function clusterFaults(
  ground: ClusterLab,
  {
    benches,
    forMs,
    first = FAULTS.length,
    onFault,
  }: {
    benches: number;
    /** How long what can be ended lasts, and how long all is well between two. */
    forMs: number;
    /** So many of the faults. */
    first?: number;
    onFault?: (fault: ClusterFault) => void;
  },
): Promise<ClusterReport> {
  const { lab, cluster, databaseName } = ground;
  const brews: DeviceBrew[] = [];
  let isOver = false;
  const at = await Promise.all(Array.from({ length: benches }, (_, bench) => benchGround(lab, bench)));
  const desk = new Desk(() => lab);
  const saver = new Saver(lab);
  const working = [
    ...at.map((bench) => brewUntil(bench, () => isOver, brews)),
    desk.workUntil(() => isOver),
    saver.workUntil(() => isOver),
  ];
  const faults: ClusterFault[] = [];
  let marksLost = 0;
  await sleep(forMs);
  for (const { name, run } of FAULTS.slice(0, first)) {
    saver.longestMs = 0;
    await run(ground, forMs);
    const wholeAgainMs = await untilWhole(cluster);
    await sleep(forMs);
    if (at[0]) marksLost += await lostMarks(at[0], brews);
    const fault = { name, longestSaveMs: Math.round(saver.longestMs), wholeAgainMs };
    faults.push(fault);
    onFault?.(fault);
  }
  isOver = true;
  await Promise.all(working);
  return {
    faults,
    marksLost,
    ...(await countBrews(cluster.database, databaseName, { brews, ofLots: LOTS })),
    ...(await desk.report()),
    ...(await saver.report()),
    ...(await comparedNodes(cluster, databaseName)),
  };
}

async function benchGround(lab: Lab, bench: number): Promise<Ground> {
  const { versionId, roastBatchId } = await startRecipe(lab, `${LOTS} ${bench}`);
  return { url: lab.url, cookie: lab.barista.cookie, recipeVersionId: versionId, roastBatchId };
}

/** Saves one lot after the other, each until it is acknowledged, as the outbox of a device does. */
class Saver {
  longestMs = 0;
  private readonly names: string[] = [];

  constructor(private readonly lab: Lab) {}

  async workUntil(isOver: () => boolean): Promise<void> {
    while (!isOver()) {
      const name = `Saved ${randomUUID()}`;
      this.names.push(name);
      const lot = { name, country: 'UG', process: 'washed', roastedOn: '2026-01-15' };
      const key = randomUUID();
      const begun = performance.now();
      while ((await this.lab.barista.post('lots', lot, key)).status !== 201) await sleep(AGAIN_MS);
      this.longestMs = Math.max(this.longestMs, performance.now() - begun);
      await sleep(AGAIN_MS);
    }
  }

  async report(): Promise<{ saves: number; savesWrong: number }> {
    let savesWrong = 0;
    for (const name of this.names) {
      const { body } = await this.lab.barista.get(`lots?search=${encodeURIComponent(name)}`);
      if ((body as { total?: number } | null)?.total !== 1) savesWrong++;
    }
    return { saves: this.names.length, savesWrong };
  }
}

/** The node that the proxy has everybody write to. */
export async function writtenTo({ nodes, database }: Cluster): Promise<KeptNode> {
  const name = await asRoot(database, async (connection) => {
    const [row]: { name: string }[] = await connection.query('SELECT @@wsrep_node_name AS name');
    return row?.name;
  });
  const node = nodes.find((each) => each.name === name);
  if (!node) throw new CommandFailure(`There is no node ${name ?? ''} in this cluster.`);
  return node;
}

/** Galera's own way to take a node off its network: it hears nobody and nobody hears it. */
function cutOff(node: KeptNode, { database }: Cluster, isCutOff: boolean): Promise<void> {
  return asRoot({ ...database, socket: node.paths.socket }, async (connection) => {
    await connection.query(`SET GLOBAL wsrep_provider_options = 'gmcast.isolate=${isCutOff ? 1 : 0}'`);
  });
}

async function untilWhole({ nodes }: Cluster): Promise<number | null> {
  const waits = await Promise.all(nodes.map((node) => untilHealth(node, 'ready', WHOLE_WITHIN_MS)));
  return waits.includes(null) ? null : Math.max(...waits.map(Number));
}
