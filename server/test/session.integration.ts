import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Problem, SessionView } from '@vendu/contract';
import { DEMO_ACCOUNTS } from '../src/people/demo-accounts.js';
import { SessionModel } from '../src/session/session.model.js';
import {
  sessionCookieIn,
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

describe('a visitor', () => {
  it('sees health, the session and published recipes only', async () => {
    expect((await app.visitor.get('/api/health').expect(200)).body).toEqual({ status: 'ok' });
    await app.visitor.get('/api/session').expect(200);
    await app.visitor.get('/api/published').expect(200);
    for (const path of ['/api/lots', '/api/lots/1', '/api/recipes/1', '/api/brews/1', '/api/kit']) {
      const response = await app.visitor.get(path);
      expect([path, response.status, (response.body as Problem).type]).toEqual([
        path,
        401,
        '/problems/not-signed-in',
      ]);
    }
    await app.visitor.post('/api/lots').send({}).expect(401);
  });

  it('learns nothing of the lab from the public card', async () => {
    const response = await app.visitor.get('/api/published/umuseke-ridge-kittiwake-cone').expect(200);
    expect(Object.keys(response.body as object)).not.toEqual(
      expect.arrayContaining(['brews', 'stockG', 'reasons']),
    );
  });

  it('can read the OpenAPI document, with the ranges of the fields', async () => {
    const response = await app.visitor.get('/api/docs/json').expect(200);
    expect(response.body).toMatchObject({
      openapi: expect.stringMatching(/^3\./) as string,
      components: {
        schemas: { PlanDto: { properties: { doseG: { type: 'number', minimum: 5, maximum: 120 } } } },
      },
    });
  });
});

describe('large answers', () => {
  it('are compressed for those who take it so', async () => {
    const asked = (encoding: string) => app.visitor.get('/api/docs/json').set('Accept-Encoding', encoding);
    expect((await asked('gzip')).headers['content-encoding']).toBe('gzip');
    expect((await asked('identity')).headers['content-encoding']).toBeUndefined();
  });
});

describe('what a device keeps', () => {
  it('is nothing of people and of what opens doors, and of the rest only what it asks for again', async () => {
    const kept = async (path: string) => (await app.lead.get(path).expect(200)).headers['cache-control'];
    for (const path of [
      '/api/session',
      '/api/people',
      '/api/tokens',
      '/api/webhooks',
      '/api/calendar',
      '/api/second-factor',
    ]) {
      expect([path, await kept(path)]).toEqual([path, 'no-store']);
    }
    for (const path of ['/api/lots', '/api/brews/1', '/api/kit']) {
      expect([path, await kept(path)]).toEqual([path, 'private, no-cache']);
    }
    // Public things say for themselves how long they hold.
    expect((await app.visitor.get('/api/published').expect(200)).headers['cache-control']).not.toBe(
      'no-store',
    );
  });
});

describe('signing in', () => {
  it('gives an http-only cookie, a new one each time, and keeps no password', async () => {
    const { email, password } = DEMO_ACCOUNTS[1]!;
    const first = await app.visitor
      .post('/api/session')
      .send({ email: email.toUpperCase(), password })
      .expect(200);
    const cookie = String(first.headers['set-cookie']);
    expect(cookie).toMatch(/HttpOnly/);
    expect(cookie).toMatch(/SameSite=Lax/);
    const again = await app.visitor.post('/api/session').send({ email, password }).expect(200);
    const [one, other] = [first, again].map(({ headers }) => sessionCookieIn(headers['set-cookie']));
    expect(one).not.toBe('');
    expect(other).not.toBe(one);
    const rows = await SessionModel.findAll();
    expect(rows.map(({ data }) => data).join()).not.toContain(password);
    await app.visitor.delete('/api/session').expect(200);
    await app.visitor.get('/api/lots').expect(401);
  });

  it('tells a wrong password and an unknown e-mail apart to nobody', async () => {
    const wrong = await app.visitor
      .post('/api/session')
      .send({ email: DEMO_ACCOUNTS[0]!.email, password: 'x' });
    const unknown = await app.visitor
      .post('/api/session')
      .send({ email: 'nobody@ninthmole.example', password: 'x' });
    expect([wrong.status, unknown.status]).toEqual([401, 401]);
    expect((wrong.body as Problem).detail).toBe((unknown.body as Problem).detail);
  });

  it('ends when the session has expired', async () => {
    const { email, password } = DEMO_ACCOUNTS[2]!;
    await app.visitor.post('/api/session').send({ email, password }).expect(200);
    await SessionModel.update({ expiresAt: new Date(Date.now() - 1000) }, { where: {} });
    await app.visitor.get('/api/lots').expect(401);
    const response = await app.visitor.get('/api/session');
    expect((response.body as SessionView).person).toBeNull();
    await app.restart();
  });
});

describe('roles', () => {
  it('a barista accepts but neither signs off nor publishes', async () => {
    const recipe = await startRecipe(app.barista, (await takeInLot(app.barista)).id);
    const versionId = recipe.versions[0]!.id;
    await app.barista.put(`/api/recipe-versions/${versionId}/acceptance`).expect(200);
    for (const response of [
      await app.barista.put(`/api/recipe-versions/${versionId}/sign-off`),
      await app.barista.post('/api/publications').send({ recipeVersionId: versionId, introduction: '' }),
    ]) {
      expect(response.status).toBe(403);
      expect((response.body as Problem).type).toBe('/problems/not-allowed');
    }
  });

  it('sign-off wants an accepted version, publishing a signed-off one, and neither is pulled from under a public recipe', async () => {
    const recipe = await startRecipe(app.barista, (await takeInLot(app.barista)).id);
    const versionId = recipe.versions[0]!.id;
    const signOffPath = `/api/recipe-versions/${versionId}/sign-off`;
    const acceptance = `/api/recipe-versions/${versionId}/acceptance`;
    const publication = { recipeVersionId: versionId, introduction: '' };
    await app.lead.put(signOffPath).expect(409);
    await app.lead.post('/api/publications').send(publication).expect(409);
    await app.lead.put(acceptance).expect(200);
    await signOff(app.lead, versionId);
    await app.lead.delete(acceptance).expect(409);
    await app.lead.post('/api/publications').send(publication).expect(201);
    await app.lead.delete(signOffPath).expect(409);
  });
});
