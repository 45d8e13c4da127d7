import { afterAll, beforeAll, expect, it } from 'vitest';
import type { KinLotView, LotView } from '@vendu/contract';
import { startTestApplication, type TestApplication } from './support/application.js';

let app: TestApplication;
beforeAll(async () => {
  app = await startTestApplication();
});
afterAll(() => app.close());

async function takeIn(facts: object): Promise<LotView> {
  const lot = { name: 'Lot', country: 'UG', process: 'washed', roastedOn: '2026-01-15', ...facts };
  return (await app.barista.post('/api/lots').send(lot).expect(201)).body as LotView;
}

it('lots from the same hands are told newest first, by what they share, with their recipes', async () => {
  const first = await takeIn({ name: 'Year before', producer: 'Kasese mill', labelNotes: ['plum'] });
  await takeIn({ name: 'Elsewhere', country: 'RW', producer: 'Kasese mill' });
  const neighbour = await takeIn({ name: 'Same farm', farm: 'Lower slope', process: 'natural' });
  const lot = await takeIn({ name: 'This year', producer: 'KASESE mill', farm: 'Lower slope' });
  await takeIn({ name: 'Of nobody known' });
  await app.barista.post(`/api/lots/${first.id}/recipes`).send({ brewerId: 1, grinderId: 1 }).expect(201);

  const kin = (await app.barista.get(`/api/lots/${lot.id}/kin`).expect(200)).body as KinLotView[];
  expect(kin.map(({ id, sharedBy }) => ({ id, sharedBy }))).toEqual([
    { id: neighbour.id, sharedBy: 'farm' },
    { id: first.id, sharedBy: 'producer' },
  ]);
  expect(kin[1]).toMatchObject({ name: 'Year before', labelNotes: ['plum'] });
  expect(kin[1]?.recipes).toHaveLength(1);
  expect(kin[0]?.recipes).toEqual([]);
});

it('a lot of which neither producer nor farm is told has no kin', async () => {
  const alone = await takeIn({});
  await takeIn({});
  expect((await app.barista.get(`/api/lots/${alone.id}/kin`).expect(200)).body).toEqual([]);
  await app.barista.get('/api/lots/999999/kin').expect(404);
});
