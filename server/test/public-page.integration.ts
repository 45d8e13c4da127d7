import { randomUUID } from 'node:crypto';
import jsqr from 'jsqr';
import { PNG } from 'pngjs';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { HomeResultsView, Problem, RecipeView } from '@vendu/contract';
import { LotModel } from '../src/lots/lot.model.js';
import {
  signOff,
  startRecipe,
  startTestApplication,
  takeInLot,
  type TestApplication,
} from './support/application.js';

const DEMO_CARD = '/r/umuseke-ridge-kittiwake-cone';
let app: TestApplication;
beforeAll(async () => {
  app = await startTestApplication();
});
afterAll(() => app.close());

const html = async (path: string, status = 200) => (await app.visitor.get(path).expect(status)).text;

async function published(name: string) {
  const recipe = await startRecipe(app.barista, (await takeInLot(app.barista, { name })).id);
  const publish = async (versionId: number) => {
    await app.lead.put(`/api/recipe-versions/${versionId}/acceptance`).expect(200);
    await signOff(app.lead, versionId);
    return (
      await app.lead
        .post('/api/publications')
        .send({ recipeVersionId: versionId, introduction: '' })
        .expect(201)
    ).body as RecipeView;
  };
  const view = await publish(recipe.versions[0]!.id);
  return { recipe: view, path: `/r/${view.publications[0]!.slug}`, publish };
}

describe('the page of a lot', () => {
  it('lists its editions side by side, with what each says in words of its own and whose names it bears', async () => {
    const lot = await takeInLot(app.barista, { name: 'Two cups' });
    const [first, second] = [await startRecipe(app.barista, lot.id), await startRecipe(app.barista, lot.id)];
    const publish = async ({ id }: RecipeView, edition: object) => {
      const versionId = ((await app.lead.get(`/api/recipes/${id}`)).body as RecipeView).versions[0]!.id;
      const named = `/api/recipe-versions/${versionId}/signature`;
      await app.barista.put(named).expect(409);
      await app.lead.put(`/api/recipe-versions/${versionId}/acceptance`).expect(200);
      await signOff(app.lead, versionId);
      await app.barista.put(named).expect(200);
      await app.secondBarista.put(named).expect(200);
      const send = (words: object) =>
        app.lead
          .post('/api/publications')
          .send({ recipeVersionId: versionId, introduction: '', edition: words });
      const refused = (await send({ ...edition, tastesOf: '3 plums' }).expect(422)).body as Problem;
      expect(refused.errors).toMatchObject([
        { field: 'edition.tastesOf', allowed: expect.stringContaining('without a figure') as string },
      ]);
      const many = Array.from({ length: 30 }, () => 'slowly');
      const beyond = (await send({ ...edition, remarks: many }).expect(422)).body as Problem;
      expect(beyond.errors).toMatchObject([{ field: 'edition.remarks' }]);
      const { publications } = (await send(edition).expect(201)).body as RecipeView;
      return `/r/${publications[0]!.slug}`;
    };
    const one = await publish(first, { name: '', tastesOf: '', remarks: ['From low above the bed.'] });
    expect(await html(one)).toContain('From low above the bed.');
    // One recipe needs no choosing.
    await app.visitor.get('/r/lot/two-cups').expect(302).expect('location', one);
    const two = await publish(second, { name: 'the round one', tastesOf: 'baked plum', remarks: [] });
    const page = await html('/r/lot/two-cups');
    for (const told of [one, two, 'the round one', 'baked plum', 'Signed by Tamsin', ', Joss']) {
      expect(page).toContain(told);
    }
    expect(await html(two)).toContain('/r/lot/two-cups');
  });

  it('is not there before, and says so once all of it is withdrawn', async () => {
    await html('/r/lot/never-published', 404);
    const { recipe } = await published('Gone lot');
    await app.lead.delete(`/api/publications/${recipe.publications[0]!.id}`).expect(200);
    expect(await html('/r/lot/gone-lot', 410)).toContain('withdrew this recipe');
  });

  it('has an address for what was public before lots had pages', async () => {
    await published('Older lot');
    await LotModel.update({ publicSlug: null }, { where: { name: 'Older lot' } });
    await html('/r/lot/older-lot', 404);
    await app.restart();
    await app.visitor.get('/r/lot/older-lot').expect(302);
  });
});

describe('a proof copy', () => {
  it('is the card before it is public, for the lab alone', async () => {
    const recipe = await startRecipe(app.barista, (await takeInLot(app.barista, { name: 'Not out yet' })).id);
    const path = `/api/recipe-versions/${recipe.versions[0]!.id}/card`;
    await app.visitor.get(path).expect(401);
    await app.barista.get('/api/recipe-versions/99999/card').expect(404);
    const answer = await app.secondBarista.get(path).expect(200);
    expect(answer.headers['cache-control']).toBe('private, no-store');
    for (const told of ['Not out yet', 'A proof copy, not published', 'Bloom', 'noindex']) {
      expect(answer.text).toContain(told);
    }
    expect(answer.text).not.toContain('qr.svg');
    await html('/r/lot/not-out-yet', 404);
  });
});

