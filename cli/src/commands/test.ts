import { mkdirSync, rmSync } from 'node:fs';
import { availableParallelism } from 'node:os';
import { join } from 'node:path';
import { execa } from 'execa';
import getPort, { portNumbers } from 'get-port';
import { prepareDatabase, startServer, type ApplicationSettings, type Server } from '../application.js';
import type { Suite } from '../arguments.js';
import { build } from '../build.js';
import { atEnd } from '../cleanup.js';
import { CHROMIUM, ensureDebianPackages, GALERA, HAPROXY, MARIADB } from '../debian.js';
import { openSchemas, recreateSchema } from '../databaseAccounts.js';
import type { Database } from '../database.js';
import { startDatabase } from '../mariadb.js';
import { profilePaths, ROOT } from '../paths.js';
import { step, CommandFailure } from '../report.js';
import { claim, forgetRunning } from '../running.js';
import { ensureSecrets, type Secrets } from '../secrets.js';
import { addTallies, closing, NOTHING, playwrightTally, vitestTally, type Tally } from '../tally.js';

/** Every check that is not a test; each must end with exit code 0. The longest first: two run at a time. */
const CHECKS: { label: string; program: string; args: string[] }[] = [
  { label: 'format', program: 'prettier', args: ['--check', '--log-level', 'warn', '.'] },
  { label: 'lint', program: 'oxlint', args: ['--deny-warnings', '--report-unused-disable-directives'] },
  {
    label: 'import direction',
    program: 'depcruise',
    args: [
      '--config',
      '.dependency-cruiser.cjs',
      'core/src',
      'contract/src',
      'card/src',
      'card/client',
      'server/src',
      'web/src',
      'cli/src',
      'measures/src',
    ],
  },
  { label: 'dead code', program: 'knip', args: [] },
  ...['core', 'contract', 'card', 'server', 'web', 'cli', 'measures', 'e2e'].map((room) => ({
    label: `types of ${room}`,
    program: 'tsc',
    args: ['-p', `${room}/tsconfig.json`],
  })),
];

/** Beside other busy processes: tests ask what is answered, and only some of them how soon. */
const UNHURRIED = { VENDU_PATIENCE: '12' };

const paths = profilePaths('test');
const REPORTS = join(paths.folder, 'reports');

/** Runs the suites named and prints one closing line over all of them. */
export async function test({ suites }: { suites: readonly Suite[] }): Promise<void> {
  if (claim(paths, { url: '', programs: [] })) {
    throw new CommandFailure('The tests are running already in this checkout.');
  }
  mkdirSync(REPORTS, { recursive: true });
  atEnd(() => forgetRunning(paths));
  await ensureDebianPackages([MARIADB, GALERA, HAPROXY, CHROMIUM]);
  await build();
  const tallies: Tally[] = [];
  for (const suite of suites) tallies.push(await RUNNERS[suite]());
  const total = tallies.reduce(addTallies, NOTHING);
  console.log(`\n${closing(total)}`);
  const ranNothing = total.passed === 0 && suites.some((suite) => suite !== 'checks');
  process.exitCode = total.failures.length > 0 || ranNothing ? 1 : 0;
}

const RUNNERS: Record<Suite, () => Promise<Tally>> = {
  checks: runChecks,
  unit: () => runVitest('unit', ['unit', 'unit-web'], {}),
  integration: () =>
    withDatabase(async (database, secrets) => {
      await openSchemas(database, 'vendu_it_');
      return runVitest('integration', ['integration'], integrationEnvironment(database, secrets));
    }),
  e2e: () => withDatabase(runPlaywright),
};

/** Checks are no tests: they add nothing when they pass, and one failure each when they do not. */
async function runChecks(): Promise<Tally> {
  const waiting = [...CHECKS];
  const failures: string[] = [];
  const runNext = async (): Promise<void> => {
    const check = waiting.shift();
    if (!check) return;
    const { label, program, args } = check;
    const done = await execa(program, args, { cwd: ROOT, preferLocal: true, reject: false, all: true });
    if (done.failed) {
      failures.push(`check: ${label}`);
      console.log(done.all);
    }
    console.log(`${done.failed ? '✗' : '✓'} check: ${label}`);
    await runNext();
  };
  await step('checks', () => Promise.all([runNext(), runNext()]));
  return { passed: 0, failures };
}

