import { expect, it } from 'vitest';
import { createStore } from '../app/store';
import { api } from '../api/api';
import { standInServer } from '../testing/renderPart';
import { practiceApi } from '../practice/practiceApi';
import { sessionApi } from './sessionApi';

const readings = (sent: { method: string; path: string }[]) =>
  sent.filter(({ method, path }) => method === 'GET' && path === 'practice').length;

const watching = () => {
  const store = createStore();
  void store.dispatch(practiceApi.endpoints.practice.initiate());
  const read = () => practiceApi.endpoints.practice.select()(store.getState());
  return { store, read };
};

it('who signs in is shown nothing that was read for somebody else', async () => {
  const sent = standInServer({ 'GET practice': { body: [] }, 'POST session': { body: { person: null } } });
  const { store, read } = watching();
  await expect.poll(() => read().isSuccess).toBe(true);
  await store.dispatch(
    sessionApi.endpoints.signIn.initiate({ email: 'b@ninthmole.example', password: 'harbour-two' }),
  );
  await expect.poll(() => readings(sent)).toBe(2);
});

it('nothing that was read for one person is kept when she signs out', async () => {
  standInServer({ 'GET practice': { body: [] }, 'DELETE session': { body: { person: null } } });
  const { store, read } = watching();
  await expect.poll(() => read().isSuccess).toBe(true);
  await store.dispatch(sessionApi.endpoints.signOut.initiate());
  expect(read().data).toBeUndefined();
  expect(store.getState()[api.reducerPath].queries).toEqual({});
});

it('a sign-out that did not reach the server takes nothing away', async () => {
  standInServer({ 'GET practice': { body: [{ id: 1 }] }, 'DELETE session': { status: 503, body: {} } });
  const { store, read } = watching();
  await expect.poll(() => read().isSuccess).toBe(true);
  await store.dispatch(sessionApi.endpoints.signOut.initiate());
  expect(read().data).toEqual([{ id: 1 }]);
});
