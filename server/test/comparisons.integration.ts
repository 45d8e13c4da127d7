import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type TestAgent from 'supertest/lib/agent.js';
import { BLIND_METHODS, checkDesign, type BlindCup, type HousePosition } from '@vendu/core';
import type {
  BrewView,
  ComparisonListItem,
  ComparisonView,
  PlaceView,
  PouringView,
  Problem,
  RecipeView,
} from '@vendu/contract';
import { BlindAnswerModel } from '../src/comparisons/blind-answer.model.js';
import { BlindPlaceModel } from '../src/comparisons/blind-place.model.js';
import { BlindTestModel } from '../src/comparisons/blind-test.model.js';
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

/** A recipe of a lot of its own with a second version that is ground finer. */
async function twoVersions(facts: object = {}): Promise<RecipeView> {
  const recipe = await startRecipe(app.barista, (await takeInLot(app.barista, facts)).id);
  const [first] = recipe.versions;
  const body = { basedOn: 1, plan: { ...first!.plan, grindUm: first!.plan.grindUm - 80 }, note: 'finer' };
  return (await app.barista.post(`/api/recipes/${recipe.id}/versions`).send(body).expect(201))
    .body as RecipeView;
}

async function compare(over: object = {}, facts: object = {}) {
  const recipe = await twoVersions(facts);
  const versionIds = recipe.versions.map(({ id }) => id).reverse();
  const body = {
    question: 'Finer or not?',
    asks: ['grind'],
    versionIds,
    matchedBy: 'dial',
    rounds: 2,
    ...over,
  };
  const comparison = (await app.barista.post('/api/comparisons').send(body).expect(201))
    .body as ComparisonView;
  return { recipe, comparison };
}

const read = async (id: number) =>
  (await app.barista.get(`/api/comparisons/${id}`).expect(200)).body as ComparisonView;

async function brewFor(agent: TestAgent, recipe: RecipeView, versionId: number, armId: number | null) {
  const body = brewOf(recipe, { recipeVersionId: versionId, comparisonArmId: armId });
  return (await agent.put(`/api/brews/by-key/${randomUUID()}`).send(body).expect(200)).body as BrewView;
}

const TEST = {
  method: 'triangle',
  arms: [0, 1],
  stages: ['hot'],
  tasters: 6,
  asksFor: '',
  alphaPercent: 5,
  hours: 3,
};

async function serve(comparison: ComparisonView, over: object = {}) {
  const shown = (
    await app.barista
      .post(`/api/comparisons/${comparison.id}/blind-tests`)
      .send({ ...TEST, ...over })
      .expect(201)
  ).body as ComparisonView;
  const test = shown.tests.at(-1)!;
  const { sets } = (await app.barista.post(`/api/blind-tests/${test.id}/pouring`).expect(200))
    .body as PouringView;
  const phones = test.places.map(({ path, number }) => ({
    secret: path.replace('/blind/', ''),
    device: phoneKey(),
    cups: sets.find((set) => set.number === number)!.cups,
  }));
  return { test, phones };
}

/** What a phone is known by. */
const phoneKey = () => randomUUID().replaceAll('-', '');

type Phone = Awaited<ReturnType<typeof serve>>['phones'][number];

const take = ({ secret, device }: Phone) => app.visitor.put(`/api/blind/${secret}/taken`).send({ device });
const say = ({ secret, device }: Phone, answer: object, stage = 'hot') =>
  app.visitor.put(`/api/blind/${secret}/answers/${stage}`).send({ device, ...answer });

/** The code of the cup that is alone with its arm. */
const oddOf = (cups: readonly BlindCup[]) =>
  cups.find(({ arm }) => cups.filter((cup) => cup.arm === arm).length === 1)!.code;
const wrongOf = (cups: readonly BlindCup[]) => cups.find(({ code }) => code !== oddOf(cups))!.code;

