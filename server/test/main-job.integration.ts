import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { randomUUID } from 'node:crypto';
import type { BrewView, LotsPageView, LotView, PublicRecipeView, RecipeView } from '@vendu/contract';
import {
  brewOf,
  signOff,
  startRecipe,
  startTestApplication,
  storeBrew,
  takeInLot,
  type TestApplication,
} from './support/application.js';

let app: TestApplication;
beforeAll(async () => {
  app = await startTestApplication();
});
afterAll(() => app.close());

describe('from a new lot to a public recipe', () => {
  it('walks every step, and all of it is still there after a restart', async () => {
    const lot = await takeInLot(app.barista, {
      elevationFromM: 1900,
      elevationToM: 1900,
      stockG: 1000,
      roastLevel: 'light',
      densityGPerL: 722,
      moisturePercent: 10.8,
    });
    expect(lot).toMatchObject({ stage: 'arrived', densityGPerL: 722, moisturePercent: 10.8 });

    const started = await startRecipe(app.barista, lot.id);
    const first = started.versions[0]!;
    expect(
      first.reasons?.figures.find(({ figure }) => figure === 'kettleC')?.steps.map(({ ruleId }) => ruleId),
    ).toEqual(['high-washed', 'light-roast']);

    const edited = { ...first.plan, grindUm: first.plan.grindUm - 40 };
    const saved = (
      await app.barista
        .post(`/api/recipes/${started.id}/versions`)
        .send({ basedOn: 1, plan: edited, note: 'finer' })
        .expect(201)
    ).body as RecipeView;
    expect(saved.versions.map(({ number, plan }) => [number, plan.grindUm])).toEqual([
      [2, edited.grindUm],
      [1, first.plan.grindUm],
    ]);

    const brew = await storeBrew(app.barista, saved);
    const weighed = (
      await app.barista
        .patch(`/api/brews/${brew.id}`)
        .send({ revision: brew.revision, doseG: 16, waterG: 260, beverageG: 228, note: 'flat bed' })
        .expect(200)
    ).body as BrewView;
    for (const tdsPercent of [1.34, 1.36, 1.35]) {
      await app.barista.post(`/api/brews/${brew.id}/readings`).send({ tdsPercent }).expect(201);
    }
    const tasting = { notes: 'currant', intensities: { acidity: 6 } };
    await app.barista.put(`/api/brews/${brew.id}/tastings/hot`).send(tasting).expect(200);
    await app.barista
      .put(`/api/brews/${brew.id}/verdict`)
      .send({ verdict: 'on-aim', reason: 'as promised' })
      .expect(200);
    const measured = (await app.barista.get(`/api/brews/${weighed.id}`).expect(200)).body as BrewView;
    // Computed: 1.35 x 228 / 16.
    expect(measured.result?.yield.yieldPercent).toBeCloseTo(19.2375, 6);
    expect(measured.tastings).toEqual([expect.objectContaining({ stage: 'hot', notes: 'currant' })]);

    const versionId = saved.versions[0]!.id;
    await app.barista.put(`/api/recipe-versions/${versionId}/acceptance`).expect(200);
    await signOff(app.lead, versionId);
    const published = (
      await app.lead
        .post('/api/publications')
        .send({ recipeVersionId: versionId, introduction: 'Enjoy.' })
        .expect(201)
    ).body as RecipeView;
    expect(published.publications[0]?.slug).toBe('test-lot-kittiwake-cone');

    await app.restart();

    const open = (await app.visitor.get('/api/published/test-lot-kittiwake-cone').expect(200))
      .body as PublicRecipeView;
    expect(open).toMatchObject({
      lotName: 'Test lot',
      versionNumber: 2,
      introduction: 'Enjoy.',
      plan: { grindUm: edited.grindUm },
    });
    const kept = (await app.barista.get(`/api/lots/${lot.id}`).expect(200)).body as LotView;
    expect(kept).toMatchObject({ stage: 'published', gramsLeftG: 984, gramsBrewedG: 16 });
    expect(kept.brews[0]?.result?.yield.yieldPercent).toBeCloseTo(19.2375, 6);
  });

  it('is watched once a published version was brewed again', async () => {
    const { lots } = (await app.barista.get('/api/lots').expect(200)).body as LotsPageView;
    const published = lots.find(({ name }) => name === 'Umuseke Ridge')!;
    expect(published.stage).toBe('published');
    const recipe = (await app.barista.get(`/api/recipes/${published.recipe!.id}`).expect(200))
      .body as RecipeView;
    const brew = brewOf(recipe, {}, { startedAt: new Date().toISOString() });
    await app.barista.put(`/api/brews/by-key/${randomUUID()}`).send(brew).expect(200);
    const again = (await app.barista.get(`/api/lots/${published.id}`).expect(200)).body as LotView;
    expect(again.stage).toBe('watched');
  });
});

