import { randomUUID } from 'node:crypto';
import ICAL from 'ical.js';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import {
  REQUEST_KEY_HEADER,
  type BrewView,
  type CalendarView,
  type HandoverView,
  type Problem,
  type TodayView,
} from '@vendu/contract';
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

const today = async () => (await app.barista.get('/api/today').expect(200)).body as TodayView;
const dateInDays = (days: number) => new Date(Date.now() + days * 86_400_000).toISOString().slice(0, 10);

describe('the hours of people', () => {
  const ilse = async () => (await today()).people.find(({ name }) => name === 'Ilse Varnholt')!;

  it('are set and ended by anybody of the lab, and told with the day', async () => {
    const { id, hours } = await ilse();
    expect(hours).toBeNull();
    await app.barista.put(`/api/people/${id}/hours`).send({ from: '07:00', until: '15:30' }).expect(204);
    expect((await ilse()).hours).toEqual({ from: '07:00', until: '15:30' });
    await app.barista.delete(`/api/people/${id}/hours`).expect(204);
    expect((await ilse()).hours).toBeNull();
    await app.visitor.put(`/api/people/${id}/hours`).send({ from: '07:00', until: '15:30' }).expect(401);
    await app.barista.put('/api/people/999999/hours').send({ from: '07:00', until: '15:30' }).expect(404);
  });

  it('are times of one day, the later one last', async () => {
    const { id } = await ilse();
    const refused = async (hours: object) => {
      const answer = await app.barista.put(`/api/people/${id}/hours`).send(hours).expect(422);
      return (answer.body as Problem).errors.map(({ message }) => message);
    };
    expect(await refused({ from: '7', until: '24:00' })).toEqual([
      'In from must be a time of day, 00:00 to 23:59.',
      'In until must be a time of day, 00:00 to 23:59.',
    ]);
    expect(await refused({ from: '14:00', until: '12:00' })).toEqual(['In until must be later than 14:00.']);
  });
});

describe('what the day asks for', () => {
  it('is for people of the lab, and names who they are', async () => {
    await app.visitor.get('/api/today').expect(401);
    const { people, kettles, roomC } = await today();
    expect(people.map(({ name }) => name)).toEqual([
      'Corin Aldous',
      'Ilse Varnholt',
      'Joss Pellwater',
      'Tamsin Ekelund',
      'Wenna Tregarth',
    ]);
    expect([kettles > 0, roomC]).toEqual([true, expect.any(Number)]);
  });

  it('has a brew of each lot in work and each recheck, with how long it takes', async () => {
    const { brews } = await today();
    const named = brews.map(({ lotName, action }) => `${lotName}: ${action}`);
    expect(named).toEqual(
      expect.arrayContaining(['Bomaku Natural: recheck', 'Ermera Passion Co-ferment: first-brew']),
    );
    expect(named.some((each) => each.startsWith('Umuseke Ridge'))).toBe(false);
    const recheck = brews.find(({ action }) => action === 'recheck');
    expect(recheck).toMatchObject({ isPressing: true, recipe: { versionNumber: 1 } });
    for (const { brewMin, sipMg, doseG } of brews) {
      expect(brewMin).toBeGreaterThan(5);
      expect(brewMin).toBeLessThan(20);
      // 30 g of a cup of about two hundred grams of 16 g of coffee: some 25 mg, and of a decaffeinated one hardly any.
      expect(sipMg).toBeLessThan(40);
      expect(doseG).toBeGreaterThan(10);
    }
  });

  it('looks a launch in the eye', async () => {
    await takeInLot(app.barista, { name: 'Too late', launchOn: dateInDays(1), stockG: 30 });
    await takeInLot(app.barista, { name: 'In time', launchOn: dateInDays(18) });
    await takeInLot(app.barista, { name: 'Far off', launchOn: dateInDays(90) });
    const { launches } = await today();
    const of = (name: string) => launches.find(({ lotName }) => lotName === name);
    expect(of('Too late')?.outlook).toMatchObject({
      isInDanger: true,
      gramsShort: expect.any(Number) as number,
    });
    expect(of('In time')?.outlook).toMatchObject({ isInDanger: false, gramsShort: null });
    expect(of('Far off')).toBeUndefined();
  });

  it('has what stands on the bench until it is read and tasted', async () => {
    const recipe = await startRecipe(app.barista, (await takeInLot(app.barista, { name: 'Cooling' })).id);
    const begun = brewOf(recipe, {}, { startedAt: new Date().toISOString() });
    const brew = (await app.barista.put(`/api/brews/by-key/${randomUUID()}`).send(begun).expect(200))
      .body as BrewView;
    const left = async () => (await today()).afters.find(({ brewId }) => brewId === brew.id)?.left;
    expect(await left()).toEqual(['taste-hot', 'read', 'taste-warm', 'taste-cool']);
    await app.barista.post(`/api/brews/${brew.id}/readings`).send({ tdsPercent: 1.3 }).expect(201);
    await app.barista
      .put(`/api/brews/${brew.id}/tastings/hot`)
      .send({ notes: 'plum', intensities: {} })
      .expect(200);
    expect(await left()).toEqual(['taste-warm', 'taste-cool']);
    await app.barista.post(`/api/brews/${brew.id}/set-aside`).send({}).expect(200);
    expect(await left()).toBeUndefined();
  });
});

