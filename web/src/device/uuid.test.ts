import { isUUID } from 'class-validator';
import { afterEach, expect, it, vi } from 'vitest';
import { uuid } from './uuid';

afterEach(() => vi.unstubAllGlobals());

it('is a UUID of version 4, and another each time, with https and without', () => {
  const made = [uuid(), uuid()];
  vi.stubGlobal('crypto', { getRandomValues: crypto.getRandomValues.bind(crypto) });
  made.push(uuid(), uuid());
  expect(made.every((each) => isUUID(each, '4'))).toBe(true);
  expect(new Set(made).size).toBe(4);
});
