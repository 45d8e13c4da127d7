import { join } from 'node:path';
import { execa } from 'execa';
import getPort, { portNumbers } from 'get-port';
import { prepareDatabase, startServer, type ApplicationSettings, type Server } from '../application.js';
import type { TrustPart } from '../arguments.js';
import { build } from '../build.js';
import type { Database, StartedDatabase } from '../database.js';
import { atEnd } from '../cleanup.js';
import { recreateSchema } from '../databaseAccounts.js';
import { CHROMIUM, ensureDebianPackages, MARIADB } from '../debian.js';
import { keepDatabase } from '../keepDatabase.js';
import { removeProfile, startDatabase } from '../mariadb.js';
import { profilePaths, ROOT, type ProfilePaths } from '../paths.js';
import { step } from '../report.js';
import { ensureSecrets, type Secrets } from '../secrets.js';
import { bringIn, takeOut, type Carried } from '../trust/carry.js';
import { CLUSTER_FAULTS, clusterFaults } from '../trust/cluster.js';
import { acrossNodes, makeClusterLab } from '../trust/clusterLab.js';
import { floodFeed } from '../trust/feedFlood.js';
import { frozen, fullDisk, locked, type FaultReport } from '../trust/faults.js';
import { fuzz } from '../trust/fuzz.js';
import { grow } from '../trust/grow.js';
import { enterLab, type Lab } from '../trust/lab.js';
import { load } from '../trust/load.js';
import { migrationKills } from '../trust/migrationKills.js';
import { smallDisk } from '../trust/smallDisk.js';
import { tryAsOtherUser } from '../trust/otherUser.js';
import { phonesAnswer } from '../trust/phones.js';
import { runRaces } from '../trust/races.js';

const PAIRS = 100;
const FUZZED = 20_000;
const FUZZ_SEED = 21;
const STARTS_AT_ONCE = 10;
const PHONES = 24;
const TABLES = 5;
/** What a new database with the demo takes, and a little room. */
const SMALL_DISK_MB = 260;
const FULL_MS = 40_000;
const FROZEN_MS = 30_000;
const LOCKED = { table: 'lots', forMs: 20_000, people: 24 };
/** Longer than the application waits for a connection and an answer nobody may wait. */
const LONGEST_ANSWER_MS = 25_000;
/** At work while a cluster is in trouble, and how long each trouble lasts. */
const BENCHES = 20;
/** A request that waits for what another node was told takes many times as long. */
const PAIRS_ACROSS = 10;
const CLUSTER_FAULT_MS = 8000;
const FLOOD = { listeners: 12, posts: 60 };

interface Ground<T = StartedDatabase> {
  database: T;
  settings: ApplicationSettings;
  paths: ProfilePaths;
  server: Server;
  lab: Lab;
}

/** Attacks a copy of its own, with invented data, and prints what came of it; ends with exit code 1 where anything gave way. */
export async function trust({ parts }: { parts: readonly TrustPart[] }): Promise<void> {
  const ground = await makeGround();
  let isSound = true;
  for (const part of parts) isSound = (await PARTS[part](ground)) && isSound;
  if (!isSound) process.exitCode = 1;
}

async function makeGround(): Promise<Ground> {
  const paths = profilePaths('trust');
  await ensureDebianPackages([MARIADB]);
  removeProfile(paths);
  await build();
  return groundOn(paths, startDatabase);
}

async function groundOn<T extends Database>(
  paths: ProfilePaths,
  start: (paths: ProfilePaths, secrets: Secrets) => Promise<T>,
): Promise<Ground<T>> {
  const secrets = ensureSecrets(paths.secrets);
  const database = await step('starting MariaDB for the attacks', () => start(paths, secrets));
  atEnd(database.stop);
  const settings: ApplicationSettings = {
    database,
    databaseName: 'vendu_trust',
    secrets,
    port: await getPort({ port: portNumbers(5000, 5099), host: '127.0.0.1' }),
    isDemo: true,
    servesWeb: true,
  };
  await recreateSchema(database, settings.databaseName);
  await prepareDatabase(settings, paths);
  const server = await startServer(settings, paths);
  atEnd(server.stop);
  return { database, settings, paths, server, lab: await enterLab(`http://127.0.0.1:${settings.port}`) };
}