describe('a comparison', () => {
  it('is made of versions, and shows them side by side', async () => {
    const { recipe, comparison } = await compare();
    expect(comparison).toMatchObject({ question: 'Finer or not?', rounds: 2, tests: [], phoneOrigin: null });
    expect(comparison.arms.map(({ versionNumber, recipeId }) => [versionNumber, recipeId])).toEqual([
      [1, recipe.id],
      [2, recipe.id],
    ]);
    expect(checkDesign(comparison)).toEqual([]);
    const comparisons = (await app.lead.get('/api/comparisons').expect(200)).body as ComparisonListItem[];
    expect(comparisons[0]).toMatchObject({ id: comparison.id, brews: 0, tests: [] });
  });

  it.each<[string, object, string]>([
    ['one arm', { versionIds: [1] }, 'versionIds'],
    ['a version twice', { versionIds: [1, 1] }, 'versionIds'],
    ['a version that is not there', { versionIds: [1, 999_999] }, 'versionIds'],
    ['no question', { question: ' ' }, 'question'],
    ['nothing asked about', { asks: [] }, 'asks'],
    ['something that is no axis', { asks: ['mood'] }, 'asks'],
    ['no rounds', { rounds: 0 }, 'rounds'],
  ])('with %s is refused, and says where', async (_, over, field) => {
    const body = {
      question: 'Which?',
      asks: ['grind'],
      versionIds: [1, 2],
      matchedBy: 'dial',
      rounds: 2,
      ...over,
    };
    const problem = (await app.barista.post('/api/comparisons').send(body).expect(422)).body as Problem;
    expect(problem.errors[0]?.field).toBe(field);
  });

  it('counts the brews that the bench made for its arms, and those that are added by hand', async () => {
    const { recipe, comparison } = await compare();
    const [first, second] = comparison.arms;
    const brew = await brewFor(app.barista, recipe, first!.recipeVersionId, first!.id);
    const older = await brewFor(app.barista, recipe, second!.recipeVersionId, null);
    const path = `/api/comparisons/${comparison.id}/arms/${second!.id}/brews`;
    await app.barista.put(`${path}/${older.id}`).expect(200);
    await app.barista.put(`${path}/${older.id}`).expect(200);
    expect((await read(comparison.id)).arms.map(({ brews }) => brews.map(({ id }) => id))).toEqual([
      [brew.id],
      [older.id],
    ]);
    await app.barista.put(`${path}/${brew.id}`).expect(409);
    await app.barista.delete(`${path}/${older.id}`).expect(200);
    expect((await read(comparison.id)).arms[1]?.brews).toEqual([]);
  });

  it('that is brewed for an arm of another version is stored, and counts for none', async () => {
    const { recipe, comparison } = await compare();
    const [first, second] = comparison.arms;
    const brew = await brewFor(app.barista, recipe, first!.recipeVersionId, second!.id);
    expect(brew.id).toBeGreaterThan(0);
    expect((await read(comparison.id)).arms.flatMap(({ brews }) => brews)).toEqual([]);
  });

  it('takes another version in place of an arm only as long as nothing rests on it', async () => {
    const { recipe, comparison } = await compare();
    const [first, second] = comparison.arms;
    const body = { basedOn: 2, plan: { ...second!.plan, grindUm: second!.plan.grindUm - 30 }, note: '' };
    const newer = (await app.barista.post(`/api/recipes/${recipe.id}/versions`).send(body).expect(201))
      .body as RecipeView;
    const recipeVersionId = newer.versions[0]!.id;
    const path = `/api/comparisons/${comparison.id}/arms`;
    await app.barista
      .put(`${path}/${first!.id}/version`)
      .send({ recipeVersionId: second!.recipeVersionId })
      .expect(422);
    await app.barista.put(`${path}/${second!.id}/version`).send({ recipeVersionId }).expect(200);
    expect((await read(comparison.id)).arms[1]?.versionNumber).toBe(3);
    await brewFor(app.barista, newer, recipeVersionId, second!.id);
    await app.barista
      .put(`${path}/${second!.id}/version`)
      .send({ recipeVersionId: second!.recipeVersionId })
      .expect(409);
  });

  it('changed by two people is not overwritten unseen', async () => {
    const { comparison } = await compare();
    const change = (question: string, status: number) =>
      app.lead
        .put(`/api/comparisons/${comparison.id}`)
        .send({ revision: comparison.revision, question, asks: ['grind'], matchedBy: 'yield', rounds: 1 })
        .expect(status);
    await change('Sweeter finer?', 200);
    await change('Another question?', 409);
    expect(await read(comparison.id)).toMatchObject({ question: 'Sweeter finer?', matchedBy: 'yield' });
  });
});

