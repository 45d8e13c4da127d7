import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest';
import type TestAgent from 'supertest/lib/agent.js';
import { planWaterG, USUAL_WATCH_LIMITS } from '@vendu/core';
import type {
  BrewView,
  KitView,
  LotView,
  Problem,
  RecipeView,
  WatchListView,
  WatchView,
} from '@vendu/contract';
import { LotModel } from '../src/lots/lot.model.js';
import {
  brewOf,
  signOff,
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

const listed = async () => (await app.barista.get('/api/watch').expect(200)).body as WatchListView;
const watchOf = async (recipeId: number) =>
  (await app.barista.get(`/api/recipes/${recipeId}/watch`).expect(200)).body as WatchView;

/** A measured brew of a recipe as planned, begun now: a recheck once the recipe is public. */
async function brewed(
  agent: TestAgent,
  recipe: RecipeView,
  tds: number,
  changes: object = {},
): Promise<BrewView> {
  const { plan } = recipe.versions[0]!;
  const [doseG, waterG] = [plan.doseG, planWaterG(plan)];
  const { id, revision } = (
    await agent
      .put(`/api/brews/by-key/${randomUUID()}`)
      .send(brewOf(recipe, changes, { startedAt: new Date().toISOString() }))
      .expect(200)
  ).body as BrewView;
  await agent
    .patch(`/api/brews/${id}`)
    .send({ revision, doseG, waterG, beverageG: waterG - 2 * doseG, note: '' })
    .expect(200);
  return (await agent.post(`/api/brews/${id}/readings`).send({ tdsPercent: tds }).expect(201))
    .body as BrewView;
}

async function published(
  name: string,
  proof: readonly number[] = [1.3, 1.31, 1.29],
  changes: object = {},
): Promise<RecipeView> {
  const recipe = await startRecipe(app.barista, (await takeInLot(app.barista, { name })).id);
  for (const tds of proof) await brewed(app.barista, recipe, tds, changes);
  const { id } = recipe.versions[0]!;
  await app.lead.put(`/api/recipe-versions/${id}/acceptance`).expect(200);
  await signOff(app.lead, id);
  const publication = { recipeVersionId: id, introduction: '' };
  return (await app.lead.post('/api/publications').send(publication).expect(201)).body as RecipeView;
}

describe('the demo', () => {
  it('has a grinder that drifted: it is named, and the lots on it went off', async () => {
    const { shared, recipes } = await listed();
    expect(shared).toMatchObject([{ lots: 3 }]);
    expect(recipes.filter(({ alarms }) => alarms.length > 0).map(({ lotName }) => lotName)).toEqual(
      expect.arrayContaining(['Kisalo Terrace', 'Mutwenzi Hill', 'Bomaku Natural']),
    );
    // What the grinder did is not put on the age of the roast.
    const off = await watchOf(6);
    expect(off.cause?.kind).toBe('grinder');
    expect(off.ageing).toBeNull();
  });
});

describe('what is public', () => {
  it('is watched from its publication on, and not before or after', async () => {
    const recipe = await startRecipe(app.barista, (await takeInLot(app.barista, { name: 'Not out' })).id);
    await app.barista.get(`/api/recipes/${recipe.id}/watch`).expect(404);
    const out = await published('Comes and goes');
    expect((await listed()).recipes.some(({ lotName }) => lotName === 'Comes and goes')).toBe(true);
    await app.lead.delete(`/api/publications/${out.publications[0]!.id}`).expect(200);
    expect((await listed()).recipes.some(({ lotName }) => lotName === 'Comes and goes')).toBe(false);
    await app.barista.get(`/api/recipes/${out.id}/watch`).expect(404);
  });

  it('stands beside its proof, holds, goes off and comes back', async () => {
    // On another grinder than the one that drifts in the demo.
    const elsewhere = { grinderId: 2 };
    const recipe = await published('Goes off', [1.3, 1.31, 1.29], elsewhere);
    const before = await watchOf(recipe.id);
    expect(before).toMatchObject({ alarms: [], cause: null, limits: USUAL_WATCH_LIMITS });
    expect(before.phases[0]!.proof).toHaveLength(3);
    await brewed(app.secondBarista, recipe, 1.3, elsewhere);
    expect(await watchOf(recipe.id)).toMatchObject({ alarms: [] });
    const off = await brewed(app.secondBarista, recipe, 1.08, elsewhere);
    const now = await watchOf(recipe.id);
    expect(now.alarms.map(({ figure }) => figure)).toEqual(['strength', 'yield']);
    expect(now.alarms[0]).toMatchObject({ brewId: off.id, signals: ['beyond-3-sigma', 'beyond-limit'] });
    // Nobody of its proof brewed it, and nothing else changed.
    expect(now.cause).toMatchObject({ kind: 'hand' });
    const { due } = (await app.barista.get(`/api/lots/${recipe.lot.id}`)).body as LotView;
    expect(due).toEqual({ action: 'recheck', isPressing: true });
    const [first] = (await listed()).recipes.filter(({ lotName }) => lotName === 'Goes off');
    expect(first?.alarms).toHaveLength(2);
    await brewed(app.barista, recipe, 1.31, elsewhere);
    expect(await watchOf(recipe.id)).toMatchObject({ alarms: [] });
  });

  it('asks for one brew of a new batch, and of other kit, and is quiet once it had them', async () => {
    const recipe = await published('New batch');
    const state = async () => (await listed()).recipes.find(({ recipeId }) => recipeId === recipe.id);
    expect((await state())?.reasons).toEqual([]);
    const today = new Date().toISOString().slice(0, 10);
    await app.barista
      .post(`/api/lots/${recipe.lot.id}/roast-batches`)
      .send({ roastedOn: today, level: 'light' })
      .expect(201);
    expect((await state())?.reasons).toMatchObject([{ kind: 'new-batch', roastedOn: today }]);
    const { due } = (await app.barista.get(`/api/lots/${recipe.lot.id}`)).body as LotView;
    expect(due).toEqual({ action: 'recheck', isPressing: true });
    const { latestRoastBatchId } = (await app.barista.get(`/api/recipes/${recipe.id}`)).body as RecipeView;
    await brewed(app.barista, recipe, 1.3, { roastBatchId: latestRoastBatchId });
    expect((await state())?.reasons).toEqual([]);
    const { batchShift } = await watchOf(recipe.id);
    expect(batchShift?.batches).toBe(1);
    expect(batchShift?.meanPercent).toBeCloseTo(0, 2);
  });

  it('is held to what a lead sets', async () => {
    const recipe = await published('Held');
    const path = `/api/recipes/${recipe.id}/watch-limits`;
    const limits = { ...USUAL_WATCH_LIMITS, everyDays: 30 };
    await app.barista.put(path).send({ limits }).expect(403);
    const refused = await app.lead
      .put(path)
      .send({ limits: { ...limits, drainS: 0 } })
      .expect(422);
    expect((refused.body as Problem).errors).toMatchObject([
      { field: 'limits.drainS', allowed: '5 to 300 s' },
    ]);
    expect((await app.lead.put(path).send({ limits }).expect(200)).body).toMatchObject({
      hasOwnLimits: true,
      limits,
    });
    await app.lead.put(path).send({ limits: null }).expect(200);
    expect(await watchOf(recipe.id)).toMatchObject({ hasOwnLimits: false });
  });

  it('of before there was a watch is in it once the server has started', async () => {
    const recipe = await published('Older');
    await LotModel.sequelize?.query(
      'UPDATE lots SET recheck_on = NULL, watch_state = NULL WHERE name = "Older"',
    );
    expect((await listed()).recipes.some(({ recipeId }) => recipeId === recipe.id)).toBe(false);
    await app.restart();
    expect((await listed()).recipes.some(({ recipeId }) => recipeId === recipe.id)).toBe(true);
  });
});

describe('kit that became another', () => {
  it('makes the public recipes on it due, in the order of the list, without anybody opening them', async () => {
    const recipe = await published('On new burrs');
    const before = (await listed()).recipes.find(({ recipeId }) => recipeId === recipe.id);
    expect(before?.reasons.map(({ kind }) => kind)).not.toContain('kit');
    const { grinders } = (await app.barista.get('/api/kit').expect(200)).body as KitView;
    const { id, ...typed } = grinders.find((each) => each.id === recipe.grinderId)!;
    await app.barista
      .put(`/api/kit/grinders/${id}`)
      .send({ ...typed, burrSet: 'new burrs' })
      .expect(200);
    await vi.waitFor(
      async () => {
        const after = (await listed()).recipes.find(({ recipeId }) => recipeId === recipe.id);
        expect(after?.reasons).toContainEqual(
          expect.objectContaining({
            kind: 'kit',
            what: 'grinder',
            to: expect.stringMatching(/new burrs$/) as unknown,
          }),
        );
      },
      { timeout: 100_000, interval: 100 },
    );
  });
});
