import { describe, expect, it } from 'vitest';
import { addressOf, lotsQueryOf, WHOLE_LIST } from './lotsQuery';

describe('the address of the list of lots', () => {
  it('says only what differs, and reads back the same', () => {
    const query = { ...WHOLE_LIST, stage: 'proving' as const, search: 'ridge & co', page: 3 };
    expect(addressOf(query).toString()).toBe('search=ridge+%26+co&page=3&stage=proving');
    expect(lotsQueryOf(addressOf(query))).toEqual(query);
    expect(addressOf(WHOLE_LIST).toString()).toBe('');
  });

  it('takes what cannot be as not said', () => {
    const query = lotsQueryOf(new URLSearchParams('stage=lost&sort=colour&page=-2&process=honey&else=1'));
    expect(query).toEqual({ ...WHOLE_LIST, process: 'honey' });
  });
});
