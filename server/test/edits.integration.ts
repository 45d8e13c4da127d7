import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type {
  BrewView,
  EditView,
  KitView,
  LotView,
  InvitedView,
  MemberView,
  RecipeView,
} from '@vendu/contract';
import {
  SMALLEST_LOT,
  startRecipe,
  startTestApplication,
  storeBrew,
  takeInLot,
  type TestApplication,
} from './support/application.js';

let app: TestApplication;
beforeAll(async () => {
  app = await startTestApplication();
});
afterAll(() => app.close());

const edits = async (of: string, agent = app.barista) =>
  (await agent.get(`/api/${of}/edits`).expect(200)).body as EditView[];
const kit = async () => (await app.barista.get('/api/kit').expect(200)).body as KitView;
const said = ({ by, what, about, kind, fields }: EditView) => ({ by, what, about, kind, fields });

/** What the form of a lot sends. */
function factsOf(lot: LotView): object {
  const { id: _, ...facts } = lot as LotView & Record<string, unknown>;
  const named = Object.keys(SMALLEST_LOT).filter((field) => field !== 'roastedOn');
  return {
    ...Object.fromEntries(named.map((field) => [field, facts[field]])),
    revision: lot.revision,
  };
}

describe('what was changed', () => {
  it('of a lot is told with who did, from what to what; saved as it was is no change', async () => {
    const lot = (await app.barista.post('/api/lots').send(SMALLEST_LOT).expect(201)).body as LotView;
    expect(await edits(`lots/${lot.id}`)).toEqual([]);
    const put = async (changes: object, status = 200) => {
      const now = (await app.barista.get(`/api/lots/${lot.id}`).expect(200)).body as LotView;
      await app.lead
        .patch(`/api/lots/${lot.id}`)
        .send({ ...factsOf(now), ...changes })
        .expect(status);
    };
    await put({});
    expect(await edits(`lots/${lot.id}`)).toEqual([]);
    await put({ elevationFromM: 1700, elevationToM: 1700, farm: 'Umuseke Hill' });
    // A decimal as the database writes it is the same figure.
    const known = { elevationFromM: 1700, elevationToM: 1700, farm: 'Umuseke Hill' };
    for (let time = 0; time < 2; time++) await put({ ...known, moisturePercent: 11.2, harvest: '007' });
    // What was refused was not changed.
    await put({ farm: 'Lost', revision: 0 }, 409);
    await put({ farm: 'x'.repeat(200) }, 422);
    const [measured, edit, ...older] = await edits(`lots/${lot.id}`);
    expect(older).toEqual([]);
    expect(measured!.fields).toEqual(
      expect.arrayContaining([
        { field: 'moisturePercent', from: null, to: 11.2 },
        { field: 'harvest', from: '', to: '007' },
      ]),
    );
    expect(measured!.fields).toHaveLength(2);
    expect(said(edit!)).toEqual({
      by: 'Ilse Varnholt',
      what: 'lots',
      about: 'Test lot',
      kind: 'changed',
      fields: expect.arrayContaining([
        { field: 'elevationFromM', from: null, to: 1700 },
        { field: 'elevationToM', from: null, to: 1700 },
        { field: 'farm', from: '', to: 'Umuseke Hill' },
      ]) as object,
    });
    expect(edit!.fields).toHaveLength(3);
    expect(Math.abs(Date.parse(edit!.at) - Date.now())).toBeLessThan(60_000);
  });

  it('of its recipes stands with the lot', async () => {
    const lot = (
      await app.barista
        .post('/api/lots')
        .send({ ...SMALLEST_LOT, name: 'Set up' })
        .expect(201)
    ).body as LotView;
    const recipe = (
      await app.barista.post(`/api/lots/${lot.id}/recipes`).send({ brewerId: 1, grinderId: 1 }).expect(201)
    ).body as RecipeView;
    const waterId = (await kit()).waters[0]!.id;
    await app.barista
      .put(`/api/recipes/${recipe.id}/setup`)
      .send({ waterId, kettleId: null, aim: null })
      .expect(200);
    const told = await edits(`lots/${lot.id}`);
    expect(told.map(said)).toEqual([
      {
        by: 'Tamsin Ekelund',
        what: 'recipes',
        about: 'Kittiwake cone',
        kind: 'changed',
        fields: [{ field: 'waterId', from: null, to: waterId }],
      },
    ]);
    await app.barista.get('/api/lots/2147483000/edits').expect(404);
  });

  it('of a brew has the verdict as it was, whether it counted, and a reading that was taken out', async () => {
    const lot = await takeInLot(app.barista);
    const recipe = await startRecipe(app.barista, lot.id);
    const { id } = await storeBrew(app.barista, recipe);
    const verdict = (given: object) =>
      app.secondBarista.put(`/api/brews/${id}/verdict`).send(given).expect(200);
    await verdict({ verdict: 'close', reason: '' });
    await verdict({ verdict: 'on-aim', reason: 'sweeter cold' });
    // Said again as it was, it is no change.
    await verdict({ verdict: 'on-aim', reason: 'sweeter cold' });
    await app.barista.post(`/api/brews/${id}/set-aside`).expect(200);
    const read = await app.barista.post(`/api/brews/${id}/readings`).send({ tdsPercent: 1.31 }).expect(201);
    const readingId = (read.body as BrewView).readings[0]!.id;
    await app.barista.delete(`/api/brews/${id}/readings/${readingId}`).expect(200);
    const told = await edits(`brews/${id}`);
    expect(told.map(({ by, what, about, fields }) => ({ by, what, about, fields }))).toMatchObject([
      {
        by: 'Tamsin Ekelund',
        what: 'readings',
        about: '1.31 %',
        fields: [{ field: 'removedAt', from: null }],
      },
      { by: 'Tamsin Ekelund', what: 'brews', fields: [{ field: 'setAsideAt', from: null }] },
      {
        by: 'Joss Pellwater',
        what: 'brews',
        fields: [
          { field: 'verdict', from: 'close', to: 'on-aim' },
          { field: 'verdictReason', from: '', to: 'sweeter cold' },
        ],
      },
      { by: 'Joss Pellwater', what: 'brews', fields: [{ field: 'verdict', from: null, to: 'close' }] },
    ]);
    expect(await edits('kit')).toEqual([]);
    await app.barista.get('/api/brews/2147483000/edits').expect(404);
  });

  it('of a split brew has each cup that was said otherwise or taken away, and not what was filled in', async () => {
    const lot = await takeInLot(app.barista);
    const { id } = await storeBrew(app.barista, await startRecipe(app.barista, lot.id));
    const put = (agent: TestApplication['lead'], fractions: object[]) =>
      agent.put(`/api/brews/${id}/fractions`).send({ fractions }).expect(200);
    const first = { startS: 0, endS: 60, beverageG: 61.5, colour: 'dark amber' };
    const second = { startS: 60, endS: 110 };
    await put(app.barista, [first, second]);
    await put(app.barista, [first, { ...second, beverageG: 70, tdsPercent: 1.1 }]);
    expect(await edits(`brews/${id}`)).toEqual([]);
    await put(app.secondBarista, [
      { ...first, beverageG: 60.5 },
      { ...second, beverageG: 70 },
    ]);
    await put(app.lead, [{ ...first, beverageG: 60.5 }]);
    expect((await edits(`brews/${id}`)).map(said)).toEqual([
      { by: 'Ilse Varnholt', what: 'fractions', about: 'cup 2', kind: 'removed', fields: [] },
      {
        by: 'Joss Pellwater',
        what: 'fractions',
        about: 'cup 2',
        kind: 'changed',
        fields: [{ field: 'tdsPercent', from: 1.1, to: null }],
      },
      {
        by: 'Joss Pellwater',
        what: 'fractions',
        about: 'cup 1',
        kind: 'changed',
        fields: [{ field: 'beverageG', from: 61.5, to: 60.5 }],
      },
    ]);
  });

  it('of kit and lab has what was removed too, and no figure that is the same in other letters', async () => {
    const { papers, sieves, house } = await kit();
    const { id, ...paper } = papers[0]!;
    await app.secondBarista
      .put(`/api/kit/papers/${id}`)
      .send({ ...paper, rinseG: paper.rinseG + 20 })
      .expect(200);
    await app.barista.delete(`/api/kit/sieves/${sieves[0]!.id}`).expect(200);
    const told = await edits('kit');
    expect(told.map(said).slice(0, 2)).toEqual([
      { by: 'Tamsin Ekelund', what: 'sieves', about: sieves[0]!.name, kind: 'removed', fields: [] },
      {
        by: 'Joss Pellwater',
        what: 'papers',
        about: paper.name,
        kind: 'changed',
        fields: [{ field: 'rinseG', from: paper.rinseG, to: paper.rinseG + 20 }],
      },
    ]);
    expect(house.name).not.toBe('');
    expect(told).toHaveLength(2);
  });

  it('of people is for leads', async () => {
    await app.barista.get('/api/people/edits').expect(403);
    const people = (await app.lead.get('/api/people').expect(200)).body as MemberView[];
    const joss = people.find(({ name }) => name === 'Joss Pellwater')!;
    await app.lead.put(`/api/people/${joss.id}/role`).send({ role: 'lead' }).expect(200);
    await app.lead.put(`/api/people/${joss.id}/role`).send({ role: 'barista' }).expect(200);
    const told = await edits('people', app.lead);
    expect(told.map(({ about, fields }) => [about, fields])).toEqual([
      ['Joss Pellwater', [{ field: 'role', from: 'lead', to: 'barista' }]],
      ['Joss Pellwater', [{ field: 'role', from: 'barista', to: 'lead' }]],
    ]);
    // Another way in may bring another e-mail: under the name of whoever it is for.
    const { path } = (await app.lead.post(`/api/people/${joss.id}/invitation`).expect(201))
      .body as InvitedView;
    await app.visitor
      .put(`/api${path.replace('invited', 'invitations')}`)
      .send({ name: 'Joss Pellwater', email: 'joss@elsewhere.example', password: 'a pier in the fog' })
      .expect(204);
    expect((await edits('people', app.lead))[0]).toMatchObject({
      by: 'Joss Pellwater',
      fields: [{ field: 'email', from: 'joss@ninthmole.example', to: 'joss@elsewhere.example' }],
    });
    // A new password is told to nobody.
    await app.barista
      .put('/api/password')
      .send({ present: 'harbour-bench', next: 'another harbour' })
      .expect(204);
    expect(JSON.stringify(await edits('people', app.lead))).not.toMatch(/password|argon/i);
  });
});
