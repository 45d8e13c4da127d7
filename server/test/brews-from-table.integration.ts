import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { planWaterG } from '@vendu/core';
import type { BrewInFileDto, BrewsFileTaken, BrewView, LotView, Problem, RecipeView } from '@vendu/contract';
import { startRecipe, startTestApplication, takeInLot, type TestApplication } from './support/application.js';

let app: TestApplication;
let lot: LotView;
let recipe: RecipeView;
beforeAll(async () => {
  app = await startTestApplication();
  lot = await takeInLot(app.barista, { roastedOn: '2026-01-15', stockG: 500 });
  recipe = await startRecipe(app.barista, lot.id);
});
afterAll(() => app.close());

const send = (brews: Partial<BrewInFileDto>[], status: number) =>
  app.barista.post(`/api/lots/${lot.id}/brews/import`).send({ recipeId: recipe.id, brews }).expect(status);
const trail = async () => ((await app.barista.get(`/api/lots/${lot.id}`).expect(200)).body as LotView).brews;
const line = (): Partial<BrewInFileDto> => {
  const { plan } = recipe.versions[0]!;
  return {
    brewedAt: '2026-01-25T09:00:00.000Z',
    doseG: plan.doseG,
    waterG: planWaterG(plan),
    beverageG: planWaterG(plan) - 2 * plan.doseG,
    drainS: 171,
    tdsPercents: [1.3, 1.32],
    note: 'from a notebook',
  };
};

describe('brews from a table', () => {
  it('come in with their weights, readings and drain time, once, and take nothing from what is weighed in', async () => {
    const taken = (await send([line(), { ...line(), brewedAt: '2026-01-26T09:00:00.000Z' }], 201))
      .body as BrewsFileTaken;
    expect(taken).toEqual({ brews: 2, readings: 4, known: 0 });
    const [first] = await trail();
    const brew = (await app.barista.get(`/api/brews/${first?.id}`).expect(200)).body as BrewView;
    expect(brew).toMatchObject({ note: 'from a notebook', roastAgeDays: 10, isSimulated: false });
    const drawdown = brew.steps.at(-1);
    expect([brew.steps.length, drawdown?.atS]).toEqual([2, 171]);
    expect(brew.result?.strength.meanPercent).toBeCloseTo(1.31, 5);
    // They teach as any brew does.
    expect(brew.result?.yield.basis).toBe('weighed');
    expect((await app.barista.get(`/api/lots/${lot.id}`).expect(200)).body).toMatchObject({
      gramsLeftG: 500,
    });
    expect((await send([line()], 201)).body).toEqual({ brews: 0, readings: 0, known: 1 });
    expect(await trail()).toHaveLength(2);
  });

  it('add readings to a brew that is here and was not read, and to no other', async () => {
    await send([{ ...line(), brewedAt: '2026-01-27T09:00:00.000Z', tdsPercents: [] }], 201);
    expect((await send([{ number: 3, tdsPercents: [1.28] }], 201)).body).toEqual({
      brews: 0,
      readings: 1,
      known: 0,
    });
    expect((await send([{ number: 3, tdsPercents: [1.28] }], 201)).body).toMatchObject({ known: 1 });
    expect((await trail())[2]?.result?.strength.meanPercent).toBeCloseTo(1.28, 5);
  });

  it.each<[string, Partial<BrewInFileDto>, string, RegExp]>([
    ['brewed tomorrow', { brewedAt: '2999-01-01' }, 'brewedAt', /until now/],
    ['brewed before its roast', { brewedAt: '2026-01-10' }, 'roastedOn', /No batch was roasted by then/],
    [
      'of a batch roasted later',
      { brewedAt: '2026-01-10', roastedOn: '2026-01-15' },
      'roastedOn',
      /roasted later/,
    ],
    ['of a batch that is none', { roastedOn: '2026-01-16' }, 'roastedOn', /roasted on 2026-01-16/],
    ['of a version that is none', { version: 9 }, 'version', /no version 9/],
    ['heavier than its water', { beverageG: 400, waterG: 250 }, 'beverageG', /./],
    ['with a slipped point', { tdsPercents: [13.2] }, 'tdsPercents', /./],
    ['of a dose that is none', { doseG: 500 }, 'doseG', /Dose must be 5 to 120 g/],
    ['without a day', { brewedAt: null }, 'brewedAt', /required/],
    ['read of no brew', { number: 99 }, 'number', /no brew 99/],
  ])('are refused whole where one was %s', async (_, wrong, field, message) => {
    const before = (await trail()).length;
    const problem = (
      await send(
        [
          { ...line(), brewedAt: '2026-02-02' },
          { ...line(), ...wrong },
        ],
        422,
      )
    ).body as Problem;
    expect(problem.errors[0]).toMatchObject({ field: `brews.1.${field}` });
    expect(problem.errors[0]?.message).toMatch(message);
    expect(await trail()).toHaveLength(before);
  });
});