describe('a blind test', () => {
  it('keeps key, counts and answers closed until a lead opens it', async () => {
    const { comparison } = await compare();
    const { test, phones } = await serve(comparison);
    for (const phone of phones.slice(0, 5)) {
      await take(phone).expect(200);
      await say(phone, { chosen: oddOf(phone.cups), note: 'sharper' }).expect(200);
    }
    const closed = (await read(comparison.id)).tests[0]!;
    expect(closed).toMatchObject({ results: null, key: null, opened: null, pouredBy: ['Tamsin Ekelund'] });
    expect(JSON.stringify(closed)).not.toMatch(/sharper|"arm":|isRight/);
    expect(closed.places.map(({ answered }) => answered.length)).toEqual([1, 1, 1, 1, 1, 0]);
    await app.barista.put(`/api/blind-tests/${test.id}/opened`).expect(403);
    const opened = (
      (await app.lead.put(`/api/blind-tests/${test.id}/opened`).expect(200)).body as ComparisonView
    ).tests[0]!;
    expect(opened.results).toEqual([
      expect.objectContaining({
        stage: 'hot',
        answers: 5,
        isFound: true,
        pValue: expect.closeTo(1 / 243, 9) as number,
      }),
    ]);
    expect(opened.key?.[0]).toMatchObject({ number: 1, notes: [{ stage: 'hot', text: 'sharper' }] });
    const late = (await say(phones[5]!, { chosen: oddOf(phones[5]!.cups) }).expect(409)).body as Problem;
    expect(late.detail).toContain('too late');
  });

  it('stores each answer once, whatever is sent again, and tells who answers twice', async () => {
    const { comparison } = await compare();
    const { phones } = await serve(comparison);
    const [phone] = phones;
    await take(phone!).expect(200);
    const right = { chosen: oddOf(phone!.cups) };
    const answers = await Promise.all(Array.from({ length: 6 }, () => say(phone!, right)));
    expect(answers.map(({ status }) => status)).toEqual([200, 200, 200, 200, 200, 200]);
    const place = await BlindPlaceModel.findOne({ where: { secret: phone!.secret }, rejectOnEmpty: true });
    expect(await BlindAnswerModel.count({ where: { blindPlaceId: place.id } })).toBe(1);
    const twice = (await say(phone!, { chosen: wrongOf(phone!.cups) }).expect(409)).body as Problem;
    expect(twice.detail).toBe('You have answered hot already; the first answer stands.');
    expect((await read(comparison.id)).tests[0]?.places[0]?.answered).toEqual(['hot']);
  });

  it('gives a place to one phone, which finds it again', async () => {
    const { comparison } = await compare({}, { process: 'co-fermented', additions: 'passion fruit pulp' });
    const { phones } = await serve(comparison, { stages: ['hot', 'cool'] });
    const [phone] = phones;
    const place = (await take(phone!).expect(200)).body as PlaceView;
    expect(place).toMatchObject({
      number: 1,
      method: 'triangle',
      answered: [],
      additions: ['passion fruit pulp'],
    });
    expect(place.codes).toEqual(phone!.cups.map(({ code }) => code));
    expect(JSON.stringify(place)).not.toContain('arm');
    const other = (await take({ ...phone!, device: phoneKey() }).expect(409)).body as Problem;
    expect(other.detail).toContain('taken by another phone');
    await say({ ...phone!, device: phoneKey() }, { chosen: oddOf(phone!.cups) }).expect(409);
    await say(phone!, { chosen: oddOf(phone!.cups) }).expect(200);
    expect((await take(phone!).expect(200)).body).toMatchObject({ answered: ['hot'] });
    await app.visitor.put('/api/blind/nobodyisatthisaddress0/taken').send({ device: phoneKey() }).expect(404);
  });

  it.each<[string, object, string]>([
    ['nothing', {}, 'answer'],
    // Codes begin at 100: this one is on no table, whatever was drawn.
    ['a code that is not on the table', { chosen: '099' }, 'answer'],
    ['an answer to another question', { ranked: ['100'] }, 'answer'],
    ['a note that is too long', { chosen: '100', note: 'x'.repeat(501) }, 'note'],
  ])('refuses %s', async (_, answer, field) => {
    const { comparison } = await compare();
    const { phones } = await serve(comparison);
    await take(phones[0]!).expect(200);
    const problem = (await say(phones[0]!, answer).expect(422)).body as Problem;
    expect(problem.errors[0]?.field).toBe(field);
  });

  it('takes no answer after its time, or after it was ended', async () => {
    const { comparison } = await compare();
    const first = await serve(comparison);
    await BlindTestModel.update({ endsAt: new Date(Date.now() - 1000) }, { where: { id: first.test.id } });
    await say(first.phones[0]!, { chosen: oddOf(first.phones[0]!.cups) }).expect(409);
    const second = await serve(comparison);
    await app.barista.put(`/api/blind-tests/${second.test.id}/ended`).expect(200);
    await say(second.phones[0]!, { chosen: oddOf(second.phones[0]!.cups) }).expect(409);
    expect((await read(comparison.id)).tests.map(({ isOver }) => isOver)).toEqual([true, true]);
  });

  it('opened while others answer counts what was told to be stored, and nothing else (10 races)', async () => {
    for (let race = 0; race < 10; race++) {
      const { comparison } = await compare();
      const { test, phones } = await serve(comparison);
      const [opened, ...answers] = await Promise.all([
        app.lead.put(`/api/blind-tests/${test.id}/opened`),
        ...phones.map((phone) => say(phone, { chosen: oddOf(phone.cups) })),
      ]);
      const stored = answers.filter(({ status }) => status === 200).length;
      expect(answers.every(({ status }) => status === 200 || status === 409)).toBe(true);
      const result = (opened.body as ComparisonView).tests[0]?.results?.[0];
      expect(result?.answers ?? 0).toBe(stored);
    }
  });

  it('can be looked at early, which tells no count and costs something', async () => {
    const { comparison } = await compare();
    const { test, phones } = await serve(comparison, { tasters: 12 });
    const look = () => app.lead.post(`/api/blind-tests/${test.id}/looks`);
    await look().expect(409);
    for (const phone of phones.slice(0, 3)) await say(phone, { chosen: wrongOf(phone.cups) }).expect(200);
    const shown = (await look().expect(201)).body as ComparisonView;
    expect(shown.tests[0]?.looks).toEqual([expect.objectContaining({ answers: 3, isEnough: false })]);
    await look().expect(409);
    for (const phone of phones.slice(3)) await say(phone, { chosen: oddOf(phone.cups) }).expect(200);
    const enough = (await look().expect(201)).body as ComparisonView;
    expect(enough.tests[0]?.looks.at(-1)).toMatchObject({ answers: 12, isEnough: true });
    await app.barista.post(`/api/blind-tests/${test.id}/looks`).expect(403);
  });

  it.each(BLIND_METHODS)('of the kind %s goes from cups to an answer', async (method) => {
    const { comparison } = await threeArms();
    const arms = method === 'ranking' || method === 'scores' ? [0, 1, 2] : [0, 1];
    const { test, phones } = await serve(comparison, { method, arms, stages: ['hot', 'cool'], tasters: 4 });
    for (const phone of phones) {
      const codes = phone.cups.filter(({ isReference }) => !isReference).map(({ code }) => code);
      const answer =
        method === 'ranking'
          ? { ranked: codes }
          : method === 'scores'
            ? { scores: Object.fromEntries(codes.map((code, index) => [code, index + 4])) }
            : { chosen: codes[0] };
      await say(phone, answer).expect(200);
      await say(phone, answer, 'cool').expect(200);
    }
    const { tests } = (await app.lead.put(`/api/blind-tests/${test.id}/opened`).expect(200))
      .body as ComparisonView;
    expect(tests.at(-1)?.results?.map(({ stage, answers }) => [stage, answers])).toEqual([
      ['hot', 4],
      ['cool', 4],
    ]);
  });

  it('needs as many arms as its kind takes, and arms that there are', async () => {
    const { comparison } = await compare();
    const path = `/api/comparisons/${comparison.id}/blind-tests`;
    for (const over of [
      { method: 'ranking' },
      { arms: [0, 3] },
      { arms: [0] },
      { tasters: 61 },
      { stages: [] },
    ]) {
      await app.barista
        .post(path)
        .send({ ...TEST, ...over })
        .expect(422);
    }
  });

  it('becomes the house’s position once it is opened, where its design was sound', async () => {
    const sound = await compare({ asks: ['grind'] }, { process: 'honey' });
    const confounded = await compare({ asks: ['temperature'] }, { process: 'honey' });
    for (const { comparison } of [sound, confounded]) {
      const { test, phones } = await serve(comparison);
      for (const phone of phones) await say(phone, { chosen: wrongOf(phone.cups) }).expect(200);
      await app.lead.put(`/api/blind-tests/${test.id}/opened`).expect(200);
    }
    const positions = (await app.lead.get('/api/comparison-positions').expect(200)).body as HousePosition[];
    expect(positions.filter(({ process }) => process === 'honey lots')).toEqual([
      expect.objectContaining({ asks: ['grind'], tests: 1, found: 0, tasters: 6 }),
    ]);
  });
});

