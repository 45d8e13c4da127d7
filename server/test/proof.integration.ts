import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type TestAgent from 'supertest/lib/agent.js';
import { PROOF_CHECKS, planWaterG, USUAL_CHECKLIST } from '@vendu/core';
import type { BrewView, KitView, LotsPageView, Problem, ProofView, RecipeView } from '@vendu/contract';
import { RecipeVersionModel } from '../src/recipes/recipe-version.model.js';
import {
  brewOf,
  signOff,
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

/** A recipe, accepted as it is. */
async function accepted(facts: object = {}) {
  const recipe = await startRecipe(app.barista, (await takeInLot(app.barista, facts)).id);
  const version = recipe.versions[0]!;
  await app.barista.put(`/api/recipe-versions/${version.id}/acceptance`).expect(200);
  return { recipe, version, path: `/api/recipe-versions/${version.id}` };
}

/** A brew of it as planned, weighed and read. */
async function brewed(
  agent: TestAgent,
  recipe: RecipeView,
  { tds = 1.3, grinderId = null as number | null, fromCard = agent === app.secondBarista } = {},
) {
  const { plan } = recipe.versions[0]!;
  const stored = (
    await agent
      .put(`/api/brews/by-key/${randomUUID()}`)
      .send(brewOf(recipe, { grinderId, fromCard }))
      .expect(200)
  ).body as BrewView;
  const weights = {
    doseG: plan.doseG,
    waterG: planWaterG(plan),
    beverageG: planWaterG(plan) - 2 * plan.doseG,
  };
  await agent
    .patch(`/api/brews/${stored.id}`)
    .send({ revision: stored.revision, ...weights, note: '' })
    .expect(200);
  await agent.post(`/api/brews/${stored.id}/readings`).send({ tdsPercent: tds }).expect(201);
  return stored;
}

const taste = (agent: TestAgent, { id }: BrewView, notes: string) =>
  Promise.all(
    ['hot', 'warm', 'cool'].map((stage) =>
      agent.put(`/api/brews/${id}/tastings/${stage}`).send({ notes, intensities: {} }).expect(200),
    ),
  );

const proofOf = async (path: string, agent = app.lead) =>
  (await agent.get(`${path}/proof`).expect(200)).body as ProofView;
const missing = ({ checks }: ProofView) =>
  checks.filter(({ state }) => state === 'missing').map(({ check }) => check);

/** As the list of lots has it. */
async function listed(lotId: number) {
  const { lots } = (await app.barista.get('/api/lots').query({ sort: 'recent' }).expect(200))
    .body as LotsPageView;
  return lots.find(({ id }) => id === lotId)?.proofMissing;
}

describe('a proof', () => {
  it('is told of in the list of lots as it goes', async () => {
    const started = await startRecipe(app.barista, (await takeInLot(app.barista)).id);
    expect(await listed(started.lot.id)).toBeNull();
    const { recipe, path } = await accepted();
    const lotId = recipe.lot.id;
    expect(await listed(lotId)).toEqual(['repeats', 'second-hands', 'second-grinder', 'three-stages']);
    const brew = await brewed(app.barista, recipe);
    await taste(app.barista, brew, 'plum');
    expect(await listed(lotId)).toEqual(['repeats', 'second-hands', 'second-grinder']);
    await app.lead.put(`${path}/waivers/repeats`).send({ reason: 'enough' }).expect(200);
    expect(await listed(lotId)).toEqual(['second-hands', 'second-grinder']);
    await signOff(app.lead, recipe.versions[0]!.id);
    expect(await listed(lotId)).toBeNull();
  });

  it('is met by three brews, a second person on a second grinder among them, and stays with the sign-off', async () => {
    const { recipe, path, version } = await accepted({ labelNotes: ['plum', 'black tea'] });
    expect(missing(await proofOf(path))).toEqual([
      'repeats',
      'second-hands',
      'second-grinder',
      'three-stages',
      'label',
    ]);
    const refused = await app.lead.put(`${path}/sign-off`).send({}).expect(409);
    expect((refused.body as Problem).detail).toMatch(
      /^Not proven yet, missing: repeats that agree; another pair of hands/,
    );

    const first = await brewed(app.barista, recipe);
    await brewed(app.barista, recipe, { tds: 1.33 });
    const other = await brewed(app.secondBarista, recipe, { tds: 1.28, grinderId: 2 });
    await taste(app.barista, first, 'plum, tea');
    const found = await proofOf(path, app.barista);
    expect(missing(found)).toEqual([]);
    expect(found).toMatchObject({ isProven: true, isOneHand: false });
    expect(found.checks.find(({ check }) => check === 'second-grinder')?.brewIds).toEqual([other.id]);
    expect(found.strength).toMatchObject({ count: 3, hands: 2 });
    expect(found.brews.map(({ id }) => id)).toEqual([other.id, expect.any(Number), first.id]);

    await app.lead.put(`${path}/sign-off`).send({}).expect(200);
    const kept = await RecipeVersionModel.findByPk(version.id, { rejectOnEmpty: true });
    expect(kept.proof).toMatchObject({ isProven: true, isOneHand: false, strength: { count: 3 } });
  });

  it('that fell apart after the sign-off is looked at again before it is published', async () => {
    const { recipe, path, version } = await accepted();
    const [one] = [
      await brewed(app.barista, recipe),
      await brewed(app.barista, recipe),
      await brewed(app.secondBarista, recipe, { grinderId: 2 }),
    ];
    await taste(app.barista, one, 'sweet');
    await app.lead.put(`${path}/sign-off`).send({}).expect(200);
    await app.barista.post(`/api/brews/${one.id}/set-aside`).send({}).expect(200);
    const publication = { recipeVersionId: version.id, introduction: '' };
    const refused = await app.lead.post('/api/publications').send(publication).expect(409);
    expect((refused.body as Problem).detail).toContain('repeats that agree');
    for (const check of missing(await proofOf(path))) {
      await app.lead
        .put(`${path}/waivers/${check}`)
        .send({ reason: 'The cup fell; the others hold.' })
        .expect(200);
    }
    await app.lead.post('/api/publications').send(publication).expect(201);
  });

  it('is waived by a lead with a reason, which can be taken back until the sign-off', async () => {
    const { path } = await accepted();
    await app.barista.put(`${path}/waivers/repeats`).send({ reason: 'no time' }).expect(403);
    const empty = await app.lead.put(`${path}/waivers/repeats`).send({ reason: ' ' }).expect(422);
    expect((empty.body as Problem).errors[0]?.field).toBe('reason');
    await app.lead.put(`${path}/waivers/taste`).send({ reason: 'x' }).expect(404);
    for (const check of PROOF_CHECKS) {
      await app.lead
        .put(`${path}/waivers/${check}`)
        .send({ reason: `${check}: last year's` })
        .expect(200);
    }
    const waived = await proofOf(path);
    expect(waived.isProven).toBe(true);
    expect(waived.checks[0]).toMatchObject({
      state: 'waived',
      waiver: { reason: "repeats: last year's" },
      waived: { by: expect.any(String) as string },
    });
    await app.lead.delete(`${path}/waivers/second-hands`).expect(200);
    expect(missing(await proofOf(path))).toEqual(['second-hands']);
    await app.lead.put(`${path}/waivers/second-hands`).send({ reason: 'again' }).expect(200);
    await app.lead.put(`${path}/sign-off`).send({}).expect(200);
    await app.lead.delete(`${path}/waivers/second-hands`).expect(409);
  });

  it('made by one lead alone is signed off by him only with a reason', async () => {
    const { recipe, path } = await accepted();
    const checklist = {
      ...USUAL_CHECKLIST,
      repeats: 2,
      needsSecondHands: false,
      needsSecondGrinder: false,
      needsThreeStages: false,
    };
    await app.barista.put(`/api/recipes/${recipe.id}/checklist`).send({ checklist }).expect(403);
    await app.lead.put(`/api/recipes/${recipe.id}/checklist`).send({ checklist }).expect(200);
    await brewed(app.lead, recipe);
    await brewed(app.lead, recipe);
    expect(await proofOf(path)).toMatchObject({ hasOwnChecklist: true, isProven: true, isOneHand: true });
    const refused = await app.lead.put(`${path}/sign-off`).send({}).expect(422);
    expect((refused.body as Problem).errors[0]?.field).toBe('reason');
    await app.lead.put(`${path}/sign-off`).send({ reason: 'Nobody else is in this week.' }).expect(200);
    expect((await proofOf(path)).signOffReason).toBe('Nobody else is in this week.');
    await app.lead.put(`/api/recipes/${recipe.id}/checklist`).send({ checklist: null }).expect(200);
    expect((await proofOf(path)).hasOwnChecklist).toBe(false);
  });

  it('asks the model how a recipe forgives where the house wants to know', async () => {
    const { recipe, path } = await accepted();
    const checklist = { ...USUAL_CHECKLIST, forgivenPercent: 5 };
    await app.lead.put(`/api/recipes/${recipe.id}/checklist`).send({ checklist }).expect(200);
    expect(await listed(recipe.lot.id)).toContain('forgiveness');
    const finding = (await proofOf(path)).checks.find(({ check }) => check === 'forgiveness')?.finding;
    expect(finding).toMatchObject({ need: 5, percent: expect.any(Number) as number });
    // Once it is worked out, the list has it too.
    expect(await listed(recipe.lot.id)).not.toContain('forgiveness');
  });

  it('follows the checklist of the house, within its bounds', async () => {
    const { house } = (await app.lead.get('/api/kit')).body as KitView;
    expect(house.checklist).toEqual(USUAL_CHECKLIST);
    const wrong = { ...USUAL_CHECKLIST, repeats: 1, revision: house.revision };
    const refused = await app.lead.put('/api/kit/checklist').send(wrong).expect(422);
    expect((refused.body as Problem).errors[0]).toMatchObject({
      field: 'repeats',
      allowed: '2 to 12 brews',
    });
    await app.barista
      .put('/api/kit/checklist')
      .send({ ...wrong, repeats: 4 })
      .expect(403);
    await app.lead
      .put('/api/kit/checklist')
      .send({ ...wrong, repeats: 4 })
      .expect(200);
    const { path } = await accepted();
    expect((await proofOf(path)).checklist.repeats).toBe(4);
  });

  it('counts no sheet that whoever asks may not see yet, and no grinder that is not there', async () => {
    const { recipe, path } = await accepted({ labelNotes: ['plum'] });
    const brew = await brewed(app.barista, recipe);
    const lately = { startedAt: new Date().toISOString() };
    await app.barista
      .put(`/api/brews/by-key/${randomUUID()}`)
      .send(brewOf(recipe, { grinderId: 999 }, lately))
      .expect(422);
    const now = (
      await app.barista
        .put(`/api/brews/by-key/${randomUUID()}`)
        .send(brewOf(recipe, {}, lately))
        .expect(200)
    ).body as BrewView;
    await taste(app.barista, now, 'plum');
    expect(missing(await proofOf(path, app.barista))).not.toContain('label');
    expect(missing(await proofOf(path, app.secondBarista))).toContain('label');
    expect(brew.id).not.toBe(now.id);
  });
});
