import { createServer, type IncomingMessage, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { text } from 'node:stream/consumers';
import { Webhook } from 'standardwebhooks';
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest';
import type { NewWebhookView, Problem, RecipeView, WebhookView } from '@vendu/contract';
import type { News } from '../src/webhooks/webhook-queue.js';
import {
  brewOf,
  signOff,
  startRecipe,
  startTestApplication,
  takeInLot,
  type TestApplication,
} from './support/application.js';
import { randomUUID } from 'node:crypto';
import { planWaterG } from '@vendu/core';

let app: TestApplication;
/** The program elsewhere. */
let other: Server;
let answers = 200;
const heard: { headers: IncomingMessage['headers']; body: string }[] = [];

beforeAll(async () => {
  app = await startTestApplication();
  other = createServer((request, response) => {
    void text(request).then((body) => {
      heard.push({ headers: request.headers, body });
      response.writeHead(answers, { location: 'http://127.0.0.1:1/' }).end();
    });
  });
  await new Promise<void>((resolve) => other.listen(0, '127.0.0.1', resolve));
});
afterAll(async () => {
  await app.close();
  other.close();
});

const elsewhere = () => `http://127.0.0.1:${(other.address() as AddressInfo).port}/news`;
const make = async (changes: object = {}) =>
  (
    await app.lead
      .post('/api/webhooks')
      .send({ name: 'Chat', url: elsewhere(), events: ['published', 'recalled', 'alarm'], ...changes })
      .expect(201)
  ).body as NewWebhookView;
const hookOf = async (id: number) =>
  ((await app.lead.get('/api/webhooks').expect(200)).body as WebhookView[]).find((each) => each.id === id)!;
const newsOf = (event: string) => heard.filter(({ body }) => (JSON.parse(body) as News).event === event);

/** Waits for what is sent by itself: looked for every few seconds. */
const eventually = (check: () => Promise<void> | void) =>
  vi.waitFor(check, { timeout: 100_000, interval: 100 });

async function published(name: string, proof: readonly number[] = []): Promise<RecipeView> {
  const recipe = await startRecipe(app.barista, (await takeInLot(app.barista, { name })).id);
  for (const tds of proof) await brewed(recipe, tds);
  const { id } = recipe.versions[0]!;
  await app.lead.put(`/api/recipe-versions/${id}/acceptance`).expect(200);
  await signOff(app.lead, id);
  const { text: told } = await app.lead
    .post('/api/publications')
    .send({ recipeVersionId: id, introduction: '' })
    .expect(201);
  return JSON.parse(told) as RecipeView;
}

/** A measured brew as planned, on another grinder than the one that drifts in the demo. */
async function brewed(recipe: RecipeView, tdsPercent: number): Promise<void> {
  const { plan } = recipe.versions[0]!;
  const waterG = planWaterG(plan);
  const { text: told } = await app.barista
    .put(`/api/brews/by-key/${randomUUID()}`)
    .send(brewOf(recipe, { grinderId: 2 }, { startedAt: new Date().toISOString() }))
    .expect(200);
  const { id, revision } = JSON.parse(told) as { id: number; revision: number };
  await app.barista
    .patch(`/api/brews/${id}`)
    .send({ revision, doseG: plan.doseG, waterG, beverageG: waterG - 2 * plan.doseG, note: '' })
    .expect(200);
  await app.barista.post(`/api/brews/${id}/readings`).send({ tdsPercent }).expect(201);
}

describe('an address elsewhere', () => {
  it('is told what became public and what was recalled, signed so that it can be checked', async () => {
    const { id, secret } = await make();
    const recipe = await published('Told Hill');
    await eventually(() => expect(newsOf('published')).toHaveLength(1));
    const [{ headers, body }] = newsOf('published') as [(typeof heard)[number]];
    const news = new Webhook(secret).verify(body, headers as Record<string, string>) as News;
    expect(news).toMatchObject({
      event: 'published',
      lot: { id: recipe.lot.id, name: 'Told Hill' },
      recipe: { id: recipe.id, versionNumber: 1 },
      path: `/r/${recipe.publications[0]!.slug}`,
    });
    expect(() =>
      new Webhook(secret).verify(body.replace('Told', 'Sold'), headers as Record<string, string>),
    ).toThrow();

    await app.lead.delete(`/api/publications/${recipe.publications[0]!.id}`).expect(200);
    await eventually(() => expect(newsOf('recalled')).toHaveLength(1));
    await eventually(async () =>
      expect((await hookOf(id)).deliveries.map(({ event, state, answer }) => [event, state, answer])).toEqual(
        [
          ['recalled', 'told', 'answered 200'],
          ['published', 'told', 'answered 200'],
        ],
      ),
    );
    await app.lead.put(`/api/webhooks/${id}/ended`).expect(200);
  });

  it('is told once when a public recipe goes off, and not again while it is off', async () => {
    const { id } = await make({ events: ['alarm'] });
    const recipe = await published('Off Hill', [1.3, 1.31, 1.29]);
    await brewed(recipe, 1.3);
    await brewed(recipe, 1.1);
    await brewed(recipe, 1.1);
    await eventually(() => expect(newsOf('alarm')).toHaveLength(1));
    const { words, path } = JSON.parse(newsOf('alarm')[0]!.body) as News;
    expect(words).toMatch(/^Off Hill, Kittiwake cone went off: strength/);
    expect(path).toBe(`/recipes/${recipe.id}/watch`);
    expect((await hookOf(id)).deliveries).toHaveLength(1);
    await app.lead.put(`/api/webhooks/${id}/ended`).expect(200);
  });

  it('that does not take it is tried again later, or at once when somebody asks', async () => {
    const { id } = await make({ events: ['published'] });
    answers = 302;
    await published('Refused Hill');
    await eventually(async () =>
      expect((await hookOf(id)).deliveries[0]).toMatchObject({
        state: 'waiting',
        tries: 1,
        answer: 'answered 302',
      }),
    );
    const [delivery] = (await hookOf(id)).deliveries;
    expect(Date.parse(delivery!.nextTryAt!) - Date.now()).toBeGreaterThan(30_000);
    answers = 204;
    await app.lead.post(`/api/webhook-deliveries/${delivery!.id}/again`).expect(200);
    await eventually(async () => expect((await hookOf(id)).deliveries[0]).toMatchObject({ state: 'told' }));
  });

  it('that is not there is named as that, and told nothing once it was ended', async () => {
    const { id } = await make({ url: 'http://127.0.0.1:1/', events: ['published'] });
    await published('Nobody Hill');
    await eventually(async () => expect((await hookOf(id)).deliveries[0]!.answer).toMatch(/^not reached: /));
    await app.lead.put(`/api/webhooks/${id}/ended`).expect(200);
    await published('After Hill');
    expect((await hookOf(id)).deliveries).toHaveLength(1);
  });

  it('is a lead’s to give, of the web, and for something', async () => {
    await app.barista.get('/api/webhooks').expect(403);
    for (const [changes, field] of [
      [{ url: 'file:///etc/passwd' }, 'url'],
      [{ url: 'chat' }, 'url'],
      [{ url: 'http://10.0.0.7/news' }, 'url'],
      [{ url: 'https://192.168.1.1/' }, 'url'],
      [{ events: [] }, 'events'],
      [{ events: ['weather'] }, 'events'],
    ] as const) {
      const { text: told } = await app.lead
        .post('/api/webhooks')
        .send({ name: 'x', url: elsewhere(), events: ['alarm'], ...changes })
        .expect(422);
      expect((JSON.parse(told) as Problem).errors).toMatchObject([{ field }]);
    }
  });
});
