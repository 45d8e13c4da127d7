import { randomUUID } from 'node:crypto';
import request from 'supertest';
import { DEMO_ACCOUNTS } from '../src/people/demo-accounts.js';
import { setTimeout as sleep } from 'node:timers/promises';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { subDays } from 'date-fns';
import { RunningBrewModel } from '../src/running-brews/running-brew.model.js';
import { EXERCISES, HANDS, runningTotalsG, simulatedScale, type BenchEvent, type Trace } from '@vendu/core';
import type {
  BrewView,
  LotView,
  PracticeView,
  Problem,
  RecipeView,
  RunningBrewKept,
  RunningBrewView,
} from '@vendu/contract';
import {
  brewOf,
  cookieOf,
  entriesOf,
  sessionCookieIn,
  startRecipe,
  startTestApplication,
  storeBrew,
  takeInLot,
  type TestApplication,
} from './support/application.js';
import { connectTo } from './support/database.js';

let app: TestApplication;
let recipe: RecipeView;
beforeAll(async () => {
  app = await startTestApplication();
  recipe = await startRecipe(app.barista, (await takeInLot(app.barista, { stockG: 500 })).id);
});
afterAll(() => app.close());

/** Ten minutes of a simulated scale at 10 Hz. */
function longTrace(): Trace {
  const scale = simulatedScale({ hand: HANDS.usual, seed: 11 });
  scale.pour({ atS: 0, toTotalG: 40, flowGps: 8 });
  scale.pour({ atS: 45, toTotalG: 260, flowGps: 8 });
  const atMs = Array.from({ length: 6000 }, (_, index) => index * 100);
  return { atMs, massG: atMs.map((at) => scale.read(at / 1000)?.massG ?? 0) };
}
const problemOf = (response: { body: unknown }) => response.body as Problem;

