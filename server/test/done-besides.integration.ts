import { afterAll, beforeAll, expect, it } from 'vitest';
import type { BrewView, LotsPageView, LotView, RecipeView } from '@vendu/contract';
import { startRecipe, startTestApplication, takeInLot, type TestApplication } from './support/application.js';

let app: TestApplication;
beforeAll(async () => {
  app = await startTestApplication();
});
afterAll(() => app.close());

const lotsOf = async (process: string) =>
  ((await app.barista.get(`/api/lots?process=${process}`).expect(200)).body as LotsPageView).lots.map(
    ({ name }) => name,
  );

it('a lot is found by everything that was done to it, and starts by all of it', async () => {
  await takeInLot(app.barista, {
    name: 'All of it',
    process: 'anaerobic',
    baseProcess: 'natural',
    additions: 'mango pulp',
    isDecaffeinated: true,
    labelNotes: ['mango', 'Rum', 'mango'],
  });
  const lot = await takeInLot(app.barista, { name: 'Plain', process: 'washed' });
  for (const process of ['anaerobic', 'natural', 'co-fermented', 'decaffeinated']) {
    expect(await lotsOf(process)).toContain('All of it');
  }
  expect(await lotsOf('washed')).toContain('Plain');
  expect(await lotsOf('washed')).not.toContain('All of it');
  expect(await lotsOf('decaffeinated')).not.toContain('Plain');
  const { lots } = (await app.barista.get('/api/lots?search=All%20of%20it').expect(200)).body as LotsPageView;
  const read = (await app.barista.get(`/api/lots/${lots[0]?.id ?? 0}`).expect(200)).body as LotView;
  expect(read).toMatchObject({ isDecaffeinated: true, labelNotes: ['mango', 'Rum'] });
  // As many and as long as are taken.
  const longest = Array.from({ length: 12 }, (_, index) => `${index}`.padEnd(60, 'x'));
  const full = await takeInLot(app.barista, { name: 'Every note', labelNotes: longest });
  expect(full.labelNotes).toEqual(longest);
  const { labelNotes: _, ...facts } = lot;
  const refused = await app.barista
    .patch(`/api/lots/${lot.id}`)
    .send({ ...factsOf(facts as LotView), labelNotes: ['plum, cocoa'] })
    .expect(422);
  expect((refused.body as { errors: { field: string }[] }).errors[0]?.field).toMatch(/^labelNotes/);
});

/** What the form of a lot sends of it. */
function factsOf({ name, country, process, revision }: LotView) {
  return { name, country, process, revision };
}

it('a sample roast is brewed only until the lot is roasted to be sold', async () => {
  const lot = await takeInLot(app.barista, { name: 'Sampled', roastedOn: null });
  const roast = (roastedOn: string, isSample: boolean) =>
    app.barista.post(`/api/lots/${lot.id}/roast-batches`).send({ roastedOn, isSample }).expect(201);
  await roast('2026-10-20', true);
  const recipe = await startRecipe(app.barista, lot.id);
  const batchOf = async () =>
    ((await app.barista.get(`/api/recipes/${recipe.id}`).expect(200)).body as RecipeView).latestRoastBatchId;
  const sample = await batchOf();
  expect(sample).not.toBeNull();
  await roast('2026-10-05', false);
  expect(await batchOf()).not.toBe(sample);
  const { roastBatches } = (await app.barista.get(`/api/lots/${lot.id}`).expect(200)).body as LotView;
  expect(roastBatches.map(({ roastedOn, isSample }) => [roastedOn, isSample])).toEqual([
    ['2026-10-20', true],
    ['2026-10-05', false],
  ]);
});

it('tail and fines are weighed with the brew, first entries kept, and only where there are any', async () => {
  const lot = await takeInLot(app.barista, { name: 'Sieved and lifted', stockG: 1000 });
  const recipe = await startRecipe(app.barista, lot.id);
  const [first] = recipe.versions;
  const brew = async (versionId: number) =>
    (
      await app.barista
        .put(`/api/brews/by-key/${crypto.randomUUID()}`)
        .send({
          recipeVersionId: versionId,
          roastBatchId: recipe.latestRoastBatchId,
          entries: [
            {
              device: 'bench',
              number: 1,
              atMs: Date.now(),
              kind: 'marked',
              stepIndex: 0,
              skipped: false,
              by: 'hand',
            },
          ],
        })
        .expect(200)
    ).body as BrewView;
  const nothing = { doseG: null, waterG: null, beverageG: null, finesG: null, tailG: null, note: '' };
  const plain = await brew(first!.id);
  for (const field of ['finesG', 'tailG']) {
    const refused = await app.barista
      .patch(`/api/brews/${plain.id}`)
      .send({ ...nothing, [field]: 2, revision: plain.revision })
      .expect(422);
    expect((refused.body as { errors: { field: string }[] }).errors[0]?.field).toBe(field);
  }
  const plan = { ...first!.plan, lifts: true, tailApart: true, sieveUm: 300 };
  const second = (
    await app.barista
      .post(`/api/recipes/${recipe.id}/versions`)
      .send({ basedOn: 1, plan, note: 'sieved, lifted' })
      .expect(201)
  ).body as RecipeView;
  const sieved = await brew(second.versions[0]!.id);
  const left = async () =>
    ((await app.barista.get(`/api/lots/${lot.id}`).expect(200)).body as LotView).gramsLeftG ?? NaN;
  const asExpected = await left();
  const weigh = async (figures: object, revision: number) =>
    (
      await app.barista
        .patch(`/api/brews/${sieved.id}`)
        .send({ ...nothing, ...figures, revision })
        .expect(200)
    ).body as BrewView;
  const once = await weigh(
    { finesG: 3, tailG: 21.5, tailTdsPercent: 0.4, tailNote: 'thin, drying' },
    sieved.revision,
  );
  expect(once).toMatchObject({ finesG: 3, tailG: 21.5, tailTdsPercent: 0.4, tailNote: 'thin, drying' });
  expect(once.corrections).toEqual([]);
  const twice = await weigh({ finesG: 2.5, tailG: 22 }, once.revision);
  expect(twice.events).toContainEqual({ kind: 'fines-weighed', atS: 0, finesG: 2.5 });
  expect(twice.corrections.map(({ field, fromValue, toValue }) => [field, fromValue, toValue])).toEqual([
    ['finesG', 3, 2.5],
    ['tailG', 21.5, 22],
    ['tailTdsPercent', 0.4, null],
  ]);
  const cleared = await weigh({}, twice.revision);
  expect(cleared.finesG).toBeNull();
  expect(await left()).toBeCloseTo(asExpected, 6);
});
