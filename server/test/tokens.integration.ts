import { randomUUID } from 'node:crypto';
import { addDays, formatISO } from 'date-fns';
import request from 'supertest';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { NewTokenView, Problem, TokenView } from '@vendu/contract';
import { TokenModel } from '../src/tokens/token.model.js';
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

const inDays = (days: number) => formatISO(addDays(new Date(), days), { representation: 'date' });
type Agent = TestApplication['barista'];
const make = async (agent: Agent, changes: object = {}) =>
  (
    await agent
      .post('/api/tokens')
      .send({ name: 'backup', right: 'read', endsOn: inDays(30), ...changes })
      .expect(201)
  ).body as NewTokenView;

/** A program that shows a token and has no session. */
const program = (token: string) => ({
  get: (path: string) => request(app.url).get(path).set('Authorization', `Bearer ${token}`),
  put: (path: string, body: object = {}) =>
    request(app.url).put(path).set('Authorization', `Bearer ${token}`).send(body),
  post: (path: string, body: object = {}) =>
    request(app.url).post(path).set('Authorization', `Bearer ${token}`).send(body),
  delete: (path: string) => request(app.url).delete(path).set('Authorization', `Bearer ${token}`),
});

describe('a token that may read', () => {
  it('reads as its person, writes nothing, and says when it was used', async () => {
    const { token, id } = await make(app.barista);
    await program(token).get('/api/lots').expect(200);
    await program(token).get('/api/export/lab.zip').expect(403);
    for (const [answer, what] of [
      [program(token).post('/api/lots', { name: 'From a program' }), 'post'],
      [program(token).put(`/api/brews/by-key/${randomUUID()}`), 'put'],
      [program(token).delete(`/api/tokens/${id}/ended`), 'delete'],
      [program(token).post('/api/tokens', { name: 'more', right: 'record', endsOn: inDays(3) }), 'tokens'],
    ] as const) {
      const { status, text } = await answer;
      expect([what, status, (JSON.parse(text) as Problem).detail]).toEqual([
        what,
        403,
        'This token may read and nothing else.',
      ]);
    }
    const [seen] = (await app.barista.get('/api/tokens').expect(200)).body as TokenView[];
    expect(seen).toMatchObject({ id, isOver: false, lastUsedAt: expect.any(String) as unknown });
    expect(JSON.stringify(seen)).not.toContain(token);
  });

  it('of a lead fetches the whole lab, for a backup at night', async () => {
    const { token } = await make(app.lead);
    await program(token).get('/api/export/lab.zip').expect(200).expect('Content-Type', 'application/zip');
  });
});

describe('a token that may record', () => {
  it('stores a brew as its person, and neither lots nor recipes', async () => {
    const { token } = await make(app.barista, { right: 'record' });
    const recipe = await startRecipe(
      app.barista,
      (await takeInLot(app.barista, { name: 'Told by a scale' })).id,
    );
    await program(token).put(`/api/brews/by-key/${randomUUID()}`, brewOf(recipe)).expect(200);
    await program(token).post('/api/lots', { name: 'No' }).expect(403);
    await program(token).post(`/api/lots/${recipe.lot.id}/recipes`).expect(403);
    // Nor by an address that only looks like it.
    await program(token).post('/api/lots?/api/brews/').expect(403);
  });
});

describe('a token that is over', () => {
  it('opens nothing once it was ended, and again when that is taken back', async () => {
    const { token, id } = await make(app.barista);
    await app.barista.put(`/api/tokens/${id}/ended`).expect(200);
    await program(token).get('/api/lots').expect(401);
    await app.barista.delete(`/api/tokens/${id}/ended`).expect(200);
    await program(token).get('/api/lots').expect(200);
  });

  it('opens nothing after its last day, nor one that never was', async () => {
    const { token, id } = await make(app.barista);
    await TokenModel.update({ endsOn: inDays(-1) }, { where: { id } });
    await program(token).get('/api/lots').expect(401);
    await program('vendu_nobody').get('/api/lots').expect(401);
  });
});

describe('tokens', () => {
  it('are seen and ended by their own person only', async () => {
    const { id } = await make(app.barista);
    const others = (await app.secondBarista.get('/api/tokens').expect(200)).body as TokenView[];
    expect(others).toEqual([]);
    await app.secondBarista.put(`/api/tokens/${id}/ended`).expect(404);
  });

  it('have a last day that is not past and not for ever', async () => {
    for (const endsOn of [inDays(-2), inDays(400), 'soon']) {
      const { text } = await app.barista
        .post('/api/tokens')
        .send({ name: 'x', right: 'read', endsOn })
        .expect(422);
      expect((JSON.parse(text) as Problem).errors).toMatchObject([{ field: 'endsOn' }]);
    }
    await app.barista
      .post('/api/tokens')
      .send({ name: 'x', right: 'all', endsOn: inDays(3) })
      .expect(422);
  });
});
