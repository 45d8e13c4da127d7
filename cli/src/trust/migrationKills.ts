import { execa } from 'execa';
import { createConnection, type Connection } from 'mariadb';
import { setTimeout as sleep } from 'node:timers/promises';
import { environmentOf, type ApplicationSettings } from '../application.js';
import { recreateSchema } from '../databaseAccounts.js';
import { ROOT } from '../paths.js';

export interface MigrationKillReport {
  /** Starts that were killed while a statement was under way or just done. */
  kills: number;
  /** Of those, what later starts said that could not go on. */
  stuck: string[];
  /** Of those, later starts that came to another schema. */
  different: number;
  pairsAtOnce: number;
  /** Pairs of starts at the same moment of which one ended with a fault. */
  pairsBroken: number;
}

/**
 * Kills a start at every statement of every step, without warning, and starts again; and starts two at the same moment.
 *
 * @param settings.databaseName - emptied again and again
 * @param everyNth - 1 for every statement
 */
export async function migrationKills(
  settings: ApplicationSettings,
  { everyNth, pairs }: { everyNth: number; pairs: number },
): Promise<MigrationKillReport> {
  const { database, databaseName } = settings;
  const report: MigrationKillReport = {
    kills: 0,
    stuck: [],
    different: 0,
    pairsAtOnce: pairs,
    pairsBroken: 0,
  };
  const bare = { ...settings, isDemo: false };
  await recreateSchema(database, databaseName);
  await prepare(bare);
  const watcher = await createConnection({
    socketPath: database.socket,
    user: 'root',
    password: database.rootPassword,
  });
  try {
    const wanted = await schemaOf(watcher, databaseName);
    const statements = await begun(watcher, databaseName);
    for (let at = 1; at <= statements; at += everyNth) {
      await recreateSchema(database, databaseName);
      if (!(await killedAt(bare, watcher, at))) continue;
      report.kills += 1;
      const { failed, all } = await prepare(bare);
      if (failed) report.stuck.push(`at statement ${at}: ${all}`);
      else if ((await schemaOf(watcher, databaseName)) !== wanted) report.different += 1;
    }
  } finally {
    await watcher.end();
  }
  for (let pair = 0; pair < pairs; pair++) {
    await recreateSchema(database, databaseName);
    const both = await Promise.all([prepare(settings), prepare(settings)]);
    if (both.some(({ failed }) => failed)) report.pairsBroken += 1;
  }
  return report;
}

function prepare(settings: ApplicationSettings) {
  return execa('node', ['server/dist/prepare-database.js'], {
    cwd: ROOT,
    env: environmentOf(settings),
    reject: false,
    all: true,
  });
}

/** @returns whether it was killed before it was through */
async function killedAt(
  settings: ApplicationSettings,
  watcher: Connection,
  statement: number,
): Promise<boolean> {
  const start = prepare(settings);
  while (start.exitCode === null && (await begun(watcher, settings.databaseName)) < statement) await sleep(1);
  start.kill('SIGKILL');
  return (await start).signal === 'SIGKILL';
}

/** How many statements were begun. */
async function begun(watcher: Connection, name: string): Promise<number> {
  try {
    const rows: { count: number | bigint }[] = await watcher.query(
      `SELECT COUNT(*) AS count FROM \`${name}\`.migration_statements`,
    );
    return Number(rows[0]?.count ?? 0);
  } catch {
    // The table is yet to be made.
    return 0;
  }
}

async function schemaOf(watcher: Connection, name: string): Promise<string> {
  const columns: unknown = await watcher.query(
    `SELECT table_name, column_name, column_type, is_nullable, column_default, generation_expression
      FROM information_schema.columns WHERE table_schema = ? ORDER BY table_name, ordinal_position`,
    [name],
  );
  const keys: unknown = await watcher.query(
    `SELECT table_name, index_name, column_name, non_unique FROM information_schema.statistics
      WHERE table_schema = ? ORDER BY table_name, index_name, seq_in_index`,
    [name],
  );
  const constraints: unknown = await watcher.query(
    `SELECT table_name, constraint_name, constraint_type FROM information_schema.table_constraints
      WHERE table_schema = ? ORDER BY table_name, constraint_name`,
    [name],
  );
  return JSON.stringify([columns, keys, constraints], (_, value: unknown) =>
    typeof value === 'bigint' ? Number(value) : value,
  );
}
