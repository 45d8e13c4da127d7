import { TOTP } from 'otpauth';
import request from 'supertest';
import { afterAll, beforeAll, beforeEach, describe, expect, it, vi } from 'vitest';
import type { InvitedView, MemberView, RecoveryCodesView, SecondFactorBegunView } from '@vendu/contract';
import { DEMO_ACCOUNTS } from '../src/people/demo-accounts.js';
import { startTestApplication, type TestApplication } from './support/application.js';
import { standInMailServer } from './support/mail-server.js';

const FROM = { from: 'lab@ninthmole.example', labAddress: 'https://lab.ninthmole.example' };
const [, BARISTA, SECOND] = DEMO_ACCOUNTS;
const { email, password } = BARISTA!;
const FIREFOX = 'Mozilla/5.0 (X11; Linux x86_64; rv:140.0) Gecko/20100101 Firefox/140.0';

let post: Awaited<ReturnType<typeof standInMailServer>>;
let app: TestApplication;
beforeAll(async () => {
  post = await standInMailServer();
  app = await startTestApplication({ mail: { server: post.address, ...FROM } });
  // Of the sign-ins of the test's own people.
  await lettersTo(email, 1);
});
beforeEach(() => {
  post.letters.length = 0;
});
afterAll(async () => {
  await app.close();
});

/** As a reader of mail puts its lines together again. */
const bodiesTo = (address: string) =>
  post.letters
    .filter(({ to }) => to === address)
    .map(({ body }) => body.replaceAll('=\r\n', '').replaceAll('=3D', '='));
const lettersTo = (address: string, count: number) =>
  vi.waitFor(
    () => {
      const bodies = bodiesTo(address);
      expect(bodies).toHaveLength(count);
      return bodies;
    },
    { timeout: 100_000, interval: 50 },
  );
const subjectIn = (body: string) => /^Subject: (.*)$/m.exec(body)?.[1]?.trim();

/** A device, known by what it keeps. */
const deviceOf = () => request.agent(app.url);
const signIn = (
  device: ReturnType<typeof deviceOf>,
  account: { email: string; password: string },
  code = '',
) =>
  device
    .post('/api/session')
    .set('user-agent', FIREFOX)
    .send({ email: account.email, password: account.password, code });

describe('a sign-in', () => {
  it('on a device where somebody has not been in before is written to him, and only the first time', async () => {
    const device = deviceOf();
    await signIn(device, BARISTA!).expect(200);
    const [letter] = await lettersTo(email, 1);
    expect(subjectIn(letter!)).toBe('A new sign-in to Vendu');
    expect(letter).toContain('a device where you have not been in before: Firefox on Linux');
    expect(letter).toContain('https://lab.ninthmole.example/people');
    await device.delete('/api/session').expect(200);
    await signIn(device, BARISTA!).expect(200);
    // What comes after it has come: so had one of the second time.
    await signIn(deviceOf(), BARISTA!).expect(200);
    await lettersTo(email, 2);
  });

  it('on a tablet that two share is known for both', async () => {
    const tablet = deviceOf();
    for (let time = 0; time < 3; time++) {
      for (const account of [BARISTA!, SECOND!]) {
        await signIn(tablet, account).expect(200);
        await tablet.delete('/api/session').expect(200);
      }
    }
    await signIn(deviceOf(), SECOND!).expect(200);
    await lettersTo(SECOND!.email, 2);
    await lettersTo(email, 1);
  });

  it('with a cookie that a device made up is one on a new device', async () => {
    await request(app.url)
      .post('/api/session')
      .set('cookie', `vendu.device=${'A'.repeat(43)}.${'é'.repeat(43)}`)
      .send({ email, password })
      .expect(200);
    await lettersTo(email, 1);
  });
});

it('a password, a code and what a lost phone is answered with are written about when they change', async () => {
  const device = deviceOf();
  const changed = 'a pier in the fog';
  await signIn(device, SECOND!).expect(200);
  await device.put('/api/password').send({ present: SECOND!.password, next: changed }).expect(204);
  const { secret } = (await device.post('/api/second-factor').send({ present: changed }).expect(200))
    .body as SecondFactorBegunView;
  const nextCode = (ahead: number) =>
    new TOTP({ secret }).generate({ timestamp: Date.now() + ahead * 30_000 });
  const { codes } = (
    await device
      .put('/api/second-factor')
      .send({ code: nextCode(0) })
      .expect(200)
  ).body as RecoveryCodesView;
  await signIn(device, { ...SECOND!, password: changed }, codes[0]).expect(200);
  await device
    .post('/api/second-factor/end')
    .send({ code: nextCode(1) })
    .expect(204);
  const letters = await lettersTo(SECOND!.email, 5);
  expect(new Set(letters.map(subjectIn))).toEqual(
    new Set([
      'A code is asked for at sign-in',
      'A new sign-in to Vendu',
      'A recovery code was used',
      'No code is asked for at sign-in any more',
      'Your password was changed',
    ]),
  );
  expect(letters.join()).toContain('9 are left');
});

it('another way in that was taken is written to where somebody was written before', async () => {
  const members = (await app.lead.get('/api/people').expect(200)).body as MemberView[];
  const { id, name } = members.find((each) => each.email === email)!;
  const { path } = (await app.lead.post(`/api/people/${id}/invitation`).expect(201)).body as InvitedView;
  await app.visitor
    .put(`/api${path.replace('invited', 'invitations')}`)
    .send({ name, email: 'elsewhere@ninthmole.example', password: 'a pier in the fog' })
    .expect(204);
  const letters = await lettersTo(email, 2);
  expect(new Set(letters.map(subjectIn))).toEqual(
    new Set(['Another way into Vendu', 'Another way into Vendu was taken']),
  );
  expect(bodiesTo('elsewhere@ninthmole.example')).toEqual([]);
});

it('ten sign-ins a day are written about, and whatever is changed after them', async () => {
  const { email: to, password: known } = DEMO_ACCOUNTS[0]!;
  for (let time = 0; time < 12; time++) await signIn(deviceOf(), { email: to, password: known }).expect(200);
  // One went at the start.
  await lettersTo(to, 9);
  await app.lead.put('/api/password').send({ present: known, next: 'a pier in the fog' }).expect(204);
  const letters = await lettersTo(to, 10);
  expect(letters.map(subjectIn).at(-1)).toBe('Your password was changed');
});

it('a mail server that is gone keeps nobody out', async () => {
  await post.close();
  await signIn(deviceOf(), DEMO_ACCOUNTS[4]!).expect(200);
});
