import { mkdtempSync, readdirSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { rotate, type BackupNote } from '../src/backup/backupFile.js';
import { makeBackup } from '../src/backup/makeBackup.js';
import { restoreBackup } from '../src/backup/restoreBackup.js';
import { differences, tablesOf } from '../src/backup/tables.js';
import { asRoot, recreateSchema } from '../src/databaseAccounts.js';
import { ownDatabase, type OwnDatabase } from './support/ownDatabase.js';

let own: OwnDatabase;
const folder = mkdtempSync(join(tmpdir(), 'vendu-backup-'));
beforeAll(async () => {
  own = await ownDatabase();
}, 180_000);
afterAll(async () => {
  rmSync(folder, { recursive: true, force: true });
  await own.close();
});

const ground = () => ({ database: own.settings.database, schema: own.settings.databaseName });
const tables = () => tablesOf(ground().database, ground().schema);
const schemas = () =>
  asRoot(ground().database, async (connection) => {
    const rows: { Database: string }[] = await connection.query('SHOW DATABASES');
    return rows.map((row) => row.Database);
  });
const spoil = (statement: string) =>
  asRoot(ground().database, (connection) =>
    connection.query(statement.replace('lots', `\`${ground().schema}\`.lots`)),
  );

describe('a backup', () => {
  it('brings everything back as it was, keeps what was there before, and leaves no schema behind', async () => {
    const before = await tables();
    const { file, note } = await makeBackup({ ...ground(), folder });
    expect(differences(before, note.tables)).toEqual([]);
    expect(note.tables['brews']?.rows).toBeGreaterThan(10);
    expect(statSync(file).mode & 0o077).toBe(0);

    await spoil("UPDATE lots SET name = 'Wrong' LIMIT 1");
    expect(differences(before, await tables())).toEqual(['lots has other cells']);
    const kept = await restoreBackup({ ...ground(), file, folder });
    expect(differences(before, await tables())).toEqual([]);
    expect(differences(before, kept?.note.tables ?? {})).toEqual(['lots has other cells']);

    // The copy of what was there brings that back in turn.
    await restoreBackup({ ...ground(), file: kept?.file ?? '', folder });
    expect(differences(before, await tables())).toEqual(['lots has other cells']);
    expect((await schemas()).filter((name) => /_(proof|restored)$/.test(name))).toEqual([]);
    expect(readdirSync(folder).filter((name) => name.endsWith('.part'))).toEqual([]);
  });

  it('goes into an empty schema, rules between tables and all', async () => {
    const { file, note } = await makeBackup({ ...ground(), folder });
    const empty = { ...ground(), schema: 'vendu_elsewhere' };
    await recreateSchema(empty.database, empty.schema);
    expect(await restoreBackup({ ...empty, file, folder })).toBeNull();
    expect(differences(note.tables, await tablesOf(empty.database, empty.schema))).toEqual([]);
    // A brew still hangs on its version.
    await expect(
      asRoot(empty.database, (connection) =>
        connection.query('DELETE FROM vendu_elsewhere.recipe_versions LIMIT 1'),
      ),
    ).rejects.toThrow(/foreign key/);
    await asRoot(empty.database, (connection) => connection.query('DROP DATABASE vendu_elsewhere'));
  });

  it('that was changed, cut off or is not what its note says is refused, and nothing is changed', async () => {
    const before = await tables();
    const { file } = await makeBackup({ ...ground(), folder, madeAt: new Date('2026-03-01T03:00:00Z') });
    const restored = () => restoreBackup({ ...ground(), file, folder });
    const [whole, note] = [readFileSync(file), readFileSync(`${file}.json`, 'utf8')];
    writeFileSync(file, whole.subarray(0, whole.length - 100));
    await expect(restored()).rejects.toThrow(/not what it was/);
    writeFileSync(file, whole);
    const told = JSON.parse(note) as BackupNote;
    told.tables['lots'] = { rows: 3, sum: '1' };
    writeFileSync(`${file}.json`, JSON.stringify(told));
    await expect(restored()).rejects.toThrow(/lots has \d+ rows and not 3.*Nothing was changed/);
    rmSync(`${file}.json`);
    await expect(restored()).rejects.toThrow(/missing beside it/);
    await expect(restoreBackup({ ...ground(), file: `${file}x`, folder })).rejects.toThrow(/no file/);
    expect(differences(before, await tables())).toEqual([]);
  });

  it('makes room: the newest stand, by when they were made', () => {
    const room = mkdtempSync(join(tmpdir(), 'vendu-rotate-'));
    for (const day of ['01', '03', '02']) {
      const name = `vendu-202603${day}T030000Z.sql.gz`;
      writeFileSync(join(room, name), '');
      writeFileSync(join(room, `${name}.json`), '{}');
    }
    writeFileSync(join(room, 'notes.txt'), '');
    expect(rotate(room, 2)).toEqual(['vendu-20260301T030000Z.sql.gz']);
    expect(readdirSync(room).sort()).toEqual([
      'notes.txt',
      'vendu-20260302T030000Z.sql.gz',
      'vendu-20260302T030000Z.sql.gz.json',
      'vendu-20260303T030000Z.sql.gz',
      'vendu-20260303T030000Z.sql.gz.json',
    ]);
    rmSync(room, { recursive: true });
  });
});
