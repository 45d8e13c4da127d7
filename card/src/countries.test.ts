import { expect, it } from 'vitest';
import { COUNTRIES } from './countries.js';

it('no two countries read alike', () => {
  expect(new Set(COUNTRIES.map(({ name }) => name)).size).toBe(COUNTRIES.length);
  expect(COUNTRIES.length).toBeGreaterThan(200);
});