describe('a brew off the bench', () => {
  it('comes with trace, events and kit, stored once and opened unchanged', async () => {
    const key = randomUUID();
    const trace = longTrace();
    const events: BenchEvent[] = [
      { kind: 'not-prepared', atS: 0, task: 'rinse' },
      { kind: 'kettle-read', atS: 0, kettleC: 93.5, instrument: '', isSimulated: false },
      { kind: 'agitated', atS: 44, how: 'stir' },
    ];
    const seconds = Array.from({ length: 41 }, (_, second) => second);
    const outflow = {
      atMs: seconds.map((second) => second * 1000),
      massG: seconds.map((second) => Math.max(0, second - 8)),
    };
    const sent = brewOf(recipe, { trace, outflow, scale: 'Left scale' }, { events });
    const first = (await app.barista.put(`/api/brews/by-key/${key}`).send(sent).expect(200)).body as BrewView;
    const again = (await app.barista.put(`/api/brews/by-key/${key}`).send(sent).expect(200)).body as BrewView;
    expect(again.id).toBe(first.id);
    expect(first).toMatchObject({
      events,
      hasTrace: true,
      kit: {
        lab: { name: 'Ninth Mole Coffee', place: 'Port Ossel', elevationM: 12, roomC: 21 },
        brewer: recipe.brewerName,
        paper: recipe.paperName,
        scale: 'Left scale',
      },
    });
    // What ran through goes with the brew wherever the lot is learned from.
    expect(first.outflow.map(({ atS }) => atS)).toEqual([10, 20, 30, 40]);
    expect(first.outflow.at(-1)?.beverageG).toBeCloseTo(32, 0);
    const reopened = await app.secondBarista.get(`/api/brews/${first.id}/trace`).expect(200);
    expect(reopened.body).toEqual({ trace, outflow });
    const { gramsLeftG } = (await app.barista.get(`/api/lots/${recipe.lot.id}`)).body as LotView;
    expect(gramsLeftG).toBe(500 - (recipe.versions[0]?.plan.doseG ?? 0));
  });

  it('comes with what ran into the server alone, where nothing else was weighed', async () => {
    const outflow = { atMs: [0, 20_000], massG: [0, 3.5] };
    const sent = brewOf(recipe, { outflow });
    const { id } = (await app.barista.put(`/api/brews/by-key/${randomUUID()}`).send(sent).expect(200))
      .body as BrewView;
    const opened = await app.barista.get(`/api/brews/${id}/trace`).expect(200);
    expect(opened.body).toEqual({ trace: null, outflow });
  });

  it('is never refused for its curve: what of it cannot be is left out', async () => {
    const storedTrace = async (trace: object) => {
      const sent = brewOf(recipe, { trace });
      const { id } = (await app.barista.put(`/api/brews/by-key/${randomUUID()}`).send(sent).expect(200))
        .body as BrewView;
      return ((await app.barista.get(`/api/brews/${id}/trace`)).body as { trace: Trace | null }).trace;
    };
    expect(await storedTrace({ atMs: [0, 100, 90, 200], massG: [0, 1, 2, 3] })).toEqual({
      atMs: [0, 100, 200],
      massG: [0, 1, 3],
    });
    expect(await storedTrace({ atMs: [0, 100], massG: [0, 'x'] })).toEqual({ atMs: [0], massG: [0] });
    expect(await storedTrace({ atMs: ['x'], massG: [] })).toBeNull();
    // A scale at 80 Hz that was left on for more than an hour.
    const long = Array.from({ length: 60_000 }, (_, index) => index * 62.5);
    const kept = await storedTrace({ atMs: long, massG: long.map((_, index) => index % 100) });
    expect(kept?.atMs.length).toBeLessThanOrEqual(36_000);
    expect(kept?.atMs.at(-1)).toBe(3_600_000);
  });

  it('is stored with a note that was cut inside a character, and by a clock that is decades off', async () => {
    const sent = brewOf(recipe, {}, { note: 'sour \ud83c', startedAt: '2044-05-05T05:05:05.000Z' });
    const brew = (await app.barista.put(`/api/brews/by-key/${randomUUID()}`).send(sent).expect(200))
      .body as BrewView;
    expect(brew.note).toBe('sour \ufffd');
    expect(Math.abs(Date.parse(brew.startedAt) - Date.now())).toBeLessThan(3_600_000);
    expect(brew.events).toEqual([{ kind: 'clock-off', atS: 0, said: '2044-05-05T05:05:05.000Z' }]);
  });

  it.each<[string, unknown]>([
    ['a moment that is none', [{ ...entriesOf()[0], atMs: '2026-02-30' }]],
    ['a kind that nobody knows', [{ ...entriesOf()[0], kind: 'poured' }]],
    ['no first pour', []],
    ['no list', 'marks'],
  ])('is refused by the name of its log where that has %s', async (_, entries) => {
    const sent = brewOf(recipe, { entries });
    const response = await app.barista.put(`/api/brews/by-key/${randomUUID()}`).send(sent).expect(422);
    expect(problemOf(response).errors).toMatchObject([{ field: 'entries' }]);
  });

  it('has what another device told of it, which the one that stores it never heard', async () => {
    const key = randomUUID();
    const [first, second] = [randomUUID(), randomUUID()];
    const keep = (body: object) => app.barista.put(`/api/running-brews/${key}`).send(body).expect(200);
    const told = { seq: 1, lotName: 'Ridge', brewerName: 'Cone', state: '{}' };
    const start = entriesOf();
    await keep({ ...told, entries: start, device: first });
    const swirl = { device: first, number: 2, atMs: start[0]!.atMs + 9000, kind: 'agitated', how: 'swirl' };
    await keep({ ...told, seq: 2, entries: [swirl], device: first });
    const taken = await keep({ ...told, seq: 3, entries: [], device: second, takesOver: true });
    // The device that takes it over is told all of it.
    expect((taken.body as RunningBrewKept).entries).toEqual([...start, swirl]);
    const stored = await app.barista.put(`/api/brews/by-key/${key}`).send(brewOf(recipe)).expect(200);
    expect((stored.body as BrewView).events).toEqual([{ kind: 'agitated', atS: 9, how: 'swirl' }]);
  });

  it('has a misread time mended, with what was first marked kept', async () => {
    const brew = await storeBrew(app.barista, recipe);
    const mended = { revision: brew.revision, atS: 1.57, totalG: 42 };
    const after = (await app.barista.patch(`/api/brews/${brew.id}/steps/0`).send(mended).expect(200))
      .body as BrewView;
    expect(after.steps[0]).toMatchObject({ atS: 1.57, totalG: 42 });
    expect(after.corrections).toMatchObject([{ field: 'step.0.atS', fromValue: 0, toValue: 1.57 }]);
    const stale = await app.barista.patch(`/api/brews/${brew.id}/steps/0`).send(mended);
    expect(problemOf(stale).type).toBe('/problems/stale');
    await app.barista
      .patch(`/api/brews/${brew.id}/steps/9`)
      .send({ ...mended, revision: after.revision })
      .expect(404);
  });

  it('keeps the cups of a split brew in their order, and refuses cups that overlap', async () => {
    const brew = await storeBrew(app.barista, recipe);
    const cup = (startS: number, endS: number, more: object = {}) => ({ startS, endS, ...more });
    const put = (fractions: object[]) =>
      app.barista.put(`/api/brews/${brew.id}/fractions`).send({ fractions });
    const kept = (
      await put([cup(0, 30, { beverageG: 40, tdsPercent: 3.1, haze: 'hazy' }), cup(30, 60)]).expect(200)
    ).body as BrewView;
    expect(kept.fractions).toMatchObject([
      { place: 1, startS: 0, endS: 30, beverageG: 40, tdsPercent: 3.1, haze: 'hazy' },
      { place: 2, startS: 30, endS: 60, beverageG: null },
    ]);
    // What the lot learns from them goes with the brew wherever it is listed.
    expect(kept.cups).toEqual([
      { endS: 30, beverageG: 40, tdsPercent: 3.1 },
      { endS: 60, beverageG: null, tdsPercent: null },
    ]);
    const overlap = await put([cup(0, 30), cup(20, 60)]).expect(422);
    expect(problemOf(overlap).errors).toMatchObject([
      { field: 'fractions.1.startS', allowed: '30 s or later' },
    ]);
    await put([cup(0, 30, { haze: 'murky' })]).expect(422);
    expect(((await app.barista.get(`/api/brews/${brew.id}`)).body as BrewView).fractions).toHaveLength(2);
  });
});