describe('a brew sent by the bench', () => {
  it('is stored once, however often and however fast it is sent', async () => {
    const lot = await takeInLot(app.barista);
    const recipe = await startRecipe(app.barista, lot.id);
    const key = randomUUID();
    const sent = await Promise.all(
      [1, 2, 3, 4].map(() => app.barista.put(`/api/brews/by-key/${key}`).send(brewOf(recipe))),
    );
    expect(sent.map(({ status }) => status)).toEqual([200, 200, 200, 200]);
    const ids = new Set(sent.map(({ body }) => (body as BrewView).id));
    expect(ids.size).toBe(1);
    const view = (await app.barista.get(`/api/lots/${lot.id}`)).body as LotView;
    expect(view.brews).toHaveLength(1);
  });

  it('keeps the first entry of a figure that is corrected', async () => {
    const recipe = await startRecipe(app.barista, (await takeInLot(app.barista)).id);
    const brew = await storeBrew(app.barista, recipe);
    const weigh = async (revision: number, beverageG: number) =>
      (
        await app.barista
          .patch(`/api/brews/${brew.id}`)
          .send({ revision, doseG: brew.doseG, waterG: null, beverageG, note: '' })
          .expect(200)
      ).body as BrewView;
    const first = await weigh(brew.revision, 210);
    expect(first.corrections).toEqual([]);
    const second = await weigh(first.revision, 214.5);
    expect(second.corrections).toEqual([
      expect.objectContaining({ field: 'beverageG', fromValue: 210, toValue: 214.5 }),
    ]);
  });

  it('counts the plan’s dose until one is weighed, and calls the first weighing no correction', async () => {
    const brew = await storeBrew(
      app.barista,
      await startRecipe(app.barista, (await takeInLot(app.barista)).id),
    );
    expect(brew).toMatchObject({ doseG: brew.plan.doseG, doseBasis: 'as-planned' });
    const weighed = (
      await app.barista
        .patch(`/api/brews/${brew.id}`)
        .send({ revision: brew.revision, doseG: 16.2, waterG: null, beverageG: null, note: '' })
        .expect(200)
    ).body as BrewView;
    expect(weighed).toMatchObject({ doseG: 16.2, doseBasis: 'as-weighed', corrections: [] });
  });

  it('can be set aside and taken back; its grams stay spent', async () => {
    const lot = await takeInLot(app.barista, { stockG: 500 });
    const brew = await storeBrew(app.barista, await startRecipe(app.barista, lot.id));
    const trail = async () => (await app.barista.get(`/api/lots/${lot.id}`)).body as LotView;
    await app.barista.post(`/api/brews/${brew.id}/set-aside`).expect(200);
    expect((await trail()).brews).toHaveLength(0);
    expect((await trail()).gramsLeftG).toBe(500 - brew.doseG);
    await app.barista.delete(`/api/brews/${brew.id}/set-aside`).expect(200);
    expect((await trail()).brews).toHaveLength(1);
  });

  it('loses a reading taken out, and has it again when that is undone', async () => {
    const brew = await storeBrew(
      app.barista,
      await startRecipe(app.barista, (await takeInLot(app.barista)).id),
    );
    const added = (await app.barista.post(`/api/brews/${brew.id}/readings`).send({ tdsPercent: 1.31 }))
      .body as BrewView;
    const path = `/api/brews/${brew.id}/readings/${added.readings[0]!.id}`;
    expect(((await app.barista.delete(path).expect(200)).body as BrewView).result).toBeNull();
    const restored = (await app.barista.post(`${path}/restore`).expect(200)).body as BrewView;
    expect(restored.result?.strength.meanPercent).toBe(1.31);
    expect(restored.result?.yield.basis).toBe('assumed');
  });
});

