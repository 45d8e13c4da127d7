import { chmodSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import getPort from 'get-port';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { prepareDatabase, startServer, type ApplicationSettings } from '../src/application.js';
import { recreateSchema } from '../src/databaseAccounts.js';
import { killTest } from '../src/killTest/killTest.js';
import { startDatabase } from '../src/mariadb.js';
import { profilePaths } from '../src/paths.js';
import { ensureSecrets } from '../src/secrets.js';
import { floodFeed } from '../src/trust/feedFlood.js';
import { fuzz } from '../src/trust/fuzz.js';
import { enterLab } from '../src/trust/lab.js';
import { migrationKills } from '../src/trust/migrationKills.js';
import { tryAsOtherUser } from '../src/trust/otherUser.js';
import { runRaces } from '../src/trust/races.js';

// What `./vendu trust` and `./vendu kill` do at length, in small.
const folder = mkdtempSync(join(tmpdir(), 'vendu-trust-'));
// The database runs as a user of its own, who has to get there.
chmodSync(folder, 0o755);
const paths = profilePaths('trust', folder);
const secrets = ensureSecrets(paths.secrets);
let settings: ApplicationSettings;

beforeAll(async () => {
  settings = {
    database: await startDatabase(paths, secrets),
    databaseName: 'vendu_trust',
    secrets,
    port: await getPort({ host: '127.0.0.1' }),
    isDemo: true,
    servesWeb: true,
  };
  await recreateSchema(settings.database, settings.databaseName);
  await prepareDatabase(settings, paths);
}, 180_000);
afterAll(async () => {
  await settings.database.stop();
  rmSync(folder, { recursive: true, force: true });
});

describe('a running server', () => {
  it('stands races, odd requests, a flood of lines and another system user', async () => {
    const server = await startServer(settings, paths);
    try {
      const lab = await enterLab(`http://127.0.0.1:${settings.port}`);
      const broken = (await runRaces(lab, 2)).filter((race) => race.broken > 0);
      expect(broken).toEqual([]);

      const fuzzed = await fuzz(lab, 250, 7);
      expect(fuzzed).toMatchObject({ faults: [], brokenPages: [] });
      // Not all refused, or it would have tried nothing.
      expect(fuzzed.byHundred['2']).toBeGreaterThan(25);

      const flood = await floodFeed(lab, { listeners: 6, posts: 6, serverPid: server.pid });
      expect(flood.listenersTaken).toBe(4);
      expect(flood.postsTaken).toBe(2);

      expect((await tryAsOtherUser(paths))?.open ?? []).toEqual([]);
    } finally {
      await server.stop();
    }
  }, 240_000);
});

describe('starts that are killed while they change the schema', () => {
  it('are gone on with by the next, and two at once do not stand in each other’s way', async () => {
    const report = await migrationKills(
      { ...settings, databaseName: 'vendu_trust_migrations' },
      { everyNth: 13, pairs: 1 },
    );
    expect(report).toMatchObject({ stuck: [], different: 0, pairsBroken: 0 });
    expect(report.kills).toBeGreaterThan(0);
  }, 240_000);
});

describe('killing server and database while a device brews and a desk works', () => {
  it('loses no brew, doubles none, keeps every mark it said it had, and every lot as far as it was brought', async () => {
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
  }, 240_000);
});
