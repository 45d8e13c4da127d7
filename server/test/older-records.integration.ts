import { randomUUID } from 'node:crypto';
import type { Sequelize } from 'sequelize-typescript';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { brewSoFar } from '@vendu/core';
import type { BrewView } from '@vendu/contract';
import { BrewModel } from '../src/brews/brew.model.js';
import { logOfBrew } from '../src/brew-logs/brew-logs.js';
import { bringOlderRecordsUp } from '../src/brew-logs/older-records.js';
import {
  brewOf,
  startRecipe,
  startTestApplication,
  takeInLot,
  type TestApplication,
} from './support/application.js';

let app: TestApplication;
beforeAll(async () => {
  app = await startTestApplication();
});
afterAll(() => app.close());

it('a brew that was recorded before there were logs has its log, and its events their facts', async () => {
  const recipe = await startRecipe(app.barista, (await takeInLot(app.barista)).id);
  const clientKey = randomUUID();
  const steps = [
    { stepIndex: 0, atS: 0, skipped: false, totalG: 41.5 },
    { stepIndex: 1, atS: 8.25, skipped: true, totalG: null },
  ];
  const { id } = (
    await app.barista
      .put(`/api/brews/by-key/${clientKey}`)
      .send(brewOf(recipe, {}, { steps }))
      .expect(200)
  ).body as BrewView;
  // As a version before this one left it.
  const sequelize = BrewModel.sequelize as Sequelize;
  const events = [
    { kind: 'not-prepared', atS: 0, figure: null, text: 'dose not weighed' },
    { kind: 'kettle-read', atS: 0, figure: 93.5, text: '' },
  ];
  await sequelize.query('UPDATE brews SET events = :events WHERE id = :id', {
    replacements: { id, events: JSON.stringify(events) },
  });
  await sequelize.query('DELETE FROM brew_entries WHERE brew_key = :clientKey', {
    replacements: { clientKey },
  });

  await bringOlderRecordsUp(sequelize);
  const read = (await app.barista.get(`/api/brews/${id}`).expect(200)).body as BrewView;
  expect(read.steps).toEqual(steps);
  expect(read.events).toEqual([
    { kind: 'not-prepared', atS: 0, task: 'weigh' },
    { kind: 'kettle-read', atS: 0, kettleC: 93.5, instrument: '', isSimulated: false },
  ]);
  const log = await logOfBrew(clientKey);
  expect(brewSoFar(log)).toMatchObject({ steps, events: read.events });

  await bringOlderRecordsUp(sequelize);
  expect(await logOfBrew(clientKey)).toEqual(log);
});
