import { randomUUID } from 'node:crypto';
import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { request as httpRequest } from 'node:http';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { text } from 'node:stream/consumers';
import request from 'supertest';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import {
  REQUEST_KEY_HEADER,
  type InvitedView,
  type NewTokenView,
  type NewWebhookView,
  type BrewView,
  type KitView,
  type LotsPageView,
  type Problem,
} from '@vendu/contract';
import { createApplication } from '../src/application.js';
import { LotModel } from '../src/lots/lot.model.js';
import { RequestKeyModel } from '../src/writing/request-key.model.js';
import {
  cookieOf,
  SMALLEST_LOT,
  startRecipe,
  startTestApplication,
  storeBrew,
  takeInLot,
  type TestApplication,
} from './support/application.js';

let app: TestApplication;
const webRoot = mkdtempSync(join(tmpdir(), 'vendu-web-'));
mkdirSync(join(webRoot, 'assets'));
writeFileSync(join(webRoot, 'index.html'), '<meta name="style-nonce" content="" /><title>Vendu</title>');
writeFileSync(join(webRoot, 'assets/app.js'), 'export {};');
beforeAll(async () => {
  app = await startTestApplication({ webRoot });
});
afterAll(async () => {
  await app.close();
  rmSync(webRoot, { recursive: true });
});
const problemOf = (response: { body: unknown }) => response.body as Problem;

describe('the page', () => {
  it('says the word that its policy asks added styles for, another one each time, and allows nothing else', async () => {
    const wordOf = async () => {
      const { text, headers } = await app.visitor.get('/lots/3').expect(200);
      const word = /name="style-nonce" content="([^"]+)"/.exec(text)?.[1] ?? '';
      const policy = String(headers['content-security-policy']);
      expect(policy).toContain(`style-src 'self' 'nonce-${word}'`);
      expect(policy).not.toContain('unsafe');
      expect(policy).toContain("object-src 'none'");
      expect(policy).toContain("base-uri 'none'");
      expect(policy).toContain("frame-ancestors 'self'");
      return word;
    };
    const words = [await wordOf(), await wordOf()];
    expect(words[0]).not.toBe(words[1]);
    expect(words[0]!.length).toBeGreaterThan(20);
  });

  it('and whatever else is answered say in what characters they are written, and nothing is sent back as it came', async () => {
    for (const path of ['/lots/3', '/api/health', '/api/published', '/api/nowhere']) {
      const { headers } = await app.visitor.get(path);
      expect(headers['content-type']).toMatch(/; charset=utf-8$/);
    }
    const echoed = await new Promise<{ status: number; text: string }>((resolve, reject) => {
      const asked = httpRequest(`${app.url}/api/health`, {
        method: 'TRACE',
        headers: { cookie: 'told=back' },
      });
      asked.on('error', reject).on('response', (response) => {
        void text(response).then((told) => resolve({ status: response.statusCode ?? 0, text: told }));
      });
      asked.end();
    });
    expect(echoed.status).toBe(404);
    expect(echoed.text).not.toContain('told=back');
  });
});

