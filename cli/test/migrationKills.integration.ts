import { afterAll, beforeAll, expect, it } from 'vitest';
import { migrationKills } from '../src/trust/migrationKills.js';
import { ownDatabase, type OwnDatabase } from './support/ownDatabase.js';

// What `./vendu trust migrations` does at every statement, at a few.
let own: OwnDatabase;
beforeAll(async () => {
  own = await ownDatabase();
}, 180_000);
afterAll(() => own.close());

it('starts that are killed while they change the schema are gone on with, and two at once do not stand in each other’s way', async () => {
  const report = await migrationKills(
    { ...own.settings, databaseName: 'vendu_trust_migrations' },
    { everyNth: 23, pairs: 1 },
  );
  expect(report).toMatchObject({ stuck: [], different: 0, pairsBroken: 0 });
  expect(report.kills).toBeGreaterThan(0);
}, 240_000);