describe('the page of a card', () => {
  it('is whole as it is sent, to be asked for again, and its parts are kept', async () => {
    const answer = await app.visitor.get(DEMO_CARD).expect(200);
    expect(answer.headers['content-type']).toMatch(/^text\/html/);
    expect(answer.headers['cache-control']).toBe('public, no-cache');
    for (const told of [
      'Umuseke Ridge',
      'blackcurrant',
      'Swirl the brewer',
      'As proven',
      'As you like it',
      'In our trials',
    ]) {
      expect(answer.text).toContain(told);
    }
    // Nothing of who works there.
    expect(answer.text).not.toMatch(/Ilse|Tamsin|Joss|Varnholt/);
    const again = await app.visitor
      .get(DEMO_CARD)
      .set('If-None-Match', String(answer.headers['etag']))
      .expect(304);
    expect(again.text).toBe('');
  });

  it('is named by a code that any camera reads', async () => {
    const picture = (await app.visitor.get(`${DEMO_CARD}/qr.png`).expect(200)).body as Buffer;
    const { data, width, height } = PNG.sync.read(picture);
    expect(jsqr.default(new Uint8ClampedArray(data), width, height)?.data).toMatch(
      new RegExp(`^http://127.0.0.1:\\d+${DEMO_CARD}$`),
    );
    const svg = await app.visitor.get(`${DEMO_CARD}/qr.svg`).expect(200);
    expect(svg.headers['content-type']).toMatch(/^image\/svg\+xml/);
    await app.visitor.get('/r/nowhere/qr.png').expect(404);
  });

  it('shows versions that were followed, marked, and none that was withdrawn', async () => {
    const { recipe, path, publish } = await published('Page lot');
    const plan = { ...recipe.versions[0]!.plan, kettleC: 91 };
    const next = (
      await app.barista
        .post(`/api/recipes/${recipe.id}/versions`)
        .send({ basedOn: 1, plan, note: '' })
        .expect(201)
    ).body as RecipeView;
    const second = await publish(next.versions[0]!.id);
    expect(await html(path)).toContain('Version 2');
    expect(await html(path)).toMatch(/kettle .* → 91 °C/);
    expect(await html(`${path}/version/1`)).toContain('An older version');
    expect(await html(`${path}/version/9`, 404)).toContain('No such recipe');

    await app.lead.delete(`/api/publications/${second.publications[0]!.id}`).expect(200);
    expect(await html(path, 410)).toMatch(/withdrew this recipe/);
    expect(await html(`${path}/version/2`, 410)).not.toContain('Swirl');
  });

  it('of nothing helps, and never shows what is not public', async () => {
    expect(await html('/r/never-there', 404)).toContain('All published recipes');
    const recipe = await startRecipe(app.barista, (await takeInLot(app.barista, { name: 'Secret lot' })).id);
    await app.barista.put(`/api/recipe-versions/${recipe.versions[0]!.id}/acceptance`).expect(200);
    await html('/r/secret-lot-kittiwake-cone', 404);
  });
});

describe('what kitchens tell', () => {
  const GRINDER = 'Halyard, flat burrs, second set';
  const told = (changes: object = {}) => ({
    key: randomUUID(),
    versionNumber: 1,
    doseG: 16,
    drainedS: 200,
    taste: 'bitter',
    grinder: GRINDER,
    setting: 21,
    ...changes,
  });

  it('is kept once, without a name, apart from the lab’s evidence, and shown by grinder', async () => {
    const { recipe, path } = await published('Told lot');
    const address = `/api/published/${path.slice(3)}/home-results`;
    const first = told();
    for (const result of [
      first,
      first,
      told({ drainedS: 220 }),
      told({ grinder: '', setting: null, taste: 'right' }),
    ]) {
      await app.visitor.post(address).send(result).expect(204);
    }
    const view = (await app.barista.get(`/api/recipes/${recipe.id}/home-results`).expect(200))
      .body as HomeResultsView;
    expect(view).toMatchObject({
      count: 3,
      tastes: { bitter: 2, right: 1 },
      grinders: [
        { grinder: GRINDER, count: 2, medianSetting: 21, drainedS: { mean: 210 } },
        { grinder: '', count: 1 },
      ],
    });
    await app.visitor.get(`/api/recipes/${recipe.id}/home-results`).expect(401);
    const lot = (await app.barista.get(`/api/lots/${recipe.lot.id}`)).body as { brews: unknown[] };
    expect(lot.brews).toEqual([]);
  });

  it('is refused where it cannot be, by its field, and at a rate that is no kitchen’s', async () => {
    const { path } = await published('Refused lot');
    const address = `/api/published/${path.slice(3)}/home-results`;
    const wrong = await app.visitor
      .post(address)
      .send(told({ drainedS: 9000 }))
      .expect(422);
    expect((wrong.body as Problem).errors[0]).toMatchObject({ field: 'drainedS', allowed: '20 to 1800 s' });
    await app.visitor
      .post(address)
      .send(told({ name: 'me' }))
      .expect(422);
    const words = await app.visitor
      .post(address)
      .send(told({ grinder: 'Buy mine' }))
      .expect(422);
    expect((words.body as Problem).errors[0]?.field).toBe('grinder');
    await app.visitor
      .post(address)
      .send(told({ versionNumber: 7 }))
      .expect(404);
    await app.visitor.post('/api/published/nowhere/home-results').send(told()).expect(404);
    const statuses = [];
    for (let sent = 0; sent < 14; sent++)
      statuses.push((await app.visitor.post(address).send(told())).status);
    expect(statuses).toContain(429);
  });
});