describe('the same request sent again', () => {
  it('is stored once and answered as before, however often it comes', async () => {
    const key = randomUUID();
    const name = `Once ${key}`;
    const send = (agent = app.barista) =>
      agent
        .post('/api/lots')
        .set(REQUEST_KEY_HEADER, key)
        .send({ ...SMALLEST_LOT, name });
    const answers = [...(await Promise.all([send(), send(), send()])), await send()];
    expect(answers.map(({ status }) => status)).toEqual([201, 201, 201, 201]);
    expect(new Set(answers.map(({ body }) => (body as { id: number }).id)).size).toBe(1);
    const { total } = (await app.barista.get('/api/lots').query({ search: name })).body as LotsPageView;
    expect(total).toBe(1);
    // Somebody else's request is another one, and a key stands for one thing.
    expect(problemOf(await send(app.lead).expect(409)).detail).toContain('another one');
  });

  it('holds for readings and kit too, and another key is another reading', async () => {
    const brew = await storeBrew(
      app.barista,
      await startRecipe(app.barista, (await takeInLot(app.barista)).id),
    );
    const read = (key: string) =>
      app.barista
        .post(`/api/brews/${brew.id}/readings`)
        .set(REQUEST_KEY_HEADER, key)
        .send({ tdsPercent: 1.34 })
        .expect(201);
    const key = randomUUID();
    await read(key);
    expect(((await read(key)).body as BrewView).readings).toHaveLength(1);
    expect(((await read(randomUUID())).body as BrewView).readings).toHaveLength(2);
    const kettle = { name: `Kettle ${key}`, stepC: 1, hasScale: false };
    const add = () =>
      app.barista
        .post('/api/kit/kettles')
        .set(REQUEST_KEY_HEADER, randomUUIDFor('kettle'))
        .send(kettle)
        .expect(201);
    const before = ((await add()).body as KitView).kettles.length;
    expect(((await add()).body as KitView).kettles).toHaveLength(before);
  });

  it('makes one person, one token and one address, and tells anew the secret that got lost', async () => {
    const make = async <T>(path: string, body: object): Promise<[T, T]> => {
      const key = randomUUID();
      const send = async () =>
        (await app.lead.post(`/api/${path}`).set(REQUEST_KEY_HEADER, key).send(body).expect(201)).body as T;
      return [await send(), await send()];
    };
    const opens = (path: string, header: Record<string, string>) =>
      app.visitor.get(`/api/${path}`).set(header);
    const [lost, invited] = await make<InvitedView>('people', { name: 'Invited once', role: 'barista' });
    expect(invited.id).toBe(lost.id);
    await opens(lost.path.replace('/invited/', 'invitations/'), {}).expect(404);
    await opens(invited.path.replace('/invited/', 'invitations/'), {}).expect(200);

    const endsOn = new Date(Date.now() + 86_400_000).toISOString().slice(0, 10);
    const [before, token] = await make<NewTokenView>('tokens', { name: 'once', right: 'read', endsOn });
    expect(token.id).toBe(before.id);
    await opens('lots', { authorization: `Bearer ${before.token}` }).expect(401);
    await opens('lots', { authorization: `Bearer ${token.token}` }).expect(200);

    const hook = { name: 'once', url: 'https://elsewhere.example/told', events: ['published'] };
    const [first, second] = await make<NewWebhookView>('webhooks', hook);
    expect(second).toEqual(first);
  });

  it('leaves nothing of a key whose request was refused, and names a key that is none', async () => {
    const key = randomUUID();
    const send = (lot: object, used: string = key) =>
      app.barista.post('/api/lots').set(REQUEST_KEY_HEADER, used).send(lot);
    await send({ ...SMALLEST_LOT, elevationFromM: 1900, elevationToM: 1700 }).expect(422);
    await send(SMALLEST_LOT).expect(201);
    const refused = await send(SMALLEST_LOT, 'my-key').expect(422);
    expect(problemOf(refused).errors).toMatchObject([{ field: REQUEST_KEY_HEADER }]);
  });

  it('is forgotten after a week', async () => {
    const key = randomUUID();
    await app.barista.post('/api/lots').set(REQUEST_KEY_HEADER, key).send(SMALLEST_LOT).expect(201);
    await RequestKeyModel.sequelize?.query(
      'UPDATE request_keys SET created_at = created_at - INTERVAL 8 DAY WHERE client_key = :key',
      { replacements: { key } },
    );
    await app.restart();
    expect(await RequestKeyModel.findByPk(key)).toBeNull();
  });
});

/** One key for one thing within these tests. */
const keys = new Map<string, string>();
function randomUUIDFor(what: string): string {
  const key = keys.get(what) ?? randomUUID();
  keys.set(what, key);
  return key;
}

describe('what a lab’s page did not send', () => {
  const post = () => app.barista.post(`/api/lots`);

  it.each([
    [
      'from another site',
      (sent: request.Test) => sent.set('Origin', 'https://elsewhere.example').send(SMALLEST_LOT),
    ],
    ['a page without an origin', (sent: request.Test) => sent.set('Origin', 'null').send(SMALLEST_LOT)],
    ['a form', (sent: request.Test) => sent.type('form').send('name=x')],
    [
      'a form of plain text',
      (sent: request.Test) => sent.set('content-type', 'text/plain').send('{"name":"x"}'),
    ],
  ])('is refused: %s', async (_, send) => {
    const response = await send(post());
    expect([response.status, problemOf(response).type]).toEqual([403, '/problems/not-allowed']);
  });

  it('is taken from a page of its own, and from a program', async () => {
    const { host } = new URL(app.url);
    await post().set('Host', host).set('Origin', app.url).send(SMALLEST_LOT).expect(201);
    await post().send(SMALLEST_LOT).expect(201);
  });
});

