import { randomUUID } from 'node:crypto';
import { subHours, subMinutes } from 'date-fns';
import type TestAgent from 'supertest/lib/agent.js';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { BrewView, CaffeineView, ChangeView, RecipeView, TasterView } from '@vendu/contract';
import { TastingModel } from '../src/brews/tasting.model.js';
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

async function recipeOf(): Promise<RecipeView> {
  return startRecipe(app.barista, (await takeInLot(app.barista)).id);
}
async function brewed(recipe: RecipeView, startedAt: Date): Promise<BrewView> {
  const response = await app.barista
    .put(`/api/brews/by-key/${randomUUID()}`)
    .send(brewOf(recipe, {}, { startedAt: startedAt.toISOString() }))
    .expect(200);
  return response.body as BrewView;
}
const read = async (by: TestAgent, { id }: BrewView) =>
  (await by.get(`/api/brews/${id}`).expect(200)).body as BrewView;
const send = async (by: TestAgent, { id }: BrewView, stage: string, sheet: object) =>
  (
    await by
      .put(`/api/brews/${id}/tastings/${stage}`)
      .send({ notes: '', intensities: {}, ...sheet })
      .expect(200)
  ).body as BrewView;
const sheetsOf = ({ tastings }: BrewView) => tastings.map(({ by, stage }) => `${by.split(' ')[0]} ${stage}`);

describe('tasting without knowing what others wrote', () => {
  it('opens the others’ sheets of a stage once one’s own is sent', async () => {
    const brew = await brewed(await recipeOf(), subMinutes(new Date(), 10));
    await send(app.lead, brew, 'hot', { notes: 'plum' });
    await send(app.lead, brew, 'warm', { notes: 'fig' });
    expect(sheetsOf(await read(app.lead, brew))).toEqual(['Ilse hot', 'Ilse warm']);
    expect(await read(app.barista, brew)).toMatchObject({ tastings: [], sealedSheets: { hot: 1, warm: 1 } });

    const sent = await send(app.barista, brew, 'hot', { notes: 'cherry' });
    expect(sheetsOf(sent).sort()).toEqual(['Ilse hot', 'Tamsin hot']);
    expect(sent.sealedSheets).toEqual({ warm: 1 });
    expect(sent.tastings.every(({ isAfterOthers, isAltered }) => !isAfterOthers && !isAltered)).toBe(true);
    // Somebody else's answer to his own request never holds them either.
    const answer = await app.secondBarista
      .put(`/api/brews/${brew.id}/verdict`)
      .send({ verdict: 'close', reason: '' })
      .expect(200);
    expect(answer.body).toMatchObject({ tastings: [], sealedSheets: { hot: 2, warm: 1 } });
  });

  it('a sheet altered once others could be seen keeps what it said first; one sent after a look is marked', async () => {
    const brew = await brewed(await recipeOf(), subMinutes(new Date(), 10));
    await send(app.lead, brew, 'hot', { intensities: { dryness: 3 } });
    const alone = await send(app.lead, brew, 'hot', { intensities: { dryness: 4 } });
    expect(alone.tastings[0]).toMatchObject({ isAltered: false, intensities: { dryness: 4 } });

    const looked = await app.secondBarista.put(`/api/brews/${brew.id}/look`).expect(200);
    expect(sheetsOf(looked.body as BrewView)).toEqual(['Ilse hot']);
    const late = await send(app.secondBarista, brew, 'hot', { intensities: { dryness: 4 } });
    expect(late.tastings.find(({ by }) => by.startsWith('Joss'))).toMatchObject({ isAfterOthers: true });

    const altered = await send(app.lead, brew, 'hot', { intensities: { dryness: 8 } });
    expect(altered.tastings.find(({ by }) => by.startsWith('Ilse'))).toMatchObject({
      isAltered: true,
      intensities: { dryness: 8 },
    });
    const row = await TastingModel.findOne({ where: { brewId: brew.id, stage: 'hot' } });
    expect(row?.firstSheet?.intensities.dryness).toBe(4);
    // The same sheet once more is no alteration.
    await send(app.secondBarista, brew, 'hot', { intensities: { dryness: 4 } });
    expect((await read(app.lead, brew)).tastings.filter(({ isAltered }) => isAltered)).toHaveLength(1);
  });

  it('a sheet that says nothing opens nothing; one of other days is open to all', async () => {
    const recipe = await recipeOf();
    const brew = await brewed(recipe, subMinutes(new Date(), 10));
    const refused = await app.barista
      .put(`/api/brews/${brew.id}/tastings/hot`)
      .send({ notes: ' ', intensities: {}, vessel: 'glass', isSpat: true })
      .expect(422);
    expect(refused.body).toMatchObject({ errors: [{ field: 'notes' }] });

    const older = await brewed(recipe, subHours(new Date(), 3));
    await send(app.lead, older, 'cool', { notes: 'fig', overall: 7 });
    await send(app.secondBarista, older, 'cool', { overall: 4 });
    await send(app.lead, brew, 'cool', { overall: 9 });
    expect(sheetsOf(await read(app.barista, older)).sort()).toEqual(['Ilse cool', 'Joss cool']);
    // How well it was liked is told of it, and not yet of the one that is still tasted.
    expect((await read(app.barista, older)).liked).toBe(5.5);
    expect((await read(app.barista, brew)).liked).toBeNull();
  });

  it.each([
    ['likings.body', { likings: { body: 10 } }],
    ['overall', { overall: 0 }],
    ['aromas.dry', { aromas: { dry: 'x'.repeat(201) } }],
    ['vessel', { vessel: 'bucket' }],
    ['faults', { faults: ['stalled'] }],
    ['faults', { faults: ['dry', 'dry'] }],
    ['isSpat', { isSpat: 'yes' }],
  ])('refuses %s that no sheet takes', async (field, sheet) => {
    const refused = await app.barista
      .put('/api/brews/1/tastings/hot')
      .send({ notes: 'plum', intensities: {}, ...sheet })
      .expect(422);
    expect(refused.body).toMatchObject({ errors: [expect.objectContaining({ field })] });
  });

  it('what a change brought in the cup is told once one’s own sheet is sent', async () => {
    const recipe = await recipeOf();
    await brewed(recipe, subMinutes(new Date(), 40));
    const [first] = recipe.versions;
    const changed = await app.barista
      .post(`/api/recipes/${recipe.id}/versions`)
      .send({
        basedOn: 1,
        plan: { ...first!.plan, grindUm: first!.plan.grindUm + 30 },
        note: 'coarser',
        expectation: { source: { kind: 'own' }, figures: null, hopes: [{ kind: 'brings', word: 'plum' }] },
      })
      .expect(201);
    const after = await brewed(changed.body as RecipeView, subMinutes(new Date(), 20));
    await send(app.lead, after, 'hot', { notes: 'plum' });
    const seen = async (by: TestAgent) => {
      const changes = await by.get(`/api/lots/${recipe.lot.id}/changes`).expect(200);
      return (changes.body as ChangeView[])[0]?.seen;
    };
    expect(await seen(app.barista)).toMatchObject({ isSealed: true, what: { hopes: [] } });
    expect(await seen(app.lead)).toMatchObject({ isSealed: false, what: { hopes: ['came'] } });
  });
});

