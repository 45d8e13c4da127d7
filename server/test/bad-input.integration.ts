import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Response } from 'supertest';
import type { BrewView, LotView, Problem, RecipeView } from '@vendu/contract';
import {
  brewOf,
  SMALLEST_LOT,
  startRecipe,
  startTestApplication,
  storeBrew,
  takeInLot,
  type TestApplication,
} from './support/application.js';

let app: TestApplication;
let lot: LotView;
let recipe: RecipeView;
let brew: BrewView;
beforeAll(async () => {
  app = await startTestApplication();
  lot = await takeInLot(app.barista);
  recipe = await startRecipe(app.barista, lot.id);
  brew = await storeBrew(app.barista, recipe);
});
afterAll(() => app.close());

/** Every refusal has the one shape: problem details with a request id that the log shows too. */
function problemOf(response: Response): Problem {
  expect(response.headers['content-type']).toContain('application/problem+json');
  const problem = response.body as Problem;
  expect(problem).toMatchObject({
    status: response.status,
    title: expect.any(String) as string,
    instance: expect.any(String) as string,
  });
  expect(problem.requestId).toBe(response.headers['x-request-id']);
  return problem;
}

function fieldsOf(response: Response): string[] {
  expect(response.status).toBe(422);
  return problemOf(response).errors.map(({ field }) => field);
}

describe('a field that cannot be right is named, with the allowed range', () => {
  it.each<[string, object, string, string]>([
    ['text in a number', { stockG: 'much' }, 'stockG', '0 to 1000000 g'],
    [
      'a roast date in the future',
      { roastedOn: '2999-01-01' },
      'roastedOn',
      'a date up to today, as 2026-11-20',
    ],
    ['a name of blanks', { name: '   ' }, 'name', '1 to 120 characters'],
    [
      'an elevation told twice',
      { elevationFromM: 1900, elevationWord: 'low' },
      'elevationWord',
      'nothing, beside a figure',
    ],
    ['an elevation in a word of its own', { elevationWord: 'lofty' }, 'elevationWord', 'low, middling, high'],
    [
      'a base beside a process that is one',
      { process: 'washed', baseProcess: 'natural' },
      'baseProcess',
      'nothing, beside this process',
    ],
    [
      'a base of its own',
      { process: 'anaerobic', baseProcess: 'wet' },
      'baseProcess',
      'washed, honey, natural',
    ],
    ['a reversed elevation', { elevationFromM: 1900, elevationToM: 1700 }, 'elevationToM', '1900 m or more'],
  ])('%s in a lot', async (_, change, field, allowed) => {
    const response = await app.barista.post('/api/lots').send({ ...SMALLEST_LOT, ...change });
    expect(fieldsOf(response)).toEqual([field]);
    expect(problemOf(response).errors[0]?.allowed).toBe(allowed);
  });

  it.each<[string, object, string]>([
    ['a dose of 0', { doseG: 0 }, 'plan.doseG'],
    ['a negative dose', { doseG: -15 }, 'plan.doseG'],
    ['a kettle above boiling', { kettleC: 100 }, 'plan.kettleC'],
    ['no pours', { pours: [] }, 'plan.pours'],
    ['a drain time before the last pour ends', { drawdownS: 40 }, 'plan.drawdownS'],
  ])('%s in a plan', async (_, change, field) => {
    const plan = { ...recipe.versions[0]!.plan, ...change };
    const response = await app.barista
      .post(`/api/recipes/${recipe.id}/versions`)
      .send({ basedOn: 1, plan, note: '' });
    expect(fieldsOf(response)).toEqual([field]);
  });

  it('pours that run backwards', async () => {
    const { plan } = recipe.versions[0]!;
    const pours = plan.pours.map((pour, index) => (index === 2 ? { ...pour, startS: 10 } : pour));
    const response = await app.barista
      .post(`/api/recipes/${recipe.id}/versions`)
      .send({ basedOn: 1, plan: { ...plan, pours }, note: '' });
    expect(fieldsOf(response)).toEqual(['plan.pours.2.startS']);
  });

  it('a beverage heavier than the water', async () => {
    const weighed = { revision: brew.revision, doseG: 16, waterG: 240, beverageG: 250, note: '' };
    const response = await app.barista.patch(`/api/brews/${brew.id}`).send(weighed);
    expect(fieldsOf(response)).toEqual(['beverageG']);
    expect(problemOf(response).detail).toContain('discard the rinse water');
  });

  it('and not one that has bypass water in it, which is lighter than both together', async () => {
    const { id } = await takeInLot(app.barista);
    const plan = { ...recipe.versions[0]!.plan, bypassG: 60 };
    const withBypass = (
      await app.barista
        .post(`/api/lots/${id}/recipes`)
        .send({ brewerId: 1, grinderId: 1, plan, note: '' })
        .expect(201)
    ).body as RecipeView;
    const brewed = await storeBrew(app.barista, withBypass);
    const weigh = (beverageG: number) =>
      app.barista
        .patch(`/api/brews/${brewed.id}`)
        .send({ revision: brewed.revision, doseG: 16, waterG: 250, beverageG, note: '' });
    expect(problemOf(await weigh(310)).errors).toMatchObject([{ allowed: 'below 310 g' }]);
    await weigh(280).expect(200);
  });

  it('a reading of 13 for 1.3', async () => {
    const response = await app.barista.post(`/api/brews/${brew.id}/readings`).send({ tdsPercent: 13 });
    expect(fieldsOf(response)).toEqual(['tdsPercent']);
    expect(problemOf(response).detail).toContain('1.30');
  });

  it('a roast batch of another lot', async () => {
    const other = await takeInLot(app.barista);
    const wrong = brewOf(recipe, { roastBatchId: other.roastBatches[0]!.id });
    const response = await app.barista
      .put('/api/brews/by-key/11111111-1111-4111-8111-111111111111')
      .send(wrong);
    expect(fieldsOf(response)).toEqual(['roastBatchId']);
  });

  it('and nothing of it was stored', async () => {
    const kept = (await app.barista.get(`/api/brews/${brew.id}`)).body as BrewView;
    expect(kept).toMatchObject({ beverageG: null, readings: [], corrections: [], revision: brew.revision });
    expect(((await app.barista.get(`/api/recipes/${recipe.id}`)).body as RecipeView).versions).toHaveLength(
      1,
    );
  });
});

