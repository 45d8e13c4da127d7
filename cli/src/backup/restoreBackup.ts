import type { Database } from '../database.js';
import { dropSchema, moveTables, recreateSchema } from '../databaseAccounts.js';
import { step, CommandFailure } from '../report.js';
import { checkedNote } from './backupFile.js';
import { loadFrom } from './copying.js';
import { makeBackup, type BackupMade } from './makeBackup.js';
import { differences, tablesOf } from './tables.js';

/**
 * Puts a backup in the place of a schema. It is loaded beside it first and compared with its note; what was there is
 * copied before it goes.
 *
 * @returns the copy of what was there; `null` where nothing was
 */
export async function restoreBackup({
  database,
  schema,
  file,
  folder,
}: {
  database: Database;
  schema: string;
  file: string;
  /** Where the copy of what is there now goes. */
  folder: string;
}): Promise<BackupMade | null> {
  const note = await step('checking the file', () => checkedNote(file));
  const beside = `${schema}_restored`;
  try {
    await step('loading it beside what is there', async () => {
      await recreateSchema(database, beside);
      await loadFrom(file, database, beside);
      const wrong = differences(note.tables, await tablesOf(database, beside));
      if (wrong.length > 0) {
        throw new CommandFailure(
          `The copy is not what it was when it was made: ${wrong.join('; ')}. Nothing was changed.`,
        );
      }
    });
    const isThere = Object.keys(await tablesOf(database, schema)).length > 0;
    const before = isThere ? await makeBackup({ database, schema, folder, reason: 'before-restore' }) : null;
    await step('putting it in its place', async () => {
      await recreateSchema(database, schema);
      await moveTables(database, Object.keys(note.tables), { from: beside, to: schema });
    });
    return before;
  } finally {
    await dropSchema(database, beside);
  }
}
