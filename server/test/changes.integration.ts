import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Expectation } from '@vendu/core';
import type { BrewView, ChangeView, RecipeView, ScoresView } from '@vendu/contract';
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

const EXPECTS: Expectation = {
  source: { kind: 'rule', id: 'dry-over' },
  figures: {
    tdsPercent: { from: 1.4, to: 1.32, sd: 0.04 },
    yieldPercent: { from: 20.3, to: 19.2, sd: 0.5 },
    drawdownS: { from: 170, to: 160, sd: 8 },
  },
  hopes: [{ kind: 'gone', finding: 'dry' }],
};

const changesOf = async (lotId: number) =>
  (await app.barista.get(`/api/lots/${lotId}/changes`).expect(200)).body as ChangeView[];
const scores = async () => (await app.barista.get('/api/changes/scores').expect(200)).body as ScoresView;
/** Of the rule of this test; the demo's lots have put others to the test. */
const ofRule = async () => (await scores()).rules.filter(({ ruleId }) => ruleId === 'dry-over');

/** A brew of the newest version on a day, read once. */
async function brewed(recipe: RecipeView, startedAt: string, tdsPercent: number): Promise<BrewView> {
  const brew = (
    await app.barista
      .put(`/api/brews/by-key/${randomUUID()}`)
      .send(brewOf(recipe, {}, { startedAt }))
      .expect(200)
  ).body as BrewView;
  await app.barista.post(`/api/brews/${brew.id}/readings`).send({ tdsPercent }).expect(201);
  return brew;
}

async function changed(recipe: RecipeView, expectation: object | null): Promise<RecipeView> {
  const [newest] = recipe.versions;
  const plan = { ...newest!.plan, grindUm: newest!.plan.grindUm + 50 };
  const response = await app.barista
    .post(`/api/recipes/${recipe.id}/versions`)
    .send({ basedOn: newest!.number, plan, note: 'coarser', expectation })
    .expect(201);
  return response.body as RecipeView;
}

describe('a change of a recipe', () => {
  it('keeps what it was to do, and is laid beside what came as soon as it can be told', async () => {
    const lot = await takeInLot(app.barista);
    const recipe = await startRecipe(app.barista, lot.id);
    const first = await brewed(recipe, '2026-02-01T10:00:00Z', 1.4);
    const dry = { notes: 'drying finish', intensities: {} };
    await app.barista.put(`/api/brews/${first.id}/tastings/warm`).send(dry).expect(200);
    const coarser = await changed(recipe, EXPECTS);
    expect(await changesOf(lot.id)).toEqual([
      {
        recipeId: recipe.id,
        recipeVersionId: coarser.versions[0]!.id,
        versionNumber: 2,
        by: 'Tamsin Ekelund',
        expectation: EXPECTS,
        seen: null,
      },
    ]);

    const second = await brewed(coarser, '2026-02-02T10:00:00Z', 1.33);
    const [seen] = await changesOf(lot.id);
    expect(seen?.seen).toMatchObject({ beforeBrewId: first.id, afterBrewId: second.id });
    expect(seen?.seen?.what).toMatchObject({ moved: ['grind'], hopes: ['not-told'] });
    expect(seen?.seen?.what.figures.tdsPercent?.didBy).toBeCloseTo(-0.07, 10);
    expect(seen?.seen?.what.figures.tdsPercent).toMatchObject({ asExpected: true });
    expect(await ofRule()).toEqual([]);

    await app.barista
      .put(`/api/brews/${second.id}/tastings/warm`)
      .send({ notes: 'still drying', intensities: {} })
      .expect(200);
    expect((await changesOf(lot.id))[0]?.seen?.what.hopes).toEqual(['missed']);
    expect(await ofRule()).toEqual([{ ruleId: 'dry-over', came: 0, missed: 1 }]);

    await app.barista.post(`/api/brews/${second.id}/set-aside`).expect(200);
    expect((await changesOf(lot.id))[0]?.seen).toBeNull();
    expect(await ofRule()).toEqual([]);
  });

  it('of one’s own counts for whoever made it; a version without an expectation for nobody', async () => {
    const lot = await takeInLot(app.barista);
    const recipe = await startRecipe(app.barista, lot.id);
    const { model: before } = await scores();
    await brewed(recipe, '2026-02-01T10:00:00Z', 1.4);
    const own = { ...EXPECTS, source: { kind: 'own' }, hopes: [{ kind: 'brings', word: 'plum' }] };
    const mine = await changed(recipe, own);
    const brew = await brewed(mine, '2026-02-02T10:00:00Z', 1.6);
    await app.barista
      .put(`/api/brews/${brew.id}/tastings/hot`)
      .send({ notes: 'ripe plums', intensities: {} })
      .expect(200);
    const { people, model } = await scores();
    expect(people).toContainEqual(expect.objectContaining({ name: 'Tamsin Ekelund', came: 1, missed: 0 }));
    // The strength lies far outside its band.
    expect(model.missed).toBe(before.missed + 1);
    await changed(mine, null);
    expect(await changesOf(lot.id)).toHaveLength(1);
  });

  it('is refused where its expectation says nothing that can be looked for', async () => {
    const lot = await takeInLot(app.barista);
    const recipe = await startRecipe(app.barista, lot.id);
    const [newest] = recipe.versions;
    for (const [expectation, field] of [
      [{ ...EXPECTS, hopes: [{ kind: 'gone', finding: 'perfection' }] }, 'expectation.hopes.0.finding'],
      [{ ...EXPECTS, hopes: [{ kind: 'brings', word: ' ' }] }, 'expectation.hopes.0.word'],
      [{ ...EXPECTS, source: { kind: 'oracle' } }, 'expectation.source.kind'],
      [
        { ...EXPECTS, figures: { tdsPercent: { from: 1, to: 'more', sd: 0 } } },
        'expectation.figures.drawdownS',
      ],
    ] as const) {
      const refused = await app.barista
        .post(`/api/recipes/${recipe.id}/versions`)
        .send({ basedOn: 1, plan: newest!.plan, note: '', expectation })
        .expect(422);
      expect((refused.body as { errors: { field: string }[] }).errors.map((each) => each.field)).toContain(
        field,
      );
    }
    expect(await changesOf(lot.id)).toEqual([]);
  });
});
