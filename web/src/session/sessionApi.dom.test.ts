import { expect, it } from 'vitest';
import { createStore } from '../app/store';
import { api } from '../api/api';
import { lotsApi } from '../api/lotsApi';
import { problem, standInServer } from '../testing/renderPart';
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

it('who is signed in is read again once something is refused for want of a code, and for no other refusal', async () => {
  standInServer({
    'GET practice': problem('not-signed-in', 'Sign in to continue.'),
    'GET lots': problem('code-due', 'Set one up first.'),
  });
  const { store, read } = watching();
  void store.dispatch(sessionApi.endpoints.session.initiate());
  const session = () => sessionApi.endpoints.session.select()(store.getState());
  await expect.poll(() => session().isSuccess && read().isError).toBe(true);
  const { requestId } = session();
  const lots = store.dispatch(lotsApi.endpoints.lots.initiate({}));
  // Refused for something else, nothing was asked for again.
  expect(session().requestId).toBe(requestId);
  await lots;
  await expect.poll(() => session().requestId).not.toBe(requestId);
});