async function runVitest(
  suite: Suite,
  projects: readonly string[],
  env: Record<string, string>,
): Promise<Tally> {
  const report = join(REPORTS, `${suite}.json`);
  rmSync(report, { force: true });
  const done = await step(`tests: ${suite}`, () =>
    execa(
      'vitest',
      [
        'run',
        ...projects.map((project) => `--project=${project}`),
        '--reporter=dot',
        '--reporter=json',
        `--outputFile.json=${report}`,
      ],
      {
        cwd: ROOT,
        preferLocal: true,
        stdio: ['ignore', 'inherit', 'inherit'],
        env,
        reject: false,
      },
    ),
  );
  return vitestTally(suite, report, done.exitCode);
}

async function withDatabase(run: (database: Database, secrets: Secrets) => Promise<Tally>): Promise<Tally> {
  const secrets = ensureSecrets(paths.secrets);
  const database = await step('starting MariaDB for the tests', () => startDatabase(paths, secrets));
  atEnd(database.stop);
  try {
    return await run(database, secrets);
  } finally {
    await database.stop();
  }
}

function integrationEnvironment(
  { socket, user, password }: Database,
  { sessionSecret }: Secrets,
): Record<string, string> {
  return {
    VENDU_DB_SOCKET: socket,
    VENDU_DB_USER: user,
    VENDU_DB_PASSWORD: password,
    VENDU_SESSION_SECRET: sessionSecret,
    ...UNHURRIED,
  };
}

/** Labs that the end-to-end tests have at once, each with a database and a server of its own. */
const LABS = Math.max(1, Math.min(2, availableParallelism()));

async function runPlaywright(database: Database, secrets: Secrets): Promise<Tally> {
  const report = join(REPORTS, 'e2e.json');
  rmSync(report, { force: true });
  const labs: ApplicationSettings[] = [];
  const mailPorts: number[] = [];
  for (let lab = 0; lab < LABS; lab++) {
    // Where a test puts a stand-in of a mail server.
    const mailPort = await getPort({ port: portNumbers(4901, 4999), host: '127.0.0.1' });
    mailPorts.push(mailPort);
    const port = await getPort({ port: portNumbers(4700, 4900), host: '127.0.0.1' });
    labs.push({
      database,
      databaseName: `vendu_e2e_${lab}`,
      secrets,
      port,
      isDemo: true,
      servesWeb: true,
      extraEnv: {
        VENDU_SIGN_INS_PER_MINUTE: '1000',
        VENDU_SMTP: `smtp://127.0.0.1:${mailPort}`,
        VENDU_MAIL_FROM: 'lab@ninthmole.example',
        VENDU_ADDRESS: `http://127.0.0.1:${port}`,
        ...UNHURRIED,
      },
    });
  }
  const servers: Server[] = [];
  try {
    for (const [lab, settings] of labs.entries()) {
      await recreateSchema(database, settings.databaseName);
      await prepareDatabase(settings, paths);
      const server = await step('starting a server for the tests', () =>
        startServer(settings, { ...paths, serverLog: join(paths.folder, `server-${lab}.log`) }),
      );
      atEnd(server.stop);
      servers.push(server);
    }
    const done = await step('tests: end to end', () =>
      execa(
        'playwright',
        ['test', '--config', 'e2e/playwright.config.ts', '--project', 'tests', '--workers', String(LABS)],
        {
          cwd: ROOT,
          preferLocal: true,
          stdio: ['ignore', 'inherit', 'inherit'],
          env: {
            PLAYWRIGHT_JSON_OUTPUT_NAME: report,
            VENDU_URL: labs.map(({ port }) => `http://127.0.0.1:${port}`).join(' '),
            VENDU_MAIL_PORTS: mailPorts.join(' '),
          },
          reject: false,
        },
      ),
    );
    return playwrightTally('e2e', report, done.exitCode);
  } finally {
    for (const server of servers) await server.stop();
  }
}
