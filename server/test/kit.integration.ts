import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { MODEL_VERSION, USUAL_SCHOOLS } from '@vendu/core';
import type { BrewerView, KitView, RecipeView, StartingPreview, Problem } from '@vendu/contract';
import { LotModel } from '../src/lots/lot.model.js';
import { startTestApplication, takeInLot, type TestApplication } from './support/application.js';

let app: TestApplication;
beforeAll(async () => {
  app = await startTestApplication();
});
afterAll(() => app.close());

const kit = async () => (await app.barista.get('/api/kit').expect(200)).body as KitView;
const fieldsOf = (body: unknown) =>
  (body as { errors: { field: string }[] }).errors.map(({ field }) => field);
const GRINDER = {
  name: 'Bollard mill',
  burrSet: 'first set',
  settingStep: 0.5,
  points: [
    { setting: 2, grindUm: 500 },
    { setting: 8, grindUm: 1000 },
  ],
};

/** A brewer as its form sends it. */
const asTyped = ({
  id: _,
  outlet: _outlet,
  paper: _paper,
  geometry: _geometry,
  paperResistancePerM: _resistance,
  ...brewer
}: BrewerView) => brewer;

describe('the kit', () => {
  it('takes a grinder, and refuses points that make no curve', async () => {
    const added = (await app.barista.post('/api/kit/grinders').send(GRINDER).expect(201)).body as KitView;
    expect(added.grinders.at(-1)).toMatchObject({ name: 'Bollard mill', points: GRINDER.points });
    const falling = {
      ...GRINDER,
      name: 'Falling',
      points: [...GRINDER.points].reverse().map((point, at) => ({ ...point, setting: at })),
    };
    const response = await app.barista.post('/api/kit/grinders').send(falling).expect(422);
    expect(fieldsOf(response.body)).toEqual(['points']);
    const twice = await app.barista.post('/api/kit/grinders').send(GRINDER).expect(422);
    expect(fieldsOf(twice.body)).toEqual(['name']);
  });

  it('overwrites nobody unseen', async () => {
    const [kettle] = (await kit()).kettles;
    const change = { name: kettle?.name, stepC: 0.5, hasScale: true, revision: kettle?.revision };
    await app.barista
      .put(`/api/kit/kettles/${kettle?.id ?? 0}`)
      .send(change)
      .expect(200);
    await app.secondBarista
      .put(`/api/kit/kettles/${kettle?.id ?? 0}`)
      .send(change)
      .expect(409);
    expect((await kit()).kettles[0]).toMatchObject({ stepC: 0.5, hasScale: true });
  });

  it('another bottom keeps the body of its brewer, and follows it', async () => {
    const { brewers } = await kit();
    const body = brewers.find(({ bodyOfId }) => bodyOfId === null)!;
    const own = { bottomDiameterMm: 20, outletDiameterMm: 4, outletCount: 3, usualDoseG: 14, capacityG: 200 };
    const bottom = { ...asTyped(body), ...own, name: 'Three small holes', bodyOfId: body.id, revision: null };
    const sent = { ...bottom, heightMm: 12, ribs: null, wallMaterial: null, wallMm: null };
    const added = (await app.barista.post('/api/kit/brewers').send(sent).expect(201)).body as KitView;
    const stored = added.brewers.at(-1)!;
    // What is the body's is taken from there, whatever was sent.
    expect(stored).toMatchObject({ ...own, heightMm: body.heightMm, ribs: body.ribs, bodyOfId: body.id });
    expect(stored.outlet).toBe('3 holes of 4 mm');
    const ofBottom = await app.barista
      .post('/api/kit/brewers')
      .send({ ...bottom, name: 'Of a bottom', bodyOfId: stored.id })
      .expect(422);
    expect(fieldsOf(ofBottom.body)).toEqual(['bodyOfId']);
    const asBottom = await app.barista
      .put(`/api/kit/brewers/${body.id}`)
      .send({ ...asTyped(body), bodyOfId: brewers.find(({ id }) => id !== body.id)!.id })
      .expect(422);
    expect(fieldsOf(asBottom.body)).toEqual(['bodyOfId']);
    // The bottom is filled with 200 g of water; a body that holds less would not fit it.
    const low = { ...asTyped(body), heightMm: 20, capacityG: 50 };
    const misfit = await app.barista.put(`/api/kit/brewers/${body.id}`).send(low).expect(422);
    expect((misfit.body as Problem).detail).toMatch(/^Three small holes would not fit: /);
    const higher = { ...asTyped(body), heightMm: body.heightMm + 5 };
    const changed = (await app.barista.put(`/api/kit/brewers/${body.id}`).send(higher).expect(200))
      .body as KitView;
    expect(changed.brewers.at(-1)).toMatchObject({ heightMm: body.heightMm + 5, bottomDiameterMm: 20 });
  });

  it('a body and a bottom saved at one moment fit each other, whoever came first', async () => {
    const { brewers } = await kit();
    const plain = asTyped(brewers.find(({ bodyOfId }) => bodyOfId === null)!);
    const small = { outletDiameterMm: 4, outletCount: 3, usualDoseG: 14, capacityG: 200 };
    for (let pair = 1; pair <= 12; pair += 1) {
      const body = { ...plain, name: `Body ${pair}`, revision: null };
      const made = (await app.barista.post('/api/kit/brewers').send(body).expect(201)).body as KitView;
      const { id, revision } = made.brewers.at(-1)!;
      const bottom = { ...body, ...small, name: `Bottom ${pair}`, bodyOfId: id };
      const [lower, added] = await Promise.all([
        app.barista.put(`/api/kit/brewers/${id}`).send({ ...body, revision, heightMm: 20, capacityG: 50 }),
        app.secondBarista.post('/api/kit/brewers').send(bottom),
      ]);
      // One of the two found the other there.
      expect([lower.status, added.status], `pair ${pair}`).not.toEqual([200, 201]);
    }
  });

  it('takes sieves, regulators and shower plates, each with what belongs to it', async () => {
    const sieve = { name: 'Fine mesh', holesUm: 280 };
    await app.barista.post('/api/kit/sieves').send(sieve).expect(201);
    const funnel = { kind: 'regulator', name: 'Funnel', holeMm: 2, holdsG: 200, flowGps: 2.2 };
    const added = (await app.barista.post('/api/kit/feeders').send(funnel).expect(201)).body as KitView;
    expect(added.sieves.find(({ name }) => name === 'Fine mesh')).toMatchObject(sieve);
    expect(added.feeders.at(-1)).toMatchObject(funnel);
    for (const [part, { id }] of [
      ['feeders', added.feeders.at(-1)!],
      ['sieves', added.sieves.find(({ name }) => name === 'Fine mesh')!],
    ] as const) {
      const left = (await app.barista.delete(`/api/kit/${part}/${id}`).expect(200)).body as KitView;
      expect(left[part].map((each) => each.id)).not.toContain(id);
      await app.barista.delete(`/api/kit/${part}/${id}`).expect(404);
    }
    for (const wrong of [
      { ...funnel, name: 'No flow', flowGps: null },
      { ...funnel, name: 'Metering plate', kind: 'shower-plate' },
    ]) {
      const refused = await app.barista.post('/api/kit/feeders').send(wrong).expect(422);
      expect(fieldsOf(refused.body)).toEqual(['flowGps']);
    }
  });

  it('keeps what others state of two grinders until it is removed', async () => {
    const [first, second] = (await kit()).grinders;
    const stated = {
      grinderId: first?.id,
      setting: 5,
      otherGrinderId: second?.id,
      otherSetting: 19.5,
      source: 'a neighbour',
    };
    const added = (await app.barista.post('/api/kit/stated-settings').send(stated).expect(201))
      .body as KitView;
    const { id } = added.statedSettings.find(({ source }) => source === 'a neighbour')!;
    const same = await app.barista
      .post('/api/kit/stated-settings')
      .send({ ...stated, otherGrinderId: first?.id })
      .expect(422);
    expect(fieldsOf(same.body)).toEqual(['otherGrinderId']);
    const left = (await app.barista.delete(`/api/kit/stated-settings/${id}`).expect(200)).body as KitView;
    expect(left.statedSettings.some((each) => each.id === id)).toBe(false);
    await app.barista.delete(`/api/kit/stated-settings/${id}`).expect(404);
  });

  it('refuses the ends of a scale and of a word the wrong way round', async () => {
    const words = [{ word: 'medium', fromSetting: 6, toSetting: 4 }];
    for (const [wrong, field] of [
      [{ finestSetting: 8, coarsestSetting: 2 }, 'coarsestSetting'],
      [{ words }, 'words.0.toSetting'],
    ] as const) {
      const refused = await app.barista
        .post('/api/kit/grinders')
        .send({ ...GRINDER, name: 'Wrong way', ...wrong })
        .expect(422);
      expect(fieldsOf(refused.body)).toEqual([field]);
    }
  });

  it('works a mixed water out from its mix, whatever was typed beside it', async () => {
    const mix = {
      bottleL: 5,
      base: { hardnessMgPerL: 10, alkalinityMgPerL: 0 },
      concentrates: [
        { name: 'hard', hardnessPerG: 8, alkalinityPerG: 0, gPerL: 5 },
        { name: 'soft', hardnessPerG: 0, alkalinityPerG: 9, gPerL: 4 },
      ],
    };
    const water = {
      name: 'Mixed',
      origin: 'mixed',
      hardnessMgPerL: 1,
      alkalinityMgPerL: 1,
      mineralsMgPerL: 90,
      mix,
    };
    const { waters } = (await app.barista.post('/api/kit/waters').send(water).expect(201)).body as KitView;
    // 10 + 5 x 8 and 4 x 9 mg/L.
    expect(waters.at(-1)).toMatchObject({ hardnessMgPerL: 50, alkalinityMgPerL: 36 });
    const response = await app.barista
      .post('/api/kit/waters')
      .send({ ...water, name: 'No mix', mix: null })
      .expect(422);
    expect(fieldsOf(response.body)).toEqual(['mix']);
  });

  it('keeps zero checks and says when the next is due', async () => {
    const due = (await kit()).instruments.find(({ isZeroDue }) => isZeroDue);
    const checked = (
      await app.barista
        .post(`/api/kit/instruments/${due?.id ?? 0}/zero-checks`)
        .send({ shown: 0.1 })
        .expect(201)
    ).body as KitView;
    expect(checked.instruments.find(({ id }) => id === due?.id)).toMatchObject({
      isZeroDue: false,
      lastZero: { shown: 0.1 },
    });
  });

  it('leaves house and schools to leads', async () => {
    const { house } = await kit();
    const schools = { ...USUAL_SCHOOLS, revision: house.revision };
    await app.barista.put('/api/kit/schools').send(schools).expect(403);
    await app.lead
      .put('/api/kit/schools')
      .send({ ...schools, end: 'drop' })
      .expect(422);
    const { name, place, elevationM, roomC, window, revision } = house;
    const lab = { name, place, elevationM, roomC, ...window, revision };
    const response = await app.lead
      .put('/api/kit/house')
      .send({ ...lab, tdsHighPercent: 1.1 })
      .expect(422);
    expect(fieldsOf(response.body)).toEqual(['tdsHighPercent']);
  });
});

