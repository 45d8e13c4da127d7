import { randomUUID } from 'node:crypto';
import { setTimeout as sleep } from 'node:timers/promises';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { EXERCISES, HANDS, runningTotalsG, simulatedScale, type Trace } from '@vendu/core';
import type { BrewView, LotView, PracticeView, Problem, RecipeView, RunningBrewView } from '@vendu/contract';
import {
  brewOf,
  connectTo,
  startRecipe,
  startTestApplication,
  storeBrew,
  takeInLot,
  type TestApplication,
} from './support/application.js';

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
/** The cookies of a signed-in agent, for a request that it cannot make itself. */
function cookieOf(agent: TestApplication['barista']): string {
  const { hostname: domain } = new URL(app.url);
  return agent.jar
    .getCookies({ domain, path: '/', script: false, secure: false })
    .map((cookie) => cookie.toValueString())
    .join('; ');
}
const problemOf = (response: { body: unknown }) => response.body as Problem;

describe('a brew off the bench', () => {
  it('comes with trace, events and kit, stored once and opened unchanged', async () => {
    const key = randomUUID();
    const trace = longTrace();
    const events = [
      { kind: 'not-prepared', atS: 0, figure: null, text: 'paper not rinsed' },
      { kind: 'kettle-read', atS: 44, figure: 93.5, text: '' },
    ];
    const sent = brewOf(recipe, { trace, events, scale: 'Left scale' });
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
    const reopened = await app.secondBarista.get(`/api/brews/${first.id}/trace`).expect(200);
    expect((reopened.body as { trace: Trace }).trace).toEqual(trace);
    const { gramsLeftG } = (await app.barista.get(`/api/lots/${recipe.lot.id}`)).body as LotView;
    expect(gramsLeftG).toBe(500 - (recipe.versions[0]?.plan.doseG ?? 0));
  });

  it('is refused whole when a sample of its trace cannot be', async () => {
    const key = randomUUID();
    const trace = { atMs: [0, 100, 90], massG: [0, 1, 2] };
    const response = await app.barista
      .put(`/api/brews/by-key/${key}`)
      .send(brewOf(recipe, { trace }))
      .expect(422);
    expect(problemOf(response).errors[0]?.message).toContain('sample 2');
    const odd = await app.barista
      .put(`/api/brews/by-key/${key}`)
      .send(brewOf(recipe, { trace: { atMs: [0, 100], massG: [0, 'x'] } }))
      .expect(422);
    expect(problemOf(odd).errors[0]?.field).toBe('trace.massG.1');
    const stored = await app.barista.put(`/api/brews/by-key/${key}`).send(brewOf(recipe)).expect(200);
    expect((stored.body as BrewView).hasTrace).toBe(false);
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
    expect((await keep(1)).body).toEqual({ seq: 1 });
    expect((await keep(3)).body).toEqual({ seq: 3 });
    expect((await keep(2)).body).toEqual({ seq: 3 });
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
    const refused = await keep({ ...running(5), trace: { atMs: [0, 0], massG: [0, 1] } }).expect(422);
    expect(problemOf(refused).errors[0]?.message).toContain('sample 1');
    expect(await traceOf()).toEqual(trace);
    await app.barista.get(`/api/running-brews/${randomUUID()}/trace`).expect(404);
    await app.visitor.get(`/api/running-brews/${key}/trace`).expect(401);
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
    leaving.abort();
    await expect.poll(async () => (await post('12.3')).status).toBe(404);
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
