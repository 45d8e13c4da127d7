import { expect, it } from 'vitest';
import { createStore } from '../app/store';
import { brewView } from '../testing/fixtures';
import { standInServer } from '../testing/renderPart';
import { brewsApi } from './brewsApi';

it('a write counts until it is answered or refused, also when nobody asks for its answer any more', async () => {
  standInServer({ 'POST brews/21/readings': { body: brewView() } });
  const store = createStore();
  const { addReading } = brewsApi.endpoints;
  const reading = { tdsPercent: 1.29, sampleC: null, source: 'typed' as const };
  const taken = store.dispatch(addReading.initiate({ id: 21, reading }));
  const refused = store.dispatch(addReading.initiate({ id: 22, reading }));
  expect(store.getState().writing).toBe(2);
  // As a page does that is left.
  taken.reset();
  expect(store.getState().writing).toBe(2);
  await Promise.all([taken, refused]);
  expect(store.getState().writing).toBe(0);
});