describe('a request that cannot be', () => {
  it('is nested deeper than any, in a body or in a field of one', async () => {
    const deep = '['.repeat(100_000) + ']'.repeat(100_000);
    for (const body of [deep, `{"name":${deep}}`]) {
      const response = await app.barista.post('/api/lots').set('content-type', 'application/json').send(body);
      expect([response.status, problemOf(response).type]).toEqual([400, '/problems/not-readable']);
    }
  });

  it('has a list for an object', async () => {
    const recipe = await startRecipe(app.barista, (await takeInLot(app.barista)).id);
    const response = await app.barista
      .post(`/api/recipes/${recipe.id}/versions`)
      .send({ basedOn: 1, plan: [], note: '' })
      .expect(422);
    expect(problemOf(response).errors).toMatchObject([{ field: 'plan' }]);
  });

  it('mixes a water past all measure, or has a mix for a water by analysis', async () => {
    const concentrate = { name: 'Strong', hardnessPerG: 5000, alkalinityPerG: 0, gPerL: 50 };
    const mix = {
      bottleL: 1,
      base: { hardnessMgPerL: 0, alkalinityMgPerL: 0 },
      concentrates: [concentrate, concentrate],
    };
    const water = { name: 'Mixed', hardnessMgPerL: 0, alkalinityMgPerL: 0, mineralsMgPerL: 0, mix };
    const overdosed = await app.barista
      .post('/api/kit/waters')
      .send({ ...water, origin: 'mixed' })
      .expect(422);
    expect(problemOf(overdosed).errors).toMatchObject([
      { field: 'mix.concentrates', allowed: 'up to 1000 mg/L' },
    ]);
    const both = await app.barista
      .post('/api/kit/waters')
      .send({ ...water, origin: 'analysis' })
      .expect(422);
    expect(problemOf(both).errors).toMatchObject([{ field: 'mix' }]);
  });

  it.each([
    ['a range past the end', '/assets/app.js', { range: 'bytes=999999-' }],
    ['a condition that is not met', '/assets/app.js', { 'if-match': '"never"' }],
    ['a file that is none', '/assets/none.js', {}],
    ['a folder', '/assets/', {}],
    ['a way out', '/assets/..%2f..%2fpackage.json', {}],
    ['half an escape', '/%E0%A4%A', {}],
    ['a range of the page', '/lots/3', { range: 'bytes=999999-' }],
  ])('asks for a file by %s', async (_, path, headers) => {
    const { status } = await app.visitor.get(path).set(headers);
    expect(status).toBeGreaterThanOrEqual(200);
    expect(status).toBeLessThan(500);
  });
});

describe('a connection between two requests', () => {
  it('is kept for longer than a page or a proxy rests, so that none goes out as the server hangs up', async () => {
    const { headers } = await app.visitor.get('/api/health').set('connection', 'keep-alive');
    const [, keptS = '0'] = /timeout=(\d+)/.exec(String(headers['keep-alive'])) ?? [];
    // What common proxies keep an idle connection for at most: 60 s (from memory).
    expect(Number(keptS)).toBeGreaterThan(60);
  });
});

describe('stages', () => {
  it('are computed afresh when the server starts', async () => {
    const lot = await takeInLot(app.barista);
    await LotModel.update({ stage: 'published', brewCount: 9 }, { where: { id: lot.id } });
    await app.restart();
    const again = (await app.barista.get(`/api/lots/${lot.id}`)).body as { stage: string };
    expect(again.stage).toBe('arrived');
  });
});

describe('a database that is down', () => {
  it('keeps nobody from opening the application, and is told as what it is', async () => {
    const { database } = app.configuration;
    const cookie = cookieOf(app.barista);
    const without = await createApplication({
      ...app.configuration,
      database: { ...database, socketPath: join(webRoot, 'no.sock') },
    });
    await without.init();
    try {
      const visitor = request(without.getHttpServer());
      expect((await visitor.get('/lots').expect(200)).text).toContain('<title>Vendu</title>');
      await visitor.get('/assets/app.js').expect(200);
      for (const path of ['/api/session', '/api/lots', '/api/published', '/api/health']) {
        const response = await visitor.get(path).set('Cookie', cookie);
        expect([path, response.status, problemOf(response).type]).toEqual([
          path,
          503,
          '/problems/unavailable',
        ]);
        expect(response.headers['retry-after']).toBe('2');
      }
    } finally {
      await without.close();
    }
    // Models are bound to the newest connection of the process.
    await app.restart();
  });
});