describe('the starting recipe looked at first', () => {
  it('moves with a rule switched off, and is kept with what was switched', async () => {
    const lot = await takeInLot(app.barista, { process: 'co-fermented' });
    const asked = { brewerId: 1, grinderId: 1 };
    const preview = async (more: object) =>
      (
        await app.barista
          .post(`/api/lots/${lot.id}/starting-recipe`)
          .send({ ...asked, ...more })
          .expect(200)
      ).body as StartingPreview;
    const [plain, without] = [await preview({}), await preview({ switchedOff: ['co-fermented'] })];
    expect(plain.forecast.isRough).toBe(true);
    expect(without.plan.pours.length).toBeGreaterThan(plain.plan.pours.length);
    const kept = (
      await app.barista
        .post(`/api/lots/${lot.id}/recipes`)
        .send({ ...asked, switchedOff: ['co-fermented'] })
        .expect(201)
    ).body as RecipeView;
    expect(kept.versions[0]?.plan).toEqual(without.plan);
  });

  it('stands where the recipe stands, not the house', async () => {
    const lot = await takeInLot(app.barista);
    const schools = { ...USUAL_SCHOOLS, end: 'lift' };
    const asked = { brewerId: 1, grinderId: 1, schools };
    const kept = (await app.barista.post(`/api/lots/${lot.id}/recipes`).send(asked).expect(201))
      .body as RecipeView;
    expect(kept.versions[0]?.plan.lifts).toBe(true);
    expect(kept).toMatchObject({ hasOwnSchools: true, schools: { end: 'lift' } });
    const back = await app.barista.put(`/api/recipes/${kept.id}/schools`).send({ schools: null }).expect(200);
    expect(back.body).toMatchObject({ hasOwnSchools: false, schools: { end: 'let-drain' } });
  });

  it('follows paper, water, kettle and aim, and keeps them with the recipe', async () => {
    const lot = await takeInLot(app.barista);
    const { papers, waters, kettles } = (await app.barista.get('/api/kit').expect(200)).body as KitView;
    const thick = papers.reduce((a, b) => (b.resistancePerM > a.resistancePerM ? b : a));
    const aim = { tdsLowPercent: 1.3, tdsHighPercent: 1.45, yieldLowPercent: 17, yieldHighPercent: 18 };
    const asked = {
      brewerId: 1,
      grinderId: 1,
      paperId: thick.id,
      waterId: waters[0]?.id,
      kettleId: kettles[0]?.id,
      aim,
    };
    const plain = await app.barista
      .post(`/api/lots/${lot.id}/starting-recipe`)
      .send({ brewerId: 1, grinderId: 1 })
      .expect(200);
    const kept = (await app.barista.post(`/api/lots/${lot.id}/recipes`).send(asked).expect(201))
      .body as RecipeView;
    expect(kept).toMatchObject({ paperName: thick.name, waterName: waters[0]?.name, aim });
    expect(kept.versions[0]?.reasons?.kitNotes?.[0]?.note).toContain(waters[0]?.name);
    // Between the ends of the aim that was asked for, and below the house's.
    const target = kept.versions[0]?.reasons?.grindFit?.targetYieldPercent ?? 0;
    expect(target).toBeGreaterThanOrEqual(17);
    expect(target).toBeLessThanOrEqual(18);
    expect(kept.versions[0]?.plan.grindUm).toBeGreaterThan((plain.body as StartingPreview).plan.grindUm);

    const setup = { waterId: null, kettleId: null, aim: null };
    const changed = await app.barista.put(`/api/recipes/${kept.id}/setup`).send(setup).expect(200);
    expect(changed.body).toMatchObject({ waterName: null, kettleName: null, aim: null });
    const refusals: [object, string][] = [
      [{ waterId: 9999 }, 'waterId'],
      [{ aim: { ...aim, yieldHighPercent: 16 } }, 'aim.yieldHighPercent'],
    ];
    for (const [wrong, field] of refusals) {
      const response = await app.barista.put(`/api/recipes/${kept.id}/setup`).send({ ...setup, ...wrong });
      expect(response.status).toBe(422);
      expect((response.body as Problem).errors).toMatchObject([{ field }]);
    }
  });

  it('keeps a plan that was brought along in its place, unless it cannot be brewed', async () => {
    const lot = await takeInLot(app.barista);
    const { plan } = (
      await app.barista.post(`/api/lots/${lot.id}/starting-recipe`).send({ brewerId: 1, grinderId: 1 })
    ).body as StartingPreview;
    const scaled = { ...plan, doseG: 20 };
    const asked = { brewerId: 2, grinderId: 1, plan: scaled, note: 'Scaled from a cone' };
    const kept = (await app.barista.post(`/api/lots/${lot.id}/recipes`).send(asked).expect(201))
      .body as RecipeView;
    expect(kept.versions).toMatchObject([{ plan: scaled, note: 'Scaled from a cone', reasons: null }]);
    const reversed = { tdsLowPercent: 1.4, tdsHighPercent: 1.2, yieldLowPercent: 18, yieldHighPercent: 20 };
    const aimless = await app.barista
      .post(`/api/lots/${lot.id}/recipes`)
      .send({ ...asked, aim: reversed })
      .expect(422);
    expect((aimless.body as Problem).errors[0]?.field).toBe('aim.tdsHighPercent');
    const drainedTooSoon = { ...asked, plan: { ...scaled, drawdownS: 31 } };
    const refused = await app.barista.post(`/api/lots/${lot.id}/recipes`).send(drainedTooSoon).expect(422);
    expect((refused.body as Problem).errors[0]?.field).toMatch(/^plan\./);
  });

  it('learns from finished lots like it, and says what they share', async () => {
    const lot = await takeInLot(app.barista, {
      elevationFromM: 1900,
      elevationToM: 2000,
      roastLevel: 'light',
    });
    const { similar, earlierLots } = (
      await app.barista
        .post(`/api/lots/${lot.id}/starting-recipe`)
        .send({ brewerId: 1, grinderId: 1 })
        .expect(200)
    ).body as StartingPreview;
    expect(earlierLots).toBeGreaterThan(0);
    const [ridge] = similar;
    expect(ridge).toMatchObject({ name: 'Umuseke Ridge' });
    expect(ridge?.because).toEqual(
      expect.arrayContaining(['same process', 'same kind of brewer', 'same roast level']),
    );
  });

  it('believes nothing that another version of the model learned, and learns it again at the start', async () => {
    const lot = await takeInLot(app.barista);
    const learnedFrom = async () => {
      const path = `/api/lots/${lot.id}/starting-recipe`;
      const response = await app.barista.post(path).send({ brewerId: 1, grinderId: 1 }).expect(200);
      return (response.body as StartingPreview).earlierLots;
    };
    const before = await learnedFrom();
    await LotModel.update({ evidenceModel: '2' }, { where: { evidenceModel: MODEL_VERSION } });
    expect(await learnedFrom()).toBe(0);
    await app.restart();
    await expect.poll(learnedFrom, { timeout: 60_000 }).toBe(before);
  }, 90_000);
});
