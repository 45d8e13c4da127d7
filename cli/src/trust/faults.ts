import { randomUUID } from 'node:crypto';
import { setTimeout as sleep } from 'node:timers/promises';
import { asRoot } from '../databaseAccounts.js';
import type { Database, StartedDatabase } from '../database.js';
import type { Lab } from './lab.js';
import type { SmallDisk } from './smallDisk.js';

/** What people and machines were answered while a fault lasted, and after it. */
export interface FaultReport {
  answers: number;
  /** Answered with 500, or not at all. */
  failed: number;
  /** Told that there is no room to store it. */
  noRoom: number;
  /** Times the server said of itself that there is none. */
  saidFull: number;
  longestMs: number;
  /** Times the server said of itself that it does not run: it would be started anew for nothing. */
  saidDead: number;
  /** Times it said that it can work while it could not, and how long that took to say at most. */
  saidReady: number;
  readinessMs: number;
  /** From the end of the fault until the first good answer. */
  recoveredMs: number;
  /** Lots that were sent, again and again with one key until acknowledged; and those that are not there once each. */
  lots: number;
  lotsWrong: number;
}

const READERS = ['lots', 'kit', 'today', 'watch'] as const;
const WRITERS = 2;
const PROBE_EVERY_MS = 400;
const WARM_MS = 1500;
/** A fault of which nobody recovers within this is one that lasts. A database that starts on a full disk looks once a minute. */
const RECOVERS_WITHIN_MS = 150_000;

/** Work goes on while a database is held still for a while: people read and write, a machine asks after the health. */
export function frozen(lab: Lab, database: StartedDatabase, forMs: number): Promise<FaultReport> {
  return underFault(lab, async () => {
    database.freeze();
    try {
      await sleep(forMs);
    } finally {
      database.thaw();
    }
  });
}

/** The disk of the database is full for a while, and in the middle of it the database is killed. */
export function fullDisk(lab: Lab, database: Database, disk: SmallDisk, forMs: number): Promise<FaultReport> {
  return underFault(lab, async () => {
    disk.fill();
    try {
      await sleep(forMs / 2);
      await database.kill();
      await sleep(forMs / 2);
    } finally {
      disk.makeRoom();
    }
  });
}

export interface LockReport {
  /** Of those who need the table. */
  waited: { answers: number; failed: number; longestMs: number };
  /** Of those who do not. */
  others: { answers: number; failed: number; longestMs: number };
  afterwards: number;
}

/** A table is locked for a while, as an upgrade by hand does; enough people ask for it to take every connection. */
export async function locked(
  lab: Lab,
  database: Database,
  { schema, table, forMs, people }: { schema: string; table: string; forMs: number; people: number },
): Promise<LockReport> {
  const waited = { answers: 0, failed: 0, longestMs: 0 };
  const others = { answers: 0, failed: 0, longestMs: 0 };
  let isOver = false;
  const asking = async (into: typeof waited, path: string) => {
    while (!isOver) {
      const begun = performance.now();
      const { status } = await lab.barista.get(path);
      into.answers++;
      if (status === 0 || status === 500) into.failed++;
      into.longestMs = Math.max(into.longestMs, Math.round(performance.now() - begun));
      await sleep(50);
    }
  };
  await asRoot(database, async (connection) => {
    await connection.query(`LOCK TABLES \`${schema}\`.\`${table}\` WRITE`);
    const loops = [
      ...Array.from({ length: people }, () => asking(waited, 'lots')),
      asking(others, 'kit'),
      asking(others, 'tokens'),
    ];
    await sleep(forMs);
    isOver = true;
    await connection.query('UNLOCK TABLES');
    await Promise.all(loops);
  });
  const { status } = await lab.barista.get('lots');
  return { waited, others, afterwards: status };
}

async function underFault(lab: Lab, fault: () => Promise<void>): Promise<FaultReport> {
  const report: FaultReport = {
    answers: 0,
    failed: 0,
    noRoom: 0,
    saidFull: 0,
    longestMs: 0,
    saidDead: 0,
    saidReady: 0,
    readinessMs: 0,
    recoveredMs: 0,
    lots: 0,
    lotsWrong: 0,
  };
  let [isOver, isFaulty] = [false, false];
  let endedMs: number | null = null;
  const wellMs: number[] = [];
  const names: string[] = [];

  const timed = async (ask: () => Promise<{ status: number }>) => {
    const begun = performance.now();
    const { status } = await ask();
    const tookMs = Math.round(performance.now() - begun);
    report.answers++;
    report.longestMs = Math.max(report.longestMs, tookMs);
    if (status === 0 || status === 500) report.failed++;
    if (status === 507) report.noRoom++;
    if (status > 0 && status < 400 && endedMs !== null) wellMs.push(performance.now() - endedMs);
    return status;
  };
  const reading = async (path: string) => {
    while (!isOver) {
      await timed(() => lab.barista.get(path));
      await sleep(100);
    }
  };
  const writing = async (writer: number) => {
    for (let at = 0; !isOver; at++) {
      const name = `Fault ${writer}.${at} ${randomUUID().slice(0, 8)}`;
      names.push(name);
      const key = randomUUID();
      const send = () =>
        lab.barista.post(
          'lots',
          { name, country: 'UG', process: 'washed', roastedOn: '2026-01-15', stockG: 900 },
          key,
        );
      const givesUpMs = performance.now() + RECOVERS_WITHIN_MS;
      // As the outbox of a device does: the same again, until it is acknowledged.
      while ((await timed(send)) !== 201 && performance.now() < givesUpMs) await sleep(200);
      await sleep(100);
    }
  };
  const probing = async () => {
    while (!isOver) {
      const wasFaulty = isFaulty;
      const begun = performance.now();
      const [ready, live] = await Promise.all([lab.barista.get('health'), lab.barista.get('health/live')]);
      report.readinessMs = Math.max(report.readinessMs, Math.round(performance.now() - begun));
      if (live.status !== 200) report.saidDead++;
      if ((ready.body as { status?: string } | null)?.status === 'no room to store') report.saidFull++;
      if (wasFaulty && isFaulty && ready.status === 200) report.saidReady++;
      await sleep(PROBE_EVERY_MS);
    }
  };

  const loops = [
    ...READERS.map(reading),
    ...Array.from({ length: WRITERS }, (_, at) => writing(at)),
    probing(),
  ];
  await sleep(WARM_MS);
  isFaulty = true;
  await fault();
  isFaulty = false;
  endedMs = performance.now();
  while (wellMs.length === 0 && performance.now() - endedMs < RECOVERS_WITHIN_MS) await sleep(PROBE_EVERY_MS);
  await sleep(WARM_MS);
  isOver = true;
  await Promise.all(loops);
  report.recoveredMs = Math.round(Math.min(...wellMs));
  report.lots = names.length;
  report.lotsWrong = await lotsNotOnce(lab, names);
  return report;
}

/** How many of these lots are not there, or more than once. */
async function lotsNotOnce(lab: Lab, names: readonly string[]): Promise<number> {
  let wrong = 0;
  for (const name of names) {
    const { body } = await lab.barista.get(`lots?search=${encodeURIComponent(name)}`);
    const { lots = [] } = (body ?? {}) as { lots?: { name: string }[] };
    if (lots.filter((lot) => lot.name === name).length !== 1) wrong++;
  }
  return wrong;
}