const faultWords = (report: FaultReport) =>
  `${report.answers} answers, ${report.failed} with 500 or none, the longest after ${report.longestMs} ms; ` +
  `said to be dead ${report.saidDead} times, told within ${report.readinessMs} ms; ` +
  `well again after ${report.recoveredMs} ms; ${report.lotsWrong} of ${report.lots} lots not there once`;

/** Each attack prints its counts and answers whether all held. */
const PARTS: Record<TrustPart, (ground: Ground) => Promise<boolean>> = {
  doors: async ({ paths }) => {
    const tried = await step('the doors of the database, as another system user', () =>
      tryAsOtherUser(paths),
    );
    if (!tried) console.log('  not tried: only root can try as another user');
    else console.log(`  ${tried.tried} tried, ${tried.open.length} open ${tried.open.join('; ')}`);
    return tried?.open.length === 0 || tried === null;
  },
  races: async ({ lab }) => {
    const reports = await step(`races, ${PAIRS} of each`, () =>
      runRaces(lab, PAIRS, ({ name, pairs, broken, wrongs }) =>
        console.log(`  ${broken} of ${pairs} broken: ${name} ${wrongs.slice(0, 3).join('; ')}`),
      ),
    );
    return reports.every(({ broken }) => broken === 0);
  },
  fuzz: async ({ lab }) => {
    const report = await step(`${FUZZED} fuzzed requests, seed ${FUZZ_SEED}`, () =>
      fuzz(lab, FUZZED, FUZZ_SEED),
    );
    const answers = Object.entries(report.byHundred).map(([hundred, count]) => `${count} of ${hundred}xx`);
    console.log(`  answers: ${answers.join(', ')}; ${report.faults.length} faults`);
    for (const { status, request } of report.faults.slice(0, 20)) console.log(`    ${status} ${request}`);
    console.log(`  pages broken afterwards: ${report.brokenPages.length} ${report.brokenPages.join('; ')}`);
    return report.faults.length === 0 && report.brokenPages.length === 0;
  },
  feed: async ({ lab, server }) => {
    const report = await step('a flood of lines to a feed', () =>
      floodFeed(lab, { ...FLOOD, serverPid: server.pid }),
    );
    const { memoryMb } = report;
    console.log(
      `  ${report.listenersTaken} of ${report.listenersAsked} listeners let in; ` +
        `${report.postsTaken} of ${report.postsSent} posts taken, ${report.linesTaken} lines; ` +
        `others waited ${report.longestAnswerMs} ms at worst; ` +
        `memory ${memoryMb?.before ?? '?'} MB before, ${memoryMb?.most ?? '?'} MB at most`,
    );
    return report.longestAnswerMs < 2000;
  },
  migrations: async ({ settings }) => {
    const own = { ...settings, databaseName: 'vendu_trust_migrations' };
    const report = await step('a start killed at every statement of the schema, and two starts at once', () =>
      migrationKills(own, { everyNth: 1, pairs: STARTS_AT_ONCE }),
    );
    console.log(
      `  ${report.kills} killed, ${report.stuck.length} stuck, ${report.different} with another schema; ` +
        `${report.pairsBroken} of ${report.pairsAtOnce} pairs at once broken`,
    );
    for (const said of report.stuck) console.log(said);
    return report.stuck.length + report.different + report.pairsBroken === 0;
  },
  phones: async ({ lab }) => {
    const report = await step(`${PHONES} tasters’ phones at one table, ${TABLES} tables`, () =>
      phonesAnswer(lab, PHONES, TABLES),
    );
    console.log(
      `  ${report.requests} requests, 95 of 100 answered within ${report.p95Ms} ms, all within ${report.mostMs} ms; ` +
        `${report.wrongPlaces} places without each answer once; ${report.faults.length} faults`,
    );
    for (const fault of report.faults.slice(0, 10)) console.log(`    ${fault}`);
    return report.faults.length + report.wrongPlaces === 0 && report.p95Ms < 200;
  },
  faults: async ({ lab, database, settings: { databaseName } }) => {
    const still = await step(`the database held still for ${FROZEN_MS / 1000} s`, () =>
      frozen(lab, database, FROZEN_MS),
    );
    console.log(`  ready while it was not ${still.saidReady} times; ${faultWords(still)}`);
    const lock = await step(
      `a table locked for ${LOCKED.forMs / 1000} s, ${LOCKED.people} people asking for it`,
      () => locked(lab, database, { schema: databaseName, ...LOCKED }),
    );
    console.log(
      `  who needs it: ${lock.waited.answers} answers, ${lock.waited.failed} with 500 or none, the longest after ${lock.waited.longestMs} ms; ` +
        `others: ${lock.others.answers}, ${lock.others.failed}, ${lock.others.longestMs} ms; afterwards ${lock.afterwards}`,
    );
    return (
      still.failed +
        still.saidDead +
        still.saidReady +
        still.lotsWrong +
        lock.waited.failed +
        lock.others.failed ===
        0 &&
      still.longestMs < LONGEST_ANSWER_MS &&
      lock.afterwards === 200
    );
  },
  disk: async () => {
    const paths = profilePaths('full');
    removeProfile(paths);
    const disk = await smallDisk(paths.dataFolder, SMALL_DISK_MB);
    if (!disk) {
      console.log('  the full disk: not tried, only root can have a small one');
      return true;
    }
    atEnd(disk.remove);
    const { lab, database } = await groundOn(paths, (...of) => keepDatabase(() => startDatabase(...of)));
    const report = await step(`the disk full for ${FULL_MS / 1000} s, the database killed meanwhile`, () =>
      fullDisk(lab, database, disk, FULL_MS),
    );
    console.log(
      `  ${report.noRoom} told that there is no room, and by its health ${report.saidFull} times; ${faultWords(report)}`,
    );
    return (
      report.noRoom > 0 && report.saidFull > 0 && report.failed + report.saidDead + report.lotsWrong === 0
    );
  },
  cluster: async () => {
    const ground = await step('a cluster of three nodes, two servers', makeClusterLab);
    const report = await step(`${CLUSTER_FAULTS} faults of a cluster, ${BENCHES} benches at work`, () =>
      clusterFaults(ground, {
        benches: BENCHES,
        forMs: CLUSTER_FAULT_MS,
        onFault: ({ name, longestSaveMs, wholeAgainMs }) =>
          console.log(
            `  ${name}: a save waited ${longestSaveMs} ms at most, whole again after ${wholeAgainMs ?? '-'} ms`,
          ),
      }),
    );
    console.log(
      `  ${report.brewsBegun} brews, ${report.brewsLost} lost, ${report.brewsDoubled} doubled; ` +
        `${report.marksAcknowledged} marks acknowledged, ${report.marksLost} lost; ` +
        `${report.saves} lots saved, ${report.savesWrong} not there once; ` +
        `${report.lotsFinished} lots brought to publication, ${report.lotsWrong.length} wrong; ` +
        `${report.answered500} answers of 500; ${report.tables} tables with ${report.rows} rows, ${report.tablesDifferent.length} different`,
    );
    for (const wrong of [...report.lotsWrong, ...report.tablesDifferent]) console.log(`    ${wrong}`);
    const across = await acrossNodes(ground);
    const races = await step(`races, ${PAIRS_ACROSS} of each, every request at another node`, () =>
      runRaces(across, PAIRS_ACROSS, ({ name, pairs, broken, wrongs }) =>
        console.log(`  ${broken} of ${pairs} broken: ${name} ${wrongs.slice(0, 3).join('; ')}`),
      ),
    );
    return (
      report.brewsLost +
        report.brewsDoubled +
        report.marksLost +
        report.savesWrong +
        report.lotsWrong.length +
        report.answered500 +
        report.tablesDifferent.length ===
        0 &&
      report.faults.every(({ wholeAgainMs }) => wholeAgainMs !== null) &&
      races.every(({ broken }) => broken === 0)
    );
  },
  load: async ({ settings, server, lab }) => {
    const grown = await step('ten thousand lots', () => grow(settings, LARGE));
    console.log(`  ${grown.lots} lots, ${grown.brews} brews, ${grown.readings} readings`);
    const report = await step(`a day’s work of fifty people, for ${LOADED_MS / 1000} s`, () =>
      load(lab, { forMs: LOADED_MS, serverPid: server.pid, lots: grown.lots }),
    );
    const { memoryMb } = report;
    for (const { kind, count, medianMs, p95Ms } of report.kinds) {
      console.log(`  ${kind}: ${count}, half within ${medianMs} ms, 95 of 100 within ${p95Ms} ms`);
    }
    console.log(
      `  ${report.people} people, ${report.seconds} s: ${report.requests} requests, ${report.failed.length} failed, ${report.refused.length} refused; ` +
        `95 of 100 within ${report.p95Ms} ms; ${report.statementsPerRequest.toFixed(1)} statements a request; ` +
        `memory ${memoryMb.before} MB before, ${memoryMb.most} MB at most, ${memoryMb.after} MB after`,
    );
    for (const fault of [...report.failed, ...report.refused].slice(0, 10)) console.log(`    ${fault}`);
    return report.failed.length + report.refused.length === 0 && report.p95Ms < MOST_P95_MS;
  },
  'dial-in': ({ lab }) =>
    measuredInPages('lots dialled in by the pages, of two truths', 'dialIn.spec.ts', lab),
  proposals: ({ lab }) =>
    measuredInPages('how long somebody waits for what to change next', 'proposals.spec.ts', lab),
  carry: async ({ settings, paths, server, lab }) => {
    const file = join(paths.folder, 'carried.zip');
    const grown = await step('a thousand lots', () => grow(settings, GROWN));
    console.log(`  ${grown.lots} lots, ${grown.brews} brews, ${grown.readings} readings`);
    const out = await step('taking everything out', () => takeOut(lab, file, server.pid));
    console.log(`  out: ${carriedWords(out)}`);
    const other: ApplicationSettings = {
      ...settings,
      databaseName: 'vendu_trust_carry',
      port: await getPort({ port: portNumbers(5000, 5099), host: '127.0.0.1' }),
    };
    await recreateSchema(settings.database, other.databaseName);
    await prepareDatabase(other, paths);
    const there = await startServer(other, paths);
    atEnd(there.stop);
    const otherLab = await enterLab(`http://127.0.0.1:${other.port}`);
    const into = await step('bringing it into another lab', () => bringIn(otherLab, file, there.pid));
    console.log(`  in: ${into.fresh} rows, ${carriedWords(into)}`);
    return (
      out.seconds < MOST_OUT.seconds && (out.memoryMb ?? 0) < MOST_OUT.memoryMb && into.fresh > grown.brews
    );
  },
};