async function threeArms() {
  const recipe = await twoVersions();
  const [newest] = recipe.versions;
  const body = { basedOn: 2, plan: { ...newest!.plan, grindUm: newest!.plan.grindUm - 40 }, note: '' };
  const third = (await app.barista.post(`/api/recipes/${recipe.id}/versions`).send(body).expect(201))
    .body as RecipeView;
  const versionIds = third.versions.map(({ id }) => id).reverse();
  const question = { question: 'How fine?', asks: ['grind'], versionIds, matchedBy: 'dial', rounds: 1 };
  return {
    comparison: (await app.barista.post('/api/comparisons').send(question).expect(201))
      .body as ComparisonView,
  };
}

describe('a server that is open to phones', () => {
  it('tells other machines nothing but the pages of tasters', async () => {
    const { phonesMiddleware } = await import('../src/session/phones.middleware.js');
    const asked = (remoteAddress: string, path: string) => {
      let problem: unknown;
      phonesMiddleware({ socket: { remoteAddress }, path } as never, null as never, (error: unknown) => {
        problem = error;
      });
      return problem;
    };
    expect(asked('10.0.0.9', '/lots')).toMatchObject({ kind: 'not-allowed' });
    expect(asked('10.0.0.9', '/session')).toMatchObject({ kind: 'not-allowed' });
    expect(asked('10.0.0.9', '/blind/abc/taken')).toBeUndefined();
    expect(asked('::ffff:127.0.0.1', '/lots')).toBeUndefined();
  });
});
