import { TOTP } from 'otpauth';
import { afterAll, beforeAll, expect, it } from 'vitest';
import type { CodeRuleView, EditView, SecondFactorBegunView, SessionView } from '@vendu/contract';
import { DEMO_ACCOUNTS } from '../src/people/demo-accounts.js';
import { startTestApplication, type TestApplication } from './support/application.js';
import { administer } from './support/database.js';

const DAY_MS = 24 * 3_600_000;

let app: TestApplication;
beforeAll(async () => {
  app = await startTestApplication();
});
afterAll(() => app.close());

type Agent = TestApplication['lead'];
const ruleOf = async () => (await app.lead.get('/api/code-rule').expect(200)).body as CodeRuleView;
const dueOf = async (agent: Agent) =>
  ((await agent.get('/api/session').expect(200)).body as SessionView).person?.codeDue ?? null;
const timePasses = () =>
  administer(
    app.configuration,
    `UPDATE ${app.configuration.database.name}.code_rules SET asked_from = NOW(3) - INTERVAL 1 MINUTE`,
  );

async function setUp(agent: Agent, at: number): Promise<string> {
  const begun = await agent
    .post('/api/second-factor')
    .send({ present: DEMO_ACCOUNTS[at]!.password })
    .expect(200);
  const { secret } = begun.body as SecondFactorBegunView;
  await agent
    .put('/api/second-factor')
    .send({ code: new TOTP({ secret }).generate() })
    .expect(200);
  return secret;
}

it('nobody is asked for one until a lead or an admin who has one says so', async () => {
  const rule = await ruleOf();
  expect(rule).toMatchObject({ askedOf: 'nobody', askedFrom: null });
  await app.barista.get('/api/code-rule').expect(403);
  await app.barista.put('/api/code-rule').send({ askedOf: 'makers', revision: 0 }).expect(403);
  const refused = await app.lead
    .put('/api/code-rule')
    .send({ ...rule, askedOf: 'leads' })
    .expect(422);
  expect(refused.body).toMatchObject({ errors: [{ field: 'askedFrom' }] });
  await app.lead.put('/api/code-rule').send({ askedOf: 'leads', revision: rule.revision }).expect(409);
  expect(await ruleOf()).toEqual(rule);
});

it('whoever is asked has a day for it, and is then asked before anything else', async () => {
  await setUp(app.lead, 0);
  const { revision } = await ruleOf();
  const before = Date.now();
  const asked = (await app.lead.put('/api/code-rule').send({ askedOf: 'makers', revision }).expect(200))
    .body as CodeRuleView;
  await app.lead.put('/api/code-rule').send({ askedOf: 'nobody', revision }).expect(409);
  const from = Date.parse(asked.askedFrom ?? '');
  expect(from - before).toBeGreaterThanOrEqual(DAY_MS);
  expect(from - before).toBeLessThan(DAY_MS + 60_000);
  expect(await dueOf(app.lead)).toBeNull();
  expect(await dueOf(app.barista)).toEqual({ from: asked.askedFrom, isNow: false });
  await app.barista.get('/api/lots').expect(200);

  await timePasses();
  expect(await dueOf(app.barista)).toMatchObject({ isNow: true });
  const refused = await app.barista.get('/api/lots').expect(401);
  expect(refused.body).toMatchObject({ type: '/problems/code-due', title: 'Set up a code first' });
  await app.lead.get('/api/lots').expect(200);

  const secret = await setUp(app.barista, 1);
  expect(await dueOf(app.barista)).toBeNull();
  await app.barista.get('/api/lots').expect(200);

  // Another phone: ended, and asked for again at once.
  const next = new TOTP({ secret }).generate({ timestamp: Date.now() + 30_000 });
  await app.barista.post('/api/second-factor/end').send({ code: next }).expect(204);
  await app.barista.get('/api/lots').expect(401);
});

it('asking fewer gives nobody another day, and whoever is asked no more is let in', async () => {
  const { revision, askedFrom } = await ruleOf();
  const fewer = (await app.lead.put('/api/code-rule').send({ askedOf: 'leads', revision }).expect(200))
    .body as CodeRuleView;
  expect(fewer.askedFrom).toBe(askedFrom);
  await app.barista.get('/api/lots').expect(200);
  const none = (
    await app.lead.put('/api/code-rule').send({ askedOf: 'nobody', revision: fewer.revision }).expect(200)
  ).body as CodeRuleView;
  expect(none.askedFrom).toBeNull();
});

it('stands among what was changed of people', async () => {
  const edits = (await app.lead.get('/api/people/edits').expect(200)).body as EditView[];
  const ofRule = edits.filter(({ what }) => what === 'code_rules').map(({ fields }) => fields);
  expect(ofRule).toEqual([
    [{ field: 'askedOf', from: 'leads', to: 'nobody' }],
    [{ field: 'askedOf', from: 'makers', to: 'leads' }],
    [{ field: 'askedOf', from: 'nobody', to: 'makers' }],
  ]);
});
