import Parser from 'rss-parser';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { RecipeView } from '@vendu/contract';
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

/** As a reader of feeds sees it. */
async function feed() {
  const { text } = await app.visitor
    .get('/api/published.atom')
    .expect(200)
    .expect('Content-Type', /^application\/atom\+xml/);
  return new Parser().parseString(text);
}

async function publish(recipe: RecipeView): Promise<RecipeView> {
  const { id } = recipe.versions[0]!;
  await app.lead.put(`/api/recipe-versions/${id}/acceptance`).expect(200);
  await signOff(app.lead, id);
  const publication = { recipeVersionId: id, introduction: 'Sweet & <clear>' };
  return (await app.lead.post('/api/publications').send(publication).expect(201)).body as RecipeView;
}

describe('the feed of what is public', () => {
  it('tells a visitor what is new, what changed in it, and what was recalled', async () => {
    const lot = await takeInLot(app.barista, { name: 'Followed “Hill” & <Slope>' });
    const first = await publish(await startRecipe(app.barista, lot.id));
    expect((await feed()).items[0]).toMatchObject({
      title: 'Followed “Hill” &amp; &lt;Slope&gt;, Kittiwake cone, version 1',
      link: `${app.url}/r/${first.publications[0]!.slug}`,
      summary: 'Sweet &amp; &lt;clear&gt;',
    });

    const { plan, number } = first.versions[0]!;
    const { text } = await app.barista
      .post(`/api/recipes/${first.id}/versions`)
      .send({ basedOn: number, plan: { ...plan, grindUm: plan.grindUm - 50 }, note: '' })
      .expect(201);
    const second = await publish(JSON.parse(text) as RecipeView);
    const [newest, before] = (await feed()).items;
    expect(newest!.title).toMatch(/version 2$/);
    expect(newest!.summary).toMatch(/^Changed: grind \d+ µm → \d+ µm\.$/);
    expect(before!.title).toMatch(/version 1$/);
    expect(new Set((await feed()).items.map(({ id }) => id as string)).size).toBe(
      (await feed()).items.length,
    );

    await app.lead.delete(`/api/publications/${second.publications[0]!.id}`).expect(200);
    expect((await feed()).items[0]).toMatchObject({
      title: 'Followed “Hill” &amp; &lt;Slope&gt;, Kittiwake cone, version 2: recalled',
      summary: expect.stringContaining('Recalled by the house') as unknown,
    });
  });
});