describe('a handover', () => {
  const handover = async () => (await app.barista.get('/api/handover').expect(200)).body as HandoverView;

  it('is written by the day itself: brews with what they gave, and signatures, the newest first', async () => {
    const recipe = await startRecipe(app.barista, (await takeInLot(app.barista, { name: 'Handed over' })).id);
    const begun = brewOf(recipe, {}, { startedAt: new Date(Date.now() - 60_000).toISOString() });
    const brew = (await app.barista.put(`/api/brews/by-key/${randomUUID()}`).send(begun).expect(200))
      .body as BrewView;
    await app.barista.post(`/api/brews/${brew.id}/readings`).send({ tdsPercent: 1.31 }).expect(201);
    const path = `/api/recipe-versions/${recipe.versions[0]!.id}/acceptance`;
    await app.lead.put(path).expect(200);
    const own = async () => (await handover()).events.filter(({ lotName }) => lotName === 'Handed over');
    expect(await own()).toMatchObject([
      { kind: 'accepted', number: 1, by: 'Ilse Varnholt', tdsPercent: null },
      { kind: 'brewed', number: 1, by: 'Tamsin Ekelund', tdsPercent: 1.31 },
    ]);
    await app.barista.post(`/api/brews/${brew.id}/set-aside`).send({}).expect(200);
    expect((await own()).map(({ kind }) => kind)).toEqual(['accepted']);
    // What is older than a day is nobody's handover.
    expect((await handover()).events.some(({ lotName }) => lotName === 'Umuseke Ridge')).toBe(false);
  });

  it('has what somebody wrote down, once, and names a note that is none', async () => {
    const refused = await app.barista.post('/api/handover/notes').send({ text: '  ' }).expect(422);
    expect((refused.body as Problem).errors).toMatchObject([{ field: 'text' }]);
    await app.visitor.post('/api/handover/notes').send({ text: 'x' }).expect(401);
    const key = randomUUID();
    const leave = () =>
      app.secondBarista
        .post('/api/handover/notes')
        .set(REQUEST_KEY_HEADER, key)
        .send({ text: ' The kettle on the left\nlies by two degrees. ' })
        .expect(201);
    await leave();
    await leave();
    expect((await handover()).notes).toMatchObject([
      { text: 'The kettle on the left\nlies by two degrees.', by: 'Joss Pellwater' },
    ]);
  });
});

describe('a calendar', () => {
  it('has launches and rechecks on their days, at an address that is told once and can be ended', async () => {
    expect((await app.barista.get('/api/calendar').expect(200)).body).toEqual({
      madeAt: null,
      address: null,
    });
    await takeInLot(app.barista, { name: 'Goes, on; sale', launchOn: dateInDays(9) });
    const made = (await app.barista.post('/api/calendar').expect(201)).body as CalendarView;
    const path = new URL(made.address ?? '').pathname;
    expect((await app.barista.get('/api/calendar')).body).toEqual({ madeAt: made.madeAt, address: null });
    const answer = await app.visitor.get(path).expect(200);
    expect(answer.headers['content-type']).toMatch(/^text\/calendar/);
    // Read by a reader that is not ours.
    const events = new ICAL.Component(ICAL.parse(answer.text) as unknown[])
      .getAllSubcomponents('vevent')
      .map((each) => new ICAL.Event(each));
    const launch = events.find(({ summary }) => summary === 'Launch: Goes, on; sale');
    expect([launch?.startDate.isDate, launch?.startDate.toString()]).toEqual([true, dateInDays(9)]);
    expect(events.some(({ summary }) => summary === 'Recheck: Umuseke Ridge')).toBe(true);
    expect(new Set(events.map(({ uid }) => uid)).size).toBe(events.length);

    const again = (await app.barista.post('/api/calendar').expect(201)).body as CalendarView;
    await app.visitor.get(path).expect(404);
    await app.visitor.get(new URL(again.address ?? '').pathname).expect(200);
    await app.barista.delete('/api/calendar').expect(200);
    await app.visitor.get(new URL(again.address ?? '').pathname).expect(404);
    await app.visitor.post('/api/calendar').expect(401);
  });
});
