import { afterAll, beforeAll, expect, it } from 'vitest';
import { killTest } from '../src/killTest/killTest.js';
import { ownDatabase, type OwnDatabase } from './support/ownDatabase.js';

// What `./vendu kill` does at length, in small.
let own: OwnDatabase;
beforeAll(async () => {
  own = await ownDatabase();
}, 180_000);
afterAll(() => own.close());

it('killing server and database while a device brews and a desk works loses no brew, doubles none, keeps every mark and every lot', async () => {
  const { settings, secrets, paths } = own;
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