describe('a brew that is running', () => {
  const running = (seq: number, state = `marks ${seq}`) => ({
    seq,
    lotName: 'Ridge',
    brewerName: 'Cone',
    state,
  });
  const all = async () =>
    (await app.secondBarista.get('/api/running-brews').expect(200)).body as RunningBrewView[];

  it('is kept as far as it is, whatever overtakes what, through a restart', async () => {
    const key = randomUUID();
    const keep = (seq: number) => app.barista.put(`/api/running-brews/${key}`).send(running(seq)).expect(200);
    expect((await keep(1)).body).toMatchObject({ seq: 1 });
    expect((await keep(3)).body).toMatchObject({ seq: 3 });
    expect((await keep(2)).body).toMatchObject({ seq: 3 });
    await app.restart();
    expect((await all()).find((each) => each.key === key)).toMatchObject({ seq: 3, state: 'marks 3' });
    await app.barista.delete(`/api/running-brews/${key}`).expect(204);
    expect((await all()).some((each) => each.key === key)).toBe(false);
  });

  it('brings the curve along for another device, and not with the list', async () => {
    const key = randomUUID();
    const trace = { atMs: [0, 100, 200], massG: [0, 1.2, 2.9] };
    const keep = (body: object) => app.barista.put(`/api/running-brews/${key}`).send(body);
    const traceOf = async () =>
      (
        (await app.secondBarista.get(`/api/running-brews/${key}/trace`).expect(200)).body as {
          trace: Trace | null;
        }
      ).trace;
    await keep(running(1)).expect(200);
    expect(await traceOf()).toBeNull();
    await keep({ ...running(3), trace }).expect(200);
    // One that was overtaken on its way changes nothing.
    await keep({ ...running(2), trace: { atMs: [0], massG: [0] } }).expect(200);
    expect(await traceOf()).toEqual(trace);
    expect((await all()).find((each) => each.key === key)).not.toHaveProperty('trace');
    // A page that hears no scale tells of a mark, and takes no curve away.
    await keep(running(4)).expect(200);
    expect(await traceOf()).toEqual(trace);
    await app.barista.get(`/api/running-brews/${randomUUID()}/trace`).expect(404);
    await app.visitor.get(`/api/running-brews/${key}/trace`).expect(401);
  });

  it('is its device’s: another one is told, and has it once it says that it takes it over', async () => {
    const key = randomUUID();
    const [first, second] = [randomUUID(), randomUUID()];
    const keep = (agent: TestApplication['barista'], body: object) =>
      agent.put(`/api/running-brews/${key}`).send(body);
    const clear = (agent: TestApplication['barista'], device: string) =>
      agent.delete(`/api/running-brews/${key}`).query({ device });
    const kept = async () => (await all()).find((each) => each.key === key);
    await keep(app.barista, { ...running(2), device: first }).expect(200);
    const over = await keep(app.secondBarista, { ...running(7, 'other'), device: second }).expect(409);
    expect(problemOf(over)).toMatchObject({
      type: '/problems/stale',
      detail: 'Tamsin Ekelund is continuing this brew on another bench.',
    });
    expect(problemOf(await clear(app.secondBarista, second).expect(409)).detail).toContain('Tamsin Ekelund');
    expect(await kept()).toMatchObject({ seq: 2, state: 'marks 2', by: 'Tamsin Ekelund' });

    const taken = { ...running(3, 'taken'), device: second, takesOver: true };
    await keep(app.secondBarista, taken).expect(200);
    expect(await kept()).toMatchObject({ seq: 3, state: 'taken', by: 'Joss Pellwater' });
    await keep(app.barista, { ...running(9), device: first }).expect(409);
    await clear(app.barista, first).expect(409);
    await clear(app.secondBarista, second).expect(204);
    expect(await kept()).toBeUndefined();
  });

  it('is not shown for ever where nobody goes on with it, and forgotten after two weeks', async () => {
    const [yesterday, weeksAgo] = [randomUUID(), randomUUID()];
    for (const key of [yesterday, weeksAgo]) {
      await app.barista.put(`/api/running-brews/${key}`).send(running(1)).expect(200);
    }
    const age = (key: string, days: number) =>
      RunningBrewModel.sequelize?.query('UPDATE running_brews SET updated_at = :at WHERE client_key = :key', {
        replacements: { key, at: subDays(new Date(), days) },
      });
    await age(yesterday, 1.5);
    await age(weeksAgo, 15);
    expect((await all()).filter(({ key }) => key === yesterday || key === weeksAgo)).toEqual([]);
    await app.restart();
    await app.barista.get(`/api/running-brews/${yesterday}/trace`).expect(200);
    await app.barista.get(`/api/running-brews/${weeksAgo}/trace`).expect(404);
  });

  it('is gone once it is stored, and a late change does not bring it back', async () => {
    const key = randomUUID();
    await app.barista.put(`/api/running-brews/${key}`).send(running(1)).expect(200);
    await app.barista.put(`/api/brews/by-key/${key}`).send(brewOf(recipe)).expect(200);
    await app.barista.put(`/api/running-brews/${key}`).send(running(2)).expect(200);
    expect((await all()).some((each) => each.key === key)).toBe(false);
  });

  it('is gone once it is stored, even where a change of it is on its way at the same moment', async () => {
    const key = randomUUID();
    await app.barista.put(`/api/running-brews/${key}`).send(running(1)).expect(200);
    // A third hand on its row makes both wait, the storing first, so that they pass in the worst order.
    const third = await connectTo(app.configuration);
    await third.query('START TRANSACTION');
    await third.query('SELECT seq FROM running_brews WHERE client_key = ? FOR UPDATE', [key]);
    const storing = app.barista.put(`/api/brews/by-key/${key}`).send(brewOf(recipe)).expect(200).then();
    await sleep(300);
    const late = app.barista.put(`/api/running-brews/${key}`).send(running(2)).expect(200).then();
    await sleep(300);
    await third.query('COMMIT');
    await third.end();
    await Promise.all([storing, late]);
    expect((await all()).some((each) => each.key === key)).toBe(false);
  });
});

