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

  it('slows down after too many attempts', async () => {
    // Three attempts are the sign-ins of the test's own people.
    app = await startTestApplication({ signInsPerMinute: 5 });
    const attempt = async () =>
      (await app.visitor.post('/api/session').send({ email: 'a@b.example', password: 'x' })).status;
    expect([await attempt(), await attempt(), await attempt()]).toEqual([401, 401, 429]);
  });
});
