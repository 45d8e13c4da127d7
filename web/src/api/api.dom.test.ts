import { beforeEach, describe, expect, it, vi } from 'vitest';
import './lotsApi';
import '../session/sessionApi';
import { createStore } from '../app/store';
import { api } from './api';

const sent: Request[] = [];
beforeEach(() => {
  localStorage.clear();
  sent.length = 0;
  // A server that is gone: nothing of what is sent is answered.
  vi.stubGlobal('fetch', (request: Request) => {
    sent.push(request);
    return Promise.reject(new TypeError('gone'));
  });
});
const kept = () => Object.values({ ...localStorage }).join();

/** Sends by an endpoint that a feature has added. */
async function send(endpoint: string, argument: object): Promise<void> {
  const { initiate } = (api.endpoints as Record<string, { initiate: (argument: object) => never }>)[
    endpoint
  ]!;
  await createStore().dispatch(initiate(argument));
}

describe('a request whose answer is not known', () => {
  it('is kept on this device with its key, to be known again', async () => {
    await send('weighStock', { id: 3, massG: 640 });
    await send('weighStock', { id: 3, massG: 640 });
    const keys = sent.map((request) => request.headers.get('Idempotency-Key'));
    expect(keys[0]).toMatch(/^[0-9a-f-]{36}$/);
    expect(keys[1]).toBe(keys[0]);
    expect(kept()).toContain('massG');
  });

  it('is not kept where it signs somebody in: a password is written down nowhere', async () => {
    await send('signIn', { email: 'a@b.example', password: 'secret-words' });
    expect(sent).toHaveLength(1);
    expect(kept()).not.toContain('secret-words');
  });
});

describe('a read that a write overtakes', () => {
  it('is made again: no page shows what was there before the write', async () => {
    let stored = 'old';
    const reads: (() => void)[] = [];
    vi.stubGlobal('fetch', async (request: Request) => {
      const seen = request.method === 'GET' ? stored : (stored = 'new');
      if (request.method === 'GET') await new Promise<void>((resolve) => reads.push(resolve));
      return new Response(JSON.stringify(seen), { headers: { 'content-type': 'application/json' } });
    });
    const { read, write } = api.injectEndpoints({
      endpoints: (build) => ({
        read: build.query<string, null>({ query: () => 'thing' }),
        write: build.mutation<string, null>({ query: () => ({ url: 'thing', method: 'PUT' }) }),
      }),
    }).endpoints;
    const { dispatch } = createStore();
    const reading = dispatch(read.initiate(null));
    await expect.poll(() => reads.length).toBe(1);
    await dispatch(write.initiate(null));
    reads[0]?.();
    await expect.poll(() => reads.length).toBe(2);
    reads[1]?.();
    expect((await reading).data).toBe('new');
  });
});
