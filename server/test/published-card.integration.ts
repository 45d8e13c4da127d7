import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { KitView, LotView, PublicRecipeView, PublishedPageView, RecipeView } from '@vendu/contract';
import { PublicationModel } from '../src/publications/publication.model.js';
import {
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

async function publishedLot(name: string): Promise<{ lot: LotView; recipe: RecipeView; slug: string }> {
  const lot = await takeInLot(app.barista, { name, additions: 'mango pulp' });
  const recipe = await startRecipe(app.barista, lot.id);
  const versionId = recipe.versions[0]!.id;
  await app.lead.put(`/api/recipe-versions/${versionId}/acceptance`).expect(200);
  await signOff(app.lead, versionId);
  const published = (await publish(versionId).expect(201)).body as RecipeView;
  return { lot, recipe: published, slug: published.publications[0]!.slug };
}
const publish = (recipeVersionId: number, introduction = '') =>
  app.lead.post('/api/publications').send({ recipeVersionId, introduction });
const cardOf = async (slug: string) =>
  (await app.visitor.get(`/api/published/${slug}`).expect(200)).body as PublicRecipeView;
const editLot = (lot: LotView, changes: object) =>
  app.barista
    .patch(`/api/lots/${lot.id}`)
    .send({ name: lot.name, country: lot.country, process: lot.process, revision: lot.revision, ...changes })
    .expect(200);

describe('what is published', () => {
  it('is changed by nobody who edits the lot, the grinder or the brewer afterwards', async () => {
    const { lot, slug } = await publishedLot('Kept');
    const before = await cardOf(slug);
    await editLot(lot, { name: 'Renamed', additions: '', labelNotes: ['plum'] });
    const { grinders, papers } = (await app.barista.get('/api/kit').expect(200)).body as KitView;
    const { id, ...grinder } = grinders[0]!;
    const points = grinder.points.map((point) => ({ ...point, setting: point.setting + 3 }));
    await app.barista
      .put(`/api/kit/grinders/${id}`)
      .send({ ...grinder, coarsestSetting: null, name: 'Other', points })
      .expect(200);
    const { id: paperId, ...paper } = papers[0]!;
    await app.barista
      .put(`/api/kit/papers/${paperId}`)
      .send({ ...paper, name: 'Other paper' })
      .expect(200);
    expect(await cardOf(slug)).toEqual(before);
    const { recipes } = (await app.visitor.get('/api/published').expect(200)).body as PublishedPageView;
    expect(recipes.find((each) => each.slug === slug)?.lotName).toBe('Kept');
  });

  it('says in the lab what it would say now, what concerns allergies first, until a lead publishes it again', async () => {
    const { lot, recipe, slug } = await publishedLot('Behind');
    await editLot(lot, { additions: 'mango pulp, peanuts', region: 'north' });
    const read = async () => (await app.barista.get(`/api/recipes/${recipe.id}`)).body as RecipeView;
    expect((await read()).publications[0]?.cardChanges).toEqual([
      { field: 'additions', published: 'mango pulp', now: 'mango pulp, peanuts' },
      { field: 'region', published: '', now: 'north' },
    ]);
    const seen = (await app.barista.get(`/api/lots/${lot.id}`)).body as LotView;
    expect(seen.outdatedCards).toMatchObject([
      { recipeId: recipe.id, slug, changes: [{ field: 'additions' }, {}] },
    ]);

    const versionId = recipe.versions[0]!.id;
    await app.barista
      .post('/api/publications')
      .send({ recipeVersionId: versionId, introduction: '' })
      .expect(403);
    const again = (await publish(versionId).expect(201)).body as RecipeView;
    expect(
      again.publications.map(({ withdrawnAt, cardChanges }) => [withdrawnAt === null, cardChanges]),
    ).toEqual([
      [true, []],
      [false, []],
    ]);
    expect(await cardOf(slug)).toMatchObject({ additions: 'mango pulp, peanuts', region: 'north' });
    // The same again would be another publication of nothing new.
    await publish(versionId).expect(409);
    await publish(versionId, 'Best warm.').expect(201);
    expect((await cardOf(slug)).introduction).toBe('Best warm.');
  });

  it('is one version at a time: a newer one takes its place, and an older comes back only when that is withdrawn', async () => {
    const { recipe, slug } = await publishedLot('Places');
    const plan = { ...recipe.versions[0]!.plan, kettleC: 91 };
    const next = (
      await app.lead.post(`/api/recipes/${recipe.id}/versions`).send({ basedOn: 1, plan, note: '' })
    ).body as RecipeView;
    const nextId = next.versions[0]!.id;
    await app.lead.put(`/api/recipe-versions/${nextId}/acceptance`).expect(200);
    await signOff(app.lead, nextId);
    const [second, first] = ((await publish(nextId).expect(201)).body as RecipeView).publications;
    expect([second?.withdrawnAt, first?.withdrawnAt === null]).toEqual([null, false]);
    await app.lead.post(`/api/publications/${first!.id}/restore`).expect(409);
    await app.lead.delete(`/api/publications/${second!.id}`).expect(200);
    await app.visitor.get(`/api/published/${slug}`).expect(404);
    await app.lead.post(`/api/publications/${first!.id}/restore`).expect(200);
    expect((await cardOf(slug)).versionNumber).toBe(1);
  });

  it('of an older version, which kept no card, keeps the one it shows when the server starts', async () => {
    const { lot, recipe, slug } = await publishedLot('Older');
    const before = await cardOf(slug);
    await PublicationModel.update({ card: null }, { where: { recipeId: recipe.id } });
    await app.restart();
    await editLot(lot, { additions: '' });
    expect(await cardOf(slug)).toEqual(before);
  });
});

describe('the list of what is published', () => {
  it('has pages, the newest first', async () => {
    const source = await PublicationModel.findOne({ rejectOnEmpty: true });
    // Fifty more of the same card, made inside the database.
    await PublicationModel.sequelize?.query(
      `INSERT INTO recipes (lot_id, brewer_id, grinder_id, paper_id, slug, created_by, created_at, updated_at)
        SELECT lot_id, brewer_id, grinder_id, paper_id, CONCAT('copy-', seq), created_by, created_at, updated_at
        FROM recipes JOIN seq_1_to_50 WHERE recipes.id = :recipeId`,
      { replacements: { recipeId: source.recipeId } },
    );
    await PublicationModel.sequelize?.query(
      `INSERT INTO publications (recipe_id, recipe_version_id, introduction, card, published_by, created_at)
        SELECT recipes.id, :versionId, '', :card, 1, NOW() FROM recipes WHERE slug LIKE 'copy-%'`,
      { replacements: { versionId: source.recipeVersionId, card: JSON.stringify(source.card) } },
    );
    const page = async (number: number) =>
      (await app.visitor.get('/api/published').query({ page: number }).expect(200)).body as PublishedPageView;
    const [first, second] = [await page(1), await page(2)];
    expect(first.total).toBeGreaterThan(50);
    expect([first.recipes.length, second.recipes.length]).toEqual([24, 24]);
    const slugs = new Set([...first.recipes, ...second.recipes].map(({ slug }) => slug));
    expect(slugs.size).toBe(48);
    expect((await page(99)).recipes).toEqual([]);
    await app.visitor.get('/api/published').query({ page: 0 }).expect(422);
  });
});
