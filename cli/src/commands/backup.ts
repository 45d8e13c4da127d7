import { basename } from 'node:path';
import { rotate, type BackupNote } from '../backup/backupFile.js';
import { makeBackup } from '../backup/makeBackup.js';
import { restoreBackup } from '../backup/restoreBackup.js';
import { atEnd } from '../cleanup.js';
import type { Database } from '../database.js';
import { ensureDebianPackages, MARIADB } from '../debian.js';
import { ensureSchema } from '../databaseAccounts.js';
import { runningDatabase, startDatabase } from '../mariadb.js';
import { asTyped, profilePaths, type ProfilePaths } from '../paths.js';
import { step, CommandFailure } from '../report.js';
import { claim, findRunning, forgetRunning } from '../running.js';
import { ensureSecrets } from '../secrets.js';

const SCHEMA = 'vendu';

/** Copies a lab's database, whether it runs or not, and lets older copies go. */
export async function backup({
  isDemo,
  folder,
  keep,
}: {
  isDemo: boolean;
  /** Beside the lab's data where none is named. */
  folder: string | null;
  keep: number;
}): Promise<void> {
  const paths = profilePaths(isDemo ? 'demo' : 'lab');
  const into = folder === null ? paths.backups : asTyped(folder);
  await ensureDebianPackages([MARIADB]);
  const database = await databaseOf(paths);
  const { file, note } = await makeBackup({ database, schema: SCHEMA, folder: into });
  console.log(`${file}\n  ${inWords(note)}; loaded again and found whole`);
  const gone = rotate(into, keep);
  if (gone.length > 0) console.log(`  ${gone.length} older let go: the newest ${keep} stand`);
}

/** Puts a copy in the place of a lab's database, which must not run meanwhile. */
export async function restore({ isDemo, file }: { isDemo: boolean; file: string }): Promise<void> {
  const paths = profilePaths(isDemo ? 'demo' : 'lab');
  const other = claim(paths, { url: '', programs: [] });
  if (other)
    throw new CommandFailure('The lab runs: end it with ./vendu stop, or people would work in what goes.');
  atEnd(() => forgetRunning(paths));
  await ensureDebianPackages([MARIADB]);
  const database = await startedDatabase(paths);
  await ensureSchema(database, SCHEMA);
  const before = await restoreBackup({
    database,
    schema: SCHEMA,
    file: asTyped(file),
    folder: paths.backups,
  });
  console.log(`${basename(file)} is in its place: every table has the rows and cells that it was made with.`);
  if (before) console.log(`What was there before is kept: ${before.file}`);
  console.log(`./vendu ${isDemo ? 'demo' : 'serve'} brings it up to date, if it is older, and serves it.`);
}

function databaseOf(paths: ProfilePaths): Promise<Database> {
  const isRunning = findRunning(paths) !== null;
  return isRunning
    ? Promise.resolve(runningDatabase(paths, ensureSecrets(paths.secrets)))
    : startedDatabase(paths);
}

async function startedDatabase(paths: ProfilePaths): Promise<Database> {
  const database = await step('starting MariaDB', () => startDatabase(paths, ensureSecrets(paths.secrets)));
  atEnd(database.stop);
  return database;
}

function inWords({ bytes, tables }: BackupNote): string {
  const all = Object.values(tables);
  const rows = all.reduce((sum, table) => sum + table.rows, 0);
  return `${(bytes / 1e6).toFixed(1)} MB, ${all.length} tables, ${rows} rows`;
}
