import { expect, it } from 'vitest';
import { createStore } from '../app/store';
import { brewView } from '../testing/fixtures';
import { standInServer } from '../testing/renderPart';
import { brewsApi } from './brewsApi';

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