describe('what stand-ins gave', () => {
  const stored = async (more: object = {}) =>
    (await app.barista.put(`/api/brews/by-key/${randomUUID()}`).send(brewOf(recipe, more)).expect(200))
      .body as BrewView;

  it('is told from what was measured: a poured brew, or one reading of many', async () => {
    expect((await stored()).isSimulated).toBe(false);
    expect((await stored({ isSimulated: true })).isSimulated).toBe(true);
    const { id } = await stored();
    const read = async (source?: string) =>
      (
        await app.barista
          .post(`/api/brews/${id}/readings`)
          .send({ tdsPercent: 1.33, sampleC: null, ...(source ? { source } : {}) })
          .expect(201)
      ).body as BrewView;
    expect(await read()).toMatchObject({ isSimulated: false, readings: [{ source: 'typed' }] });
    expect((await read('sent')).isSimulated).toBe(false);
    const mixed = await read('simulated');
    expect(mixed).toMatchObject({
      isSimulated: true,
      readings: [{ source: 'typed' }, { source: 'sent' }, { source: 'simulated' }],
    });
    // Taken out, it is no part of the brew any more.
    const taken = await app.barista
      .delete(`/api/brews/${id}/readings/${mixed.readings[2]?.id ?? 0}`)
      .expect(200);
    expect((taken.body as BrewView).isSimulated).toBe(false);
    const guessed = { tdsPercent: 1.33, sampleC: null, source: 'guessed' };
    const refused = await app.barista.post(`/api/brews/${id}/readings`).send(guessed).expect(422);
    expect(problemOf(refused).errors[0]?.field).toBe('source');
  });
});

