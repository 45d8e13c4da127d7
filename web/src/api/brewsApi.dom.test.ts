import { expect, it } from 'vitest';
import { createStore } from '../app/store';
import { brewItem, brewView, recipe } from '../testing/fixtures';
import { standInServer } from '../testing/renderPart';
import { brewsApi } from './brewsApi';
import { lotsApi } from './lotsApi';
import { recipesApi } from './recipesApi';

it('a brew that was changed is as the change was answered, before it is read again', async () => {
  const before = brewView({ note: 'before' });
  standInServer({
    'GET brews/21': { body: before },
    'PUT brews/21/verdict': { body: { ...before, verdict: 'on-aim', note: 'after' } },
  });
  const store = createStore();
  const { brew, giveVerdict } = brewsApi.endpoints;
  await store.dispatch(brew.initiate(21));
  const shown = () => brew.select(21)(store.getState()).data?.note;
  expect(shown()).toBe('before');
  await store.dispatch(giveVerdict.initiate({ id: 21, verdict: { verdict: 'on-aim', reason: '' } }));
  expect(shown()).toBe('after');
});

it('a brew that was changed is so in the lists of its recipe too, before they are read again', async () => {
  const before = brewView();
  const line = brewItem({ id: before.id });
  const result = { ...before.result!, strength: { ...before.result!.strength, meanPercent: 1.29 } };
  standInServer({
    'GET recipes/7': { body: recipe({ brews: [line] }) },
    'POST brews/21/readings': { body: { ...before, result } },
  });
  const store = createStore();
  const { recipe: one } = recipesApi.endpoints;
  await store.dispatch(one.initiate(7));
  const reading = { tdsPercent: 1.29, sampleC: null, source: 'typed' as const };
  await store.dispatch(brewsApi.endpoints.addReading.initiate({ id: 21, reading }));
  const shown = one.select(7)(store.getState()).data?.brews[0];
  expect(shown?.result).toEqual(result);
  expect(Object.keys(shown ?? {}).sort()).toEqual(Object.keys(line).sort());
});

it('a change reads again what it touches and nothing else: not the brew that it answered, no other lot', async () => {
  const now = brewView();
  const otherLot = recipe({ id: 99, lot: { ...recipe().lot, id: 44 } });
  const sent = standInServer({
    'GET brews/21': { body: now },
    'GET recipes/7': { body: recipe() },
    'GET recipes/99': { body: otherLot },
    'GET lots/3': { body: {} },
    'GET lots/44': { body: {} },
    'GET lots': { body: { lots: [], total: 0, countByStage: {} } },
    'PUT brews/21/verdict': { body: { ...now, verdict: 'on-aim' } },
  });
  const store = createStore();
  const read = [
    brewsApi.endpoints.brew.initiate(21),
    recipesApi.endpoints.recipe.initiate(7),
    recipesApi.endpoints.recipe.initiate(99),
    lotsApi.endpoints.lot.initiate(3),
    lotsApi.endpoints.lot.initiate(44),
    lotsApi.endpoints.lots.initiate({}),
  ];
  for (const each of read) await store.dispatch(each as never);
  sent.length = 0;
  await store.dispatch(
    brewsApi.endpoints.giveVerdict.initiate({ id: 21, verdict: { verdict: 'on-aim', reason: '' } }),
  );
  await expect.poll(() => sent.filter(({ method }) => method === 'GET').length).toBe(3);
  expect(sent.map(({ method, path }) => `${method} ${path}`).sort()).toEqual([
    'GET lots',
    'GET lots/3',
    'GET recipes/7',
    'PUT brews/21/verdict',
  ]);
});
