import { describe, expect, it } from 'vitest';
import { byField, troubleOf } from './problem';

const PROBLEM = {
  type: '/problems/stale',
  title: 'Somebody else saved in the meantime',
  status: 409,
  detail: 'Version 3 was saved.',
  instance: '/api/recipes/1/versions',
  requestId: 'x',
  errors: [{ field: 'plan.pours.1.startS', message: 'Too early.' }],
};

describe('what a failed request tells', () => {
  it('is the problem the server named', () => {
    expect(troubleOf({ status: 409, data: PROBLEM })).toMatchObject({
      kind: 'stale',
      detail: 'Version 3 was saved.',
    });
  });

  it('is that nothing answered, for a lost connection or an answer that is no problem', () => {
    expect(troubleOf({ status: 'FETCH_ERROR', error: 'x' })?.kind).toBe('no-answer');
    expect(troubleOf({ status: 502, data: '<html>' })?.kind).toBe('no-answer');
    expect(troubleOf(undefined)).toBeNull();
  });

  it('finds its way to the field, without the prefix of the request', () => {
    expect(byField(PROBLEM.errors, 'plan.')).toEqual({ 'pours.1.startS': 'Too early.' });
  });
});
