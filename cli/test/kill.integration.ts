import { chmodSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import getPort from 'get-port';
import { afterAll, describe, expect, it } from 'vitest';
import { prepareDatabase, type ApplicationSettings } from '../src/application.js';
import { killTest } from '../src/killTest/killTest.js';
import { recreateSchema } from '../src/databaseAccounts.js';
import { startDatabase } from '../src/mariadb.js';
import { profilePaths } from '../src/paths.js';
import { ensureSecrets } from '../src/secrets.js';

const folder = mkdtempSync(join(tmpdir(), 'vendu-kill-'));
// The database runs as a user of its own, who has to get there.
chmodSync(folder, 0o755);
afterAll(() => rmSync(folder, { recursive: true, force: true }));

describe('killing server and database while a device brews and a desk works', () => {
  it('loses no brew, doubles none, keeps every mark it said it had, and every lot as far as it was brought', async () => {
    const paths = profilePaths('kill', folder);
    const secrets = ensureSecrets(paths.secrets);
    const database = await startDatabase(paths, secrets);
    const settings: ApplicationSettings = {
      database,
      databaseName: 'vendu_kill',
      secrets,
      port: await getPort({ host: '127.0.0.1' }),
      isDemo: true,
      servesWeb: false,
    };
    await recreateSchema(database, settings.databaseName);
    await prepareDatabase(settings, paths);
    const account = { email: 'tamsin@ninthmole.example', password: 'harbour-bench' };
    const report = await killTest({ kills: 4, settings, secrets, paths, account });
    expect(report).toMatchObject({
      brewsLost: 0,
      brewsDoubled: 0,
      marksLost: 0,
      lotsWrong: [],
      answered500: 0,
    });
    expect(report.serverKills + report.databaseKills).toBe(4);
    expect(report.marksAcknowledged).toBeGreaterThan(5);
    expect(report.lotsFinished).toBeGreaterThan(0);
  }, 180_000);
});