describe('the public address', () => {
  it('is stable over versions, closes on withdrawal and opens again on undo', async () => {
    const lot = await takeInLot(app.barista, { name: 'Çôté / Nº 5' });
    const recipe = await startRecipe(app.barista, lot.id);
    const versionId = recipe.versions[0]!.id;
    await app.lead.put(`/api/recipe-versions/${versionId}/acceptance`).expect(200);
    await signOff(app.lead, versionId);
    const publish = async (recipeVersionId: number) =>
      (await app.lead.post('/api/publications').send({ recipeVersionId, introduction: '' }).expect(201))
        .body as RecipeView;
    const { slug, id } = (await publish(versionId)).publications[0]!;
    expect(slug).toBe('cote-no-5-kittiwake-cone');
    await app.lead.delete(`/api/publications/${id}`).expect(200);
    await app.visitor.get(`/api/published/${slug}`).expect(404);
    await app.lead.post(`/api/publications/${id}/restore`).expect(200);
    await app.visitor.get(`/api/published/${slug}`).expect(200);

    const plan = { ...recipe.versions[0]!.plan, kettleC: 92 };
    const next = (
      await app.lead.post(`/api/recipes/${recipe.id}/versions`).send({ basedOn: 1, plan, note: '' })
    ).body as RecipeView;
    const nextId = next.versions[0]!.id;
    await app.lead.put(`/api/recipe-versions/${nextId}/acceptance`).expect(200);
    await signOff(app.lead, nextId);
    expect((await publish(nextId)).publications[0]?.slug).toBe(slug);
    const open = (await app.visitor.get(`/api/published/${slug}`)).body as PublicRecipeView;
    expect(open).toMatchObject({ versionNumber: 2, plan: { kettleC: 92 } });
  });

  it('shows a version once, and none whose sign-off was taken back in between', async () => {
    const recipe = await startRecipe(app.barista, (await takeInLot(app.barista, { name: 'Once' })).id);
    const recipeVersionId = recipe.versions[0]!.id;
    const signOffPath = `/api/recipe-versions/${recipeVersionId}/sign-off`;
    await app.lead.put(`/api/recipe-versions/${recipeVersionId}/acceptance`).expect(200);
    await signOff(app.lead, recipeVersionId);
    const publication = { recipeVersionId, introduction: '' };
    const published = (await app.lead.post('/api/publications').send(publication).expect(201))
      .body as RecipeView;
    await app.lead.post('/api/publications').send(publication).expect(409);

    const { id } = published.publications[0]!;
    await app.lead.delete(`/api/publications/${id}`).expect(200);
    await app.lead.delete(signOffPath).expect(200);
    await app.lead.post(`/api/publications/${id}/restore`).expect(409);
    await signOff(app.lead, recipeVersionId);
    await app.lead.post(`/api/publications/${id}/restore`).expect(200);
  });

  it('never collides: a second recipe of the same name gets a number', async () => {
    const slugs: string[] = [];
    for (let count = 0; count < 2; count++) {
      const recipe = await startRecipe(app.barista, (await takeInLot(app.barista, { name: 'Twin' })).id);
      const versionId = recipe.versions[0]!.id;
      await app.lead.put(`/api/recipe-versions/${versionId}/acceptance`);
      await signOff(app.lead, versionId);
      const view = (
        await app.lead.post('/api/publications').send({ recipeVersionId: versionId, introduction: '' })
      ).body as RecipeView;
      slugs.push(view.publications[0]!.slug);
    }
    expect(slugs).toEqual(['twin-kittiwake-cone', 'twin-kittiwake-cone-2']);
  });
});