describe('tasters', () => {
  it('are laid beside each other by what they wrote before they saw another’s', async () => {
    const recipe = await recipeOf();
    const before = (await app.lead.get('/api/tasters').expect(200)).body as TasterView[];
    const brew = await brewed(recipe, subMinutes(new Date(), 5));
    await send(app.lead, brew, 'hot', { intensities: { dryness: 3 } });
    await app.secondBarista.put(`/api/brews/${brew.id}/look`).expect(200);
    await send(app.secondBarista, brew, 'hot', { intensities: { dryness: 9 } });
    const tasters = async () => (await app.lead.get('/api/tasters').expect(200)).body as TasterView[];
    // Sums of what is still tasted would tell of sheets that are closed.
    expect(await tasters()).toEqual(before);
    await TastingModel.update(
      { createdAt: subMinutes(new Date(), 121) },
      { where: { brewId: brew.id }, silent: true },
    );
    const now = await tasters();
    const sheets = (all: TasterView[], name: string) =>
      all.find((each) => each.name.startsWith(name))?.sheets ?? 0;
    expect(sheets(now, 'Ilse')).toBe(sheets(before, 'Ilse') + 1);
    expect(sheets(now, 'Joss')).toBe(sheets(before, 'Joss'));
  });

  it('have their caffeine reckoned from what they tasted in the last day', async () => {
    const caffeine = async () =>
      (await app.secondBarista.get('/api/tasters/me/caffeine').expect(200)).body as CaffeineView;
    const before = await caffeine();
    const brew = await brewed(await recipeOf(), subMinutes(new Date(), 5));
    await send(app.secondBarista, brew, 'hot', { notes: 'plum' });
    const once = await caffeine();
    expect(once.sheets).toBe(before.sheets + 1);
    expect(once.mg - before.mg).toBeGreaterThan(10);
    await send(app.secondBarista, brew, 'warm', { notes: 'plum', isSpat: true });
    expect((await caffeine()).mg - once.mg).toBeLessThan(5);
    await TastingModel.update(
      { createdAt: subMinutes(new Date(), 70) },
      { where: { brewId: brew.id }, silent: true },
    );
    const later = await caffeine();
    expect(later.lastHourMg).toBeLessThan(once.lastHourMg);
    expect(later.mg).toBeGreaterThan(once.mg);
  });
});
