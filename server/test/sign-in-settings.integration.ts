import request from 'supertest';
import { afterEach, describe, expect, it } from 'vitest';
import type { Problem, SessionView } from '@vendu/contract';
import { DEMO_ACCOUNTS } from '../src/people/demo-accounts.js';
import { connectTo } from './support/database.js';
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
    const cookies = async (by: string) => (await signIn(by)).headers['set-cookie'] as unknown as string[];
    const byHttps = await cookies('https');
    expect(byHttps.map((cookie) => cookie.includes('; Secure'))).toEqual([true, true]);
    // Names by which a browser holds them to this host, and to https.
    expect(byHttps.map((cookie) => cookie.split('=')[0])).toEqual([
      '__Secure-vendu.device',
      '__Host-vendu.sid',
    ]);
    const session = byHttps.at(-1)!.split(';')[0]!;
    const asks = (by: string) =>
      request(app.url)
        .get('/api/lots')
        .set('x-forwarded-for', '10.0.0.9')
        .set('x-forwarded-proto', by)
        .set('cookie', session);
    await asks('https').expect(200);
    await asks('http').expect(401);
    expect((await cookies('http')).join()).not.toContain('; Secure');
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

  it('holds up whoever guesses at one account from many addresses, and lets its owner in where he has been before', async () => {
    app = await startTestApplication({ proxies: ['loopback'] });
    const { email, password } = DEMO_ACCOUNTS[1]!;
    // Each without the cookies of the one before.
    const attempt = (from: number, tried: string, cookie = '') =>
      request(app.url)
        .post('/api/session')
        .set('x-forwarded-for', `10.0.${from}.7`)
        .set('cookie', cookie)
        .send({ email: email.toUpperCase(), password: tried });
    const came = (await attempt(200, password).expect(200)).headers['set-cookie'] as unknown as string[];
    const device = came.find((cookie) => cookie.startsWith('vendu.device='))?.split(';')[0] ?? '';
    expect(device).not.toBe('');
    // All at one moment: no more of them are looked at than of one after the other.
    const guesses = await Promise.all(Array.from({ length: 25 }, (_, from) => attempt(from, 'guess')));
    expect(guesses.filter(({ status }) => status === 401)).toHaveLength(10);
    expect(guesses.filter(({ status }) => status === 429)).toHaveLength(15);
    const held = await attempt(111, 'guess').expect(429);
    expect((held.body as Problem).detail).toMatch(/Too many wrong passwords for this account\. Wait 15 min/);
    expect(Number(held.get('retry-after'))).toBeGreaterThan(800);
    // The right one is not looked at either: it would tell a guesser that it is right.
    await attempt(12, password).expect(429);
    // A device of somebody else's, and one that is made up, are of no help.
    await attempt(13, password, `${device}x`).expect(429);
    await attempt(14, password, device).expect(200);
    // Nor can a device that is known guess for ever.
    for (let time = 0; time < 10; time++) await attempt(15, 'guess', device).expect(401);
    await attempt(15, 'guess', device).expect(429);
    // Others are not held up.
    const other = DEMO_ACCOUNTS[0]!;
    await app.visitor
      .post('/api/session')
      .set('x-forwarded-for', '10.0.16.7')
      .send({ email: other.email, password: other.password })
      .expect(200);
  });

  it('goes on counting what was tried when it is started anew, as its other servers do', async () => {
    app = await startTestApplication({ signInsPerMinute: 14 });
    const { email } = DEMO_ACCOUNTS[1]!;
    const attempt = async (of: string) =>
      (await app.visitor.post('/api/session').send({ email: of, password: 'guess' })).status;
    // Three attempts are the sign-ins of the test's own people, before and after.
    for (let time = 0; time < 8; time++) expect(await attempt(email)).toBe(401);
    app.configuration.isDemo = false;
    await app.restart();
    for (let time = 0; time < 2; time++) expect(await attempt(email)).toBe(401);
    // Too many of this account, and then of this address.
    expect(await attempt(email)).toBe(429);
    expect(await attempt('a@b.example')).toBe(429);
    const connection = await connectTo(app.configuration);
    const rows: unknown[] = await connection.query('SELECT * FROM attempts');
    await connection.end();
    expect(rows).not.toEqual([]);
    expect(JSON.stringify(rows)).not.toContain(email);
  });

  it('of a lab that listens to others is reached by https alone', async () => {
    app = await startTestApplication({ reachedOn: '0.0.0.0', proxies: ['loopback'] });
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