describe('the feed of do-it-yourself instruments', () => {
  it('moves no stage, no grams and no count of its lot', async () => {
    const lot = await takeInLot(app.barista, { stockG: 300 });
    const fresh = await startRecipe(app.barista, lot.id);
    const sent = { ...brewOf(fresh), isSimulated: true };
    await app.barista.put(`/api/brews/by-key/${randomUUID()}`).send(sent).expect(200);
    const read = async () => (await app.barista.get(`/api/lots/${lot.id}`)).body as LotView;
    expect(await read()).toMatchObject({ stage: 'arrived', gramsLeftG: 300, gramsBrewedG: 0 });
    await app.barista.put(`/api/brews/by-key/${randomUUID()}`).send(brewOf(fresh)).expect(200);
    expect((await read()).stage).toBe('first-brews');
  });

  it('passes readings on to the bench that listens, and names the line that is none', async () => {
    const key = randomUUID();
    const post = (text: string) =>
      app.visitor.post(`/api/instrument-feeds/${key}`).set('content-type', 'text/plain').send(text);
    await post('12.3').expect(404);

    const leaving = new AbortController();
    const listening = await fetch(`${app.url}/api/instrument-feeds/${key}`, {
      headers: { cookie: cookieOf(app.barista) },
      signal: leaving.signal,
    });
    await expect.poll(async () => (await post('12.3\n{"g": 14, "batteryPercent": 60}\n')).status).toBe(200);
    const reader = listening.body!.pipeThrough(new TextDecoderStream()).getReader();
    let heard = '';
    while (!heard.includes('"batteryPercent"')) heard += (await reader.read()).value ?? '';
    expect(heard).toContain('data: {"massG":12.3}');
    expect(heard).toContain('data: {"massG":14,"batteryPercent":60}');
    await post('{"kettleC": 93.5}\n{"tdsPercent": 1.34, "sampleC": 22}').expect(200);
    while (!heard.includes('sampleC')) heard += (await reader.read()).value ?? '';
    expect(heard).toContain('data: {"kettleC":93.5}');
    expect(heard).toContain('data: {"tdsPercent":1.34,"sampleC":22}');
    expect(problemOf(await post('12.3\nready')).errors).toMatchObject([{ field: 'line.2' }]);
    // More than any instrument sends: too long, too many lines, too often.
    await post('12.3\n'.repeat(8000)).expect(413);
    await post('1\n'.repeat(101)).expect(413);
    const flood = [
      await post('1\n'.repeat(100)),
      await post('1\n'.repeat(100)),
      await post('1\n'.repeat(100)),
    ];
    expect(flood.map(({ status }) => status)).toContain(429);
    expect(flood.find(({ status }) => status === 429)?.headers['retry-after']).toBe('2');
    leaving.abort();
    await expect.poll(async () => (await post('12.3')).status).toBe(404);
  });

  it('lets no more listen than have a use for it', async () => {
    const key = randomUUID();
    const leaving = new AbortController();
    const listen = async () =>
      (
        await fetch(`${app.url}/api/instrument-feeds/${key}`, {
          headers: { cookie: cookieOf(app.barista) },
          signal: leaving.signal,
        })
      ).status;
    const statuses = [];
    for (let count = 0; count < 5; count++) statuses.push(await listen());
    expect(statuses).toEqual([200, 200, 200, 200, 429]);
    leaving.abort();
  });

  it('ends for who listens when he signs out', async () => {
    const agent = request.agent(app.url);
    const { email, password } = DEMO_ACCOUNTS[1]!;
    const { headers } = await agent.post('/api/session').send({ email, password }).expect(200);
    const cookie = sessionCookieIn(headers['set-cookie']);
    const listening = await fetch(`${app.url}/api/instrument-feeds/${randomUUID()}`, { headers: { cookie } });
    await agent.delete('/api/session').expect(200);
    // The answer comes to its end, which without a sign-out it never does.
    expect(await listening.text()).toBe('');
  });

  it('lets nobody listen without a session', async () => {
    await app.visitor.get(`/api/instrument-feeds/${randomUUID()}`).expect(401);
  });
});

