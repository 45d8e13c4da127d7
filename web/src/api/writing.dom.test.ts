import { expect, it } from 'vitest';
import { createStore } from '../app/store';
import { brewItem, brewView, recipe } from '../testing/fixtures';
import { standInServer, type Answer } from '../testing/renderPart';
import { brewsApi } from './brewsApi';
import { recipesApi } from './recipesApi';

const { addReading } = brewsApi.endpoints;
const reading = { tdsPercent: 1.29, sampleC: null, source: 'typed' as const };

it('a write counts until it is answered or refused, also when nobody asks for its answer any more', async () => {
  standInServer({ 'POST brews/21/readings': { body: brewView() } });
  const store = createStore();
  const taken = store.dispatch(addReading.initiate({ id: 21, reading }));
  const refused = store.dispatch(addReading.initiate({ id: 22, reading }));
  expect(store.getState().writing).toBe(2);
  // As a page does that is left.
  taken.reset();
  expect(store.getState().writing).toBe(2);
  await Promise.all([taken, refused]);
  await expect.poll(() => store.getState().writing).toBe(0);
});

it('a write is over for nobody who still sees the lists as they were before it', async () => {
  const before = brewView();
  const result = { ...before.result!, strength: { ...before.result!.strength, meanPercent: 1.29 } };
  const answers: Record<string, Answer> = {
    'GET recipes/7': { body: recipe({ brews: [brewItem({ id: before.id })] }) },
    'POST brews/21/readings': { body: { ...before, result } },
  };
  standInServer(answers);
  const store = createStore();
  const { recipe: one } = recipesApi.endpoints;
  await store.dispatch(one.initiate(7));
  // What the lists say next comes from the answer alone: they cannot be read again.
  delete answers['GET recipes/7'];
  let seenWhenOver: number | null = null;
  const sent = store.dispatch(addReading.initiate({ id: 21, reading }));
  store.subscribe(() => {
    const shown = one.select(7)(store.getState()).data?.brews[0]?.result;
    if (store.getState().writing === 0) seenWhenOver ??= shown?.strength.meanPercent ?? null;
  });
  await sent;
  await expect.poll(() => store.getState().writing).toBe(0);
  expect(seenWhenOver).toBe(1.29);
});
