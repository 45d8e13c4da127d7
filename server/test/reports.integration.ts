import { randomUUID } from 'node:crypto';
import Papa from 'papaparse';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { REPORTS, type ReportName } from '@vendu/core';
import type { LotView, RecipeView, ReportView } from '@vendu/contract';
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

/** A brew of a recipe, begun so many minutes ago. */
async function brewed(recipe: RecipeView, agoMin: number, changes: object = {}): Promise<void> {
  const startedAt = new Date(Date.now() - agoMin * 60_000).toISOString();
  await app.barista
    .put(`/api/brews/by-key/${randomUUID()}`)
    .send(brewOf(recipe, changes, { startedAt }))
    .expect(200);
}

const report = async (name: ReportName, days = 36_500) =>
  (await app.barista.get(`/api/reports/${name}?days=${days}`).expect(200)).body as ReportView;
const rowOf = ({ rows }: ReportView, lot: string) => rows.find(({ cells }) => cells['lot'] === lot)?.cells;

describe('reports', () => {
  it('count brews and grams of a lot up to its first acceptance, and leave out what does not count', async () => {
    const lot = await takeInLot(app.barista, { name: 'Counted Hill' });
    const recipe = await startRecipe(app.barista, lot.id);
    await brewed(recipe, 30);
    await brewed(recipe, 20);
    await brewed(recipe, 10, { isSimulated: true });
    const before = rowOf(await report('dial-in'), 'Counted Hill');
    expect(before).toBeUndefined();
    await app.lead.put(`/api/recipe-versions/${recipe.versions[0]!.id}/acceptance`).expect(200);
    // Told by a clock that is a little ahead.
    await brewed(recipe, -1);
    const { doseG } = recipe.versions[0]!.plan;
    expect(rowOf(await report('dial-in'), 'Counted Hill')).toMatchObject({
      brews: 2,
      grams: 2 * doseG,
      acceptedOn: new Date().toISOString().slice(0, 10),
      days: null,
    });
    // All three that took coffee: the one after its acceptance too.
    expect(rowOf(await report('coffee-used'), 'Counted Hill')).toMatchObject({ brews: 3, grams: 3 * doseG });
  });

  it('reckon what a lot cost from the price of its green and the loss of its roast', async () => {
    const lot = await takeInLot(app.barista, {
      name: 'Priced Hill',
      pricePerKg: 12,
    });
    await app.barista
      .post(`/api/lots/${lot.id}/roast-batches`)
      .send({ roastedOn: '2026-02-10', lossPercent: 20 })
      .expect(201);
    const seen = (await app.barista.get(`/api/lots/${lot.id}`).expect(200)).body as LotView;
    expect(seen.pricePerKg).toBe(12);
    const batch = seen.roastBatches.find(({ lossPercent }) => lossPercent === 20);
    const recipe = await startRecipe(app.barista, lot.id);
    await brewed(recipe, 5, { roastBatchId: batch!.id });
    const { doseG } = recipe.versions[0]!.plan;
    expect(rowOf(await report('coffee-used'), 'Priced Hill')).toMatchObject({ pricePerKg: 12 });
    expect(rowOf(await report('coffee-used'), 'Priced Hill')!['cost']).toBeCloseTo(
      (doseG / 0.8 / 1000) * 12,
      6,
    );
  });

  it('of the demo have an answer, a drawing and rows that their columns name', async () => {
    for (const name of REPORTS) {
      const { answer, chart, rows, columns, total } = await report(name);
      expect([name, answer.length > 20, rows.length > 0, chart !== null]).toEqual([name, true, true, true]);
      expect(total).toBe(rows.length);
      const keys = columns.map(({ key }) => key);
      for (const { cells } of rows) expect(Object.keys(cells).toSorted()).toEqual(keys.toSorted());
    }
    expect((await report('grinders')).answer).toMatch(/^Halyard.*3 lots on it came out weaker/);
  });

  it('look no further back than asked', async () => {
    const [all, lately] = [await report('dial-in'), await report('dial-in', 1)];
    expect(lately.rows.length).toBeLessThan(all.rows.length);
    expect(rowOf(lately, 'Counted Hill')).toBeDefined();
  });

  it('leave as a file that starts no formula, to the digit shown', async () => {
    await brewed(await startRecipe(app.barista, (await takeInLot(app.barista, { name: '=1+1' })).id), 5);
    const { text, headers } = await app.barista
      .get('/api/reports/coffee-used/table.csv?days=36500')
      .expect(200);
    expect(headers['content-disposition']).toMatch(/^attachment; filename="vendu-coffee-used-since-/);
    const { data } = Papa.parse<Record<string, string>>(text, { header: true, skipEmptyLines: true });
    expect(data.find(({ Lot }) => Lot === "'=1+1")).toMatchObject({ Brews: '1' });
    const view = await report('coffee-used');
    expect(data).toHaveLength(view.rows.length);
    expect(data[0]!['Coffee, g']).toBe(Number(view.rows[0]!.cells['grams']).toFixed(0));
  });

  it('are refused by name where there is none, and to visitors', async () => {
    await app.barista.get('/api/reports/weather').expect(422);
    await app.barista.get('/api/reports/dial-in?days=0').expect(422);
    await app.visitor.get('/api/reports/dial-in').expect(401);
  });
});
