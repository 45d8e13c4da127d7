import { TOTP } from 'otpauth';
import request from 'supertest';
import { afterAll, beforeAll, expect, it } from 'vitest';
import type {
  MemberView,
  Problem,
  RecoveryCodesView,
  SecondFactorBegunView,
  SecondFactorView,
} from '@vendu/contract';
import { DEMO_ACCOUNTS } from '../src/people/demo-accounts.js';
import { startTestApplication, type TestApplication } from './support/application.js';

const HALF_MINUTE_MS = 30_000;
const { email, password } = DEMO_ACCOUNTS[1]!;

let app: TestApplication;
let secret: string;
let codes: string[];
/** Half minutes after the last code: none is good twice, and the next is good already. */
let ahead = 0;
const nextCode = () => new TOTP({ secret }).generate({ timestamp: Date.now() + ahead++ * HALF_MINUTE_MS });
const signIn = (code?: string) =>
  request(app.url)
    .post('/api/session')
    .send({ email, password, ...(code === undefined ? {} : { code }) });
const read = async () => (await app.barista.get('/api/second-factor').expect(200)).body as SecondFactorView;

beforeAll(async () => {
  app = await startTestApplication();
});
afterAll(() => app.close());

it('nobody is asked for a code who has not shown that his app makes it', async () => {
  await app.barista.post('/api/second-factor').send({ present: 'another' }).expect(422);
  const begun = await app.barista.post('/api/second-factor').send({ present: password }).expect(200);
  ({ secret } = begun.body as SecondFactorBegunView);
  expect((begun.body as SecondFactorBegunView).picture).toMatch(/^data:image\/svg\+xml,%3Csvg/);
  await signIn().expect(200);
  const wrong = await app.barista.put('/api/second-factor').send({ code: '000 00' }).expect(422);
  expect((wrong.body as Problem).errors).toMatchObject([{ field: 'code' }]);
  expect(await read()).toEqual({ since: null, codesLeft: 0 });
});

it('once it is shown it is asked for besides the password, and who is in elsewhere by the password alone is out', async () => {
  const elsewhere = request.agent(app.url);
  await elsewhere.post('/api/session').send({ email, password }).expect(200);
  const code = nextCode();
  ({ codes } = (await app.barista.put('/api/second-factor').send({ code }).expect(200))
    .body as RecoveryCodesView);
  expect(codes).toHaveLength(10);
  await elsewhere.get('/api/lots').expect(401);
  await app.barista.get('/api/lots').expect(200);
  expect(await read()).toEqual({ since: expect.any(String) as string, codesLeft: 10 });

  const asked = await signIn().expect(401);
  expect(asked.body).toMatchObject({ type: '/problems/code-needed', errors: [] });
  // The code that was shown is used up.
  expect(((await signIn(code).expect(401)).body as Problem).errors).toMatchObject([{ field: 'code' }]);
  const next = nextCode();
  // Of two at once with one code one is let in.
  const both = await Promise.all([signIn(next), signIn(next)]);
  expect(both.map(({ status }) => status).toSorted((a, b) => a - b)).toEqual([200, 401]);
  // A wrong password is told as before, whatever code comes with it.
  const wrong = await request(app.url)
    .post('/api/session')
    .send({ email, password: 'x', code: next })
    .expect(401);
  expect(wrong.body).toMatchObject({ type: '/problems/wrong-sign-in' });
  const people = (await app.lead.get('/api/people').expect(200)).body as MemberView[];
  expect(people.filter(({ hasCode }) => hasCode).map((member) => member.email)).toEqual([email]);
});

it('a code for when the phone is lost is good once', async () => {
  await signIn(codes[0]!.toUpperCase()).expect(200);
  await signIn(codes[0]).expect(401);
  expect((await read()).codesLeft).toBe(9);
});

it('after ten wrong codes none is looked at for a while, and others are not held up', async () => {
  // The one used up above counts.
  for (let time = 0; time < 9; time++) await signIn('123456').expect(401);
  const held = await signIn(codes[1]).expect(429);
  expect((held.body as Problem).detail).toMatch(/Too many wrong codes\. Wait 15 min/);
  await request(app.url)
    .post('/api/session')
    .send({ email: DEMO_ACCOUNTS[0]!.email, password: DEMO_ACCOUNTS[0]!.password })
    .expect(200);
});

it('another way in from a lead asks for the password alone', async () => {
  const people = (await app.lead.get('/api/people').expect(200)).body as MemberView[];
  const { id, name } = people.find((person) => person.email === email)!;
  const { path } = (await app.lead.post(`/api/people/${id}/invitation`).expect(201)).body as { path: string };
  const told = { name, email, password: 'a-new-harbour-word' };
  await app.visitor
    .put(`/api/invitations/${path.split('/').at(-1)}`)
    .send(told)
    .expect(204);
  await request(app.url).post('/api/session').send({ email, password: told.password }).expect(200);
});

it('whoever has it ends it with a code, and with nothing else', async () => {
  const { lead } = app;
  const present = DEMO_ACCOUNTS[0]!.password;
  ({ secret } = (await lead.post('/api/second-factor').send({ present }).expect(200))
    .body as SecondFactorBegunView);
  ahead = 0;
  await lead.put('/api/second-factor').send({ code: nextCode() }).expect(200);
  await lead.post('/api/second-factor').send({ present }).expect(409);
  await lead.post('/api/second-factor/end').send({ code: '123 456' }).expect(422);
  await lead.post('/api/second-factor/end').send({ code: nextCode() }).expect(204);
  await request(app.url)
    .post('/api/session')
    .send({ email: DEMO_ACCOUNTS[0]!.email, password: present })
    .expect(200);
});
