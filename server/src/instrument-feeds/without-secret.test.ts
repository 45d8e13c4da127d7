import { expect, it } from 'vitest';
import { withoutSecret } from './without-secret.js';

it('a log learns that a feed was written to, and not its secret', () => {
  expect(withoutSecret('/api/instrument-feeds/6c1f0c3e-2f7b-4b0e-9a59-0d5c8c1d4f7a?x=1')).toBe(
    '/api/instrument-feeds/…?x=1',
  );
  expect(withoutSecret('/api/invitations/aB3_-x')).toBe('/api/invitations/…');
  expect(withoutSecret('/invited/aB3_-x')).toBe('/invited/…');
  expect(withoutSecret('/api/lots/3')).toBe('/api/lots/3');
});
