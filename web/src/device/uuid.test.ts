import { afterEach, expect, it, vi } from 'vitest';
import { uuid } from './uuid';

afterEach(() => vi.unstubAllGlobals());

it('is a UUID of version 4, and another each time, with https and without', () => {
  const made = [uuid(), uuid()];
  vi.stubGlobal('crypto', { getRandomValues: crypto.getRandomValues.bind(crypto) });
  made.push(uuid(), uuid());
  // Published: RFC 9562, 5.4: version and variant stand in the third and fourth group.
  for (const each of made) {
    expect(each).toMatch(/^[0-9a-f]{8}-[0-9a-f]{4}-4[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/);
  }
  expect(new Set(made).size).toBe(4);
});
