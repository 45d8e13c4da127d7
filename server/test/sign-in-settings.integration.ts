import { afterEach, describe, expect, it } from 'vitest';
import type { SessionView } from '@vendu/contract';
import { DEMO_ACCOUNTS } from '../src/people/demo-accounts.js';
import { cookieOf, startTestApplication, type TestApplication } from './support/application.js';

// One application after the other: models are bound to the newest connection of the process.
let app: TestApplication;
afterEach(() => app.close());

describe('the sign-in page', () => {
  it.each([
    [true, DEMO_ACCOUNTS.length],
    [false, 0],
  ])('offers the invented accounts in demo mode only (demo: %s)', async (isDemo, count) => {
    app = await startTestApplication({ isDemo });
    const session = (await app.visitor.get('/api/session')).body as SessionView;
    expect(session.demoAccounts).toHaveLength(count);
  });

  it('lets the invented people in in demo mode only, and ends the sessions they had', async () => {
    app = await startTestApplication();
    const { barista } = app;
    await barista.get('/api/lots').expect(200);
    app.configuration.isDemo = false;
    await app.restart();
    const { email, password } = DEMO_ACCOUNTS[1]!;
    await app.visitor.post('/api/session').send({ email, password }).expect(401);
    const cookie = cookieOf(barista);
    await app.visitor.get('/api/lots').set('Cookie', cookie).expect(401);
    expect(
      ((await app.visitor.get('/api/session').set('Cookie', cookie)).body as SessionView).person,
    ).toBeNull();
  });

  it('behind a proxy counts whom it asks for, and gives a cookie that goes by https alone', async () => {
    app = await startTestApplication({ proxies: ['loopback'], signInsPerMinute: 5 });
    const attempt = async (from: string) =>
      (
        await app.visitor
          .post('/api/session')
          .set('x-forwarded-for', from)
          .send({ email: 'a@b.example', password: 'x' })
      ).status;
    for (let made = 0; made < 5; made++) expect(await attempt('10.0.0.7')).toBe(401);
    expect(await attempt('10.0.0.7')).toBe(429);
    // Who sits elsewhere is not held up by it.
    expect(await attempt('10.0.0.8')).toBe(401);
    const { email, password } = DEMO_ACCOUNTS[1]!;
    const signIn = (by: string) =>
      app.visitor
        .post('/api/session')
        .set('x-forwarded-for', '10.0.0.9')
        .set('x-forwarded-proto', by)
        .send({ email, password })
        .expect(200);
    expect((await signIn('https')).get('set-cookie')?.[0]).toMatch(/; Secure/);
    expect((await signIn('http')).get('set-cookie')?.[0]).not.toMatch(/; Secure/);
  });

  it('without one believes nobody who says that he asks for another', async () => {
    app = await startTestApplication({ signInsPerMinute: 5 });
    const attempt = async (from: string) =>
      (
        await app.visitor
          .post('/api/session')
          .set('x-forwarded-for', from)
          .set('x-forwarded-proto', 'https')
          .send({ email: 'a@b.example', password: 'x' })
      ).status;
    // Three attempts are the sign-ins of the test's own people.
    expect([await attempt('10.0.0.1'), await attempt('10.0.0.2')]).toEqual([401, 401]);
    expect(await attempt('10.0.0.3')).toBe(429);
  });

  it('of a lab that listens to others is reached by https alone', async () => {
    app = await startTestApplication({ listenOn: '0.0.0.0', proxies: ['loopback'] });
    const ask = (by: string) =>
      app.visitor.get('/api/health').set('x-forwarded-for', '10.0.0.7').set('x-forwarded-proto', by);
    await ask('http').expect(403);
    await ask('https').expect(200);
    await app.visitor.get('/api/health').expect(200);
  });

  it('slows down after too many attempts', async () => {
    // Three attempts are the sign-ins of the test's own people.
    app = await startTestApplication({ signInsPerMinute: 5 });
    const attempt = async () =>
      (await app.visitor.post('/api/session').send({ email: 'a@b.example', password: 'x' })).status;
    expect([await attempt(), await attempt(), await attempt()]).toEqual([401, 401, 429]);
  });
});