describe('practice', () => {
  it('is scored by the server, kept once, and seen by the lab as whose it is', async () => {
    const key = randomUUID();
    const { 'hit-totals': plan } = EXERCISES;
    const scale = simulatedScale({ hand: HANDS.steady, seed: 3 });
    for (const [index, toTotalG] of runningTotalsG(plan).entries()) {
      scale.pour({ atS: plan.pours[index]?.startS ?? 0, toTotalG, flowGps: plan.pours[index]?.flowGps ?? 8 });
    }
    const atMs = Array.from({ length: 640 }, (_, index) => index * 100);
    const trace = { atMs, massG: atMs.map((at) => scale.read(at / 1000)?.massG ?? 0) };
    const send = () => app.barista.put(`/api/practice/${key}`).send({ exercise: 'hit-totals', plan, trace });
    await send().expect(200);
    const [run, second] = (await send().expect(200)).body as PracticeView[];
    expect(second).toBeUndefined();
    expect(run).toMatchObject({ exercise: 'hit-totals', isOwn: true, score: { missedPours: 0 } });
    expect(run?.score.points.totals).toBeGreaterThan(90);
    const seen = (await app.secondBarista.get('/api/practice').expect(200)).body as PracticeView[];
    expect(seen[0]).toMatchObject({ by: run?.by, isOwn: false });
    await app.barista
      .put(`/api/practice/${randomUUID()}`)
      .send({ exercise: 'hit-totals', plan, trace: { atMs: [0], massG: [0] } })
      .expect(422);
  });
});