/** Runs a measure that goes through the pages; it prints its own figures. */
async function measuredInPages(label: string, file: string, { url }: Lab): Promise<boolean> {
  await ensureDebianPackages([CHROMIUM]);
  const done = await step(label, () =>
    execa(
      'playwright',
      ['test', file, '--config', 'e2e/playwright.config.ts', '--project', 'dial-in', '--reporter', 'list'],
      {
        cwd: ROOT,
        preferLocal: true,
        stdio: ['ignore', 'inherit', 'inherit'],
        env: { VENDU_URL: url },
        reject: false,
      },
    ),
  );
  return !done.failed;
}

/** Ten thousand lots and a hundred thousand brews, without their curves; and fifty people at them. */
const LARGE = { copies: 714, brewsEach: 3, withTraces: false };
const LOADED_MS = 300_000;
const MOST_P95_MS = 200;

/** A thousand lots with twenty thousand brews, and what an export of them may take. */
const GROWN = { copies: 71, brewsEach: 6 };
const MOST_OUT = { seconds: 60, memoryMb: 400 };

const carriedWords = ({ seconds, megabytes, memoryMb }: Carried) =>
  `${seconds.toFixed(1)} s, ${megabytes.toFixed(1)} MB, server at most ${memoryMb ?? '?'} MB`;