describe('a request that cannot be read', () => {
  it('is not JSON', async () => {
    const response = await app.barista
      .post('/api/lots')
      .set('content-type', 'application/json')
      .send('{"name": ');
    expect(response.status).toBe(400);
    expect(problemOf(response).type).toBe('/problems/not-json');
  });

  it('is too large', async () => {
    const response = await app.barista
      .post('/api/lots')
      .send({ ...SMALLEST_LOT, labelNotes: 'x'.repeat(1_100_000) });
    expect(response.status).toBe(413);
    expect(problemOf(response).type).toBe('/problems/too-large');
  });

  it('has no body, or a list for an object', async () => {
    expect((await app.barista.post('/api/lots')).status).toBe(422);
    expect((await app.barista.post('/api/lots').send([])).status).toBe(422);
  });

  it('asks for what does not exist', async () => {
    for (const path of [
      '/api/lots/99999',
      '/api/lots/abc',
      '/api/lots/0',
      '/api/recipes/99999',
      '/api/brews/99999',
      '/api/nowhere',
      '/api/published/none',
    ]) {
      const response = await app.barista.get(path);
      expect([path, response.status]).toEqual([path, 404]);
      problemOf(response);
    }
  });
});

describe('two people at once', () => {
  it('only one version is saved on top of another; the second is told', async () => {
    const { plan } = (await startRecipe(app.barista, lot.id)).versions[0]!;
    const fresh = await startRecipe(app.barista, lot.id);
    const save = (agent: TestApplication['barista'], kettleC: number) =>
      agent
        .post(`/api/recipes/${fresh.id}/versions`)
        .send({ basedOn: 1, plan: { ...plan, kettleC }, note: '' });
    const [first, second] = await Promise.all([save(app.barista, 90), save(app.secondBarista, 91)]);
    expect(new Set([first.status, second.status])).toEqual(new Set([201, 409]));
    const refused = first.status === 409 ? first : second;
    expect(problemOf(refused).type).toBe('/problems/stale');
    expect(((await app.barista.get(`/api/recipes/${fresh.id}`)).body as RecipeView).versions).toHaveLength(2);
  });

  it('the facts of a lot are not saved over what somebody else saved', async () => {
    const edit = (changes: object) =>
      app.barista
        .patch(`/api/lots/${lot.id}`)
        .send({ name: lot.name, country: 'RW', process: 'washed', ...changes });
    expect((await edit({ revision: lot.revision, region: 'north' })).status).toBe(200);
    const late = await edit({ revision: lot.revision, region: 'south' });
    expect(late.status).toBe(409);
    expect(problemOf(late).type).toBe('/problems/stale');
    expect(((await app.barista.get(`/api/lots/${lot.id}`)).body as LotView).region).toBe('north');
  });

  it('nor the weights of a brew', async () => {
    const weigh = (revision: number) =>
      app.barista
        .patch(`/api/brews/${brew.id}`)
        .send({ revision, doseG: 15.5, waterG: null, beverageG: null, note: '' });
    expect((await weigh(brew.revision)).status).toBe(200);
    expect((await weigh(brew.revision)).status).toBe(409);
  });

  it('a verdict does not make the weights that someone types stale', async () => {
    const fresh = await storeBrew(app.barista, recipe);
    await app.secondBarista
      .put(`/api/brews/${fresh.id}/verdict`)
      .send({ verdict: 'close', reason: '' })
      .expect(200);
    await app.barista
      .patch(`/api/brews/${fresh.id}`)
      .send({ revision: fresh.revision, doseG: 16, waterG: null, beverageG: 220, note: '' })
      .expect(200);
  });
});
