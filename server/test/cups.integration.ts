import { randomUUID } from 'node:crypto';
import { subHours, subMinutes } from 'date-fns';
import request from 'supertest';
import type TestAgent from 'supertest/lib/agent.js';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { BrewView, CupOnTable, CupView, RecipeView, TodayView } from '@vendu/contract';
import { BrewModel } from '../src/brews/brew.model.js';
import { DEMO_ACCOUNTS } from '../src/people/demo-accounts.js';
import {
  brewOf,
  startRecipe,
  startTestApplication,
  takeInLot,
  type TestApplication,
} from './support/application.js';

const GUEST = DEMO_ACCOUNTS.find(({ role }) => role === 'taster')!;
let app: TestApplication;
let guest: TestAgent;
let recipe: RecipeView;
beforeAll(async () => {
  app = await startTestApplication();
  guest = request.agent(app.url);
  await guest.post('/api/session').send({ email: GUEST.email, password: GUEST.password }).expect(200);
  recipe = await startRecipe(
    app.barista,
    (
      await takeInLot(app.barista, {
        name: 'Guest lot',
        additions: 'cherries',
        process: 'co-fermented',
        labelNotes: ['plum'],
      })
    ).id,
  );
});
afterAll(() => app.close());

async function brewed(startedAt: Date): Promise<BrewView> {
  const answer = await app.barista
    .put(`/api/brews/by-key/${randomUUID()}`)
    .send(brewOf(recipe, {}, { startedAt: startedAt.toISOString() }))
    .expect(200);
  return answer.body as BrewView;
}
const send = (by: TestAgent, id: number, notes: string) =>
  by.put(`/api/brews/${id}/tastings/warm`).send({ notes, intensities: {} });
const onTable = async () => (await guest.get('/api/cups').expect(200)).body as CupOnTable[];
const ofLot = (cups: readonly CupOnTable[]) => cups.filter(({ lot }) => lot.name === 'Guest lot');

describe('a guest taster', () => {
  it('sees the cups that stand on the table, and what must be known before a sip, but no recipe', async () => {
    const [standing, older, aside, simulated] = [
      await brewed(subMinutes(new Date(), 20)),
      await brewed(subHours(new Date(), 3)),
      await brewed(subMinutes(new Date(), 15)),
      await brewed(subMinutes(new Date(), 5)),
    ];
    await app.barista.post(`/api/brews/${aside.id}/set-aside`).expect(200);
    await BrewModel.update({ isSimulated: true }, { where: { id: simulated.id } });
    const [cup, ...others] = ofLot(await onTable());
    expect(others).toEqual([]);
    // The second of its lot by the clock: one was brewed before it.
    expect(cup).toMatchObject({
      id: standing.id,
      number: 2,
      stagesSent: [],
      lot: { additions: 'cherries', labelNotes: [] },
    });
    expect(Date.parse(cup!.drainedAt)).toBeGreaterThan(Date.parse(cup!.startedAt));
    expect(JSON.stringify(cup)).not.toMatch(/plan|doseG|kettleC|pours/);
    await guest.get(`/api/cups/${older.id}`).expect(404);
    await send(guest, older.id, 'fig').expect(404);
    await guest.get(`/api/brews/${standing.id}`).expect(403);
  });

  it('sends sheets as everybody does: those of others open once his own is sent, and his stays his to see', async () => {
    const { id } = await brewed(subMinutes(new Date(), 12));
    await send(app.barista, id, 'plum').expect(200);
    const before = (await guest.get(`/api/cups/${id}`).expect(200)).body as CupView;
    expect(before).toMatchObject({ tastings: [], sealedSheets: { warm: 1 }, lot: { labelNotes: [] } });
    const sent = (await send(guest, id, 'fig').expect(200)).body as CupView;
    expect(sent.tastings.map(({ notes }) => notes).sort()).toEqual(['fig', 'plum']);
    expect(sent.lot.labelNotes).toEqual(['plum']);
    expect(ofLot(await onTable()).find((cup) => cup.id === id)?.stagesSent).toEqual(['warm']);
    // The lab reads it beside its own.
    const brew = (await app.barista.get(`/api/brews/${id}`).expect(200)).body as BrewView;
    expect(brew.tastings.map(({ by }) => by)).toContain(GUEST.name);
    await BrewModel.update({ startedAt: subHours(new Date(), 5) }, { where: { id } });
    await guest.get(`/api/cups/${id}`).expect(200);
  });

  it('is no pair of hands of a day', async () => {
    const { people } = (await app.barista.get('/api/today').expect(200)).body as TodayView;
    expect(people.map(({ name }) => name)).not.toContain(GUEST.name);
    expect(people.length).toBe(
      DEMO_ACCOUNTS.filter(({ role }) => role === 'barista' || role === 'lead').length,
    );
  });
});
