import { mkdirSync, renameSync, rmSync, statSync, writeFileSync } from 'node:fs';
import type { Database } from '../database.js';
import { dropSchema, recreateSchema } from '../databaseAccounts.js';
import { step } from '../report.js';
import { backupName, backupPaths, sha256Of, type BackupNote } from './backupFile.js';
import { dumpInto, loadFrom } from './copying.js';
import { tablesOf } from './tables.js';

export interface BackupMade {
  file: string;
  note: BackupNote;
}

/**
 * Copies a schema into a folder while people work in it. A copy counts once it has been loaded into an empty schema: what
 * was found there is written beside it, and a restore has to find the same.
 */
export async function makeBackup({
  database,
  schema,
  folder,
  madeAt = new Date(),
  reason = '',
}: {
  database: Database;
  schema: string;
  folder: string;
  madeAt?: Date;
  reason?: string;
}): Promise<BackupMade> {
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  const { file, note: noteFile } = backupPaths(folder, backupName(madeAt, reason));
  const unfinished = `${file}.part`;
  const scratch = `${schema}_proof`;
  try {
    await step('copying the database', () => dumpInto(unfinished, database, schema));
    const tables = await step('proving the copy: loading it into an empty database', async () => {
      await recreateSchema(database, scratch);
      await loadFrom(unfinished, database, scratch);
      return tablesOf(database, scratch);
    });
    const note: BackupNote = {
      madeAt: madeAt.toISOString(),
      bytes: statSync(unfinished).size,
      sha256: await sha256Of(unfinished),
      tables,
    };
    writeFileSync(noteFile, `${JSON.stringify(note, null, 2)}\n`, { mode: 0o600 });
    // Under its final name it is whole.
    renameSync(unfinished, file);
    return { file, note };
  } finally {
    await dropSchema(database, scratch);
    rmSync(unfinished, { force: true });
  }
}
