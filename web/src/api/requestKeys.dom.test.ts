import { beforeEach, describe, expect, it, vi } from 'vitest';

const READING = { tdsPercent: 1.34 };
let keys: typeof import('./requestKeys');
const reload = async () => {
  vi.resetModules();
  keys = await import('./requestKeys');
};

beforeEach(async () => {
  localStorage.clear();
  await reload();
});

describe('the key of a request that stores something new', () => {
  it('is the same until an answer has come, through a reload too, and another afterwards', async () => {
    const first = keys.requestKeyFor('brews/1/readings', READING);
    expect(keys.requestKeyFor('brews/1/readings', { ...READING })).toBe(first);
    await reload();
    expect(keys.requestKeyFor('brews/1/readings', READING)).toBe(first);
    keys.requestAnswered('brews/1/readings', READING);
    expect(keys.requestKeyFor('brews/1/readings', READING)).not.toBe(first);
  });

  it('is another for another place or another content', () => {
    const made = new Set([
      keys.requestKeyFor('brews/1/readings', READING),
      keys.requestKeyFor('brews/2/readings', READING),
      keys.requestKeyFor('brews/1/readings', { tdsPercent: 1.35 }),
    ]);
    expect(made.size).toBe(3);
  });

  it('is another when the same is sent a quarter of an hour later', () => {
    const first = keys.requestKeyFor('lots', READING, 0);
    expect(keys.requestKeyFor('lots', READING, 9 * 60_000)).toBe(first);
    expect(keys.requestKeyFor('lots', READING, 15 * 60_000)).not.toBe(first);
  });
});
