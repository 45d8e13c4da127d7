import { describe, expect, it } from 'vitest';
import { broughtUp } from './broughtUp.js';
import { entryFault } from './entryFault.js';

const STAMP = { device: 'bench', number: 3, atMs: 1000 };

describe('an entry of an earlier version', () => {
  // One of each kind that was told once and is told no longer, as it was kept.
  it.each([
    [
      { ...STAMP, kind: 'fines-weighed', finesG: 1.4 },
      { ...STAMP, kind: 'weighed', what: 'fines', massG: 1.4 },
    ],
    [
      { ...STAMP, kind: 'fines-weighed', finesG: null },
      { ...STAMP, kind: 'weighed', what: 'fines', massG: null },
    ],
    [
      { ...STAMP, kind: 'read', tdsPercent: 1.34 },
      { ...STAMP, kind: 'strength-read', tdsPercent: 1.34, sampleC: null },
    ],
  ])('%j is read as this one says it', (kept, now) => {
    expect(broughtUp(kept)).toEqual(now);
    expect(entryFault(broughtUp(kept))).toBeNull();
    expect(broughtUp(broughtUp(kept))).toEqual(now);
  });

  it('stays as it is where its kind is told today, or where it is none', () => {
    const mark = { ...STAMP, kind: 'marked', stepIndex: 0, skipped: false, by: 'hand' };
    expect(broughtUp(mark)).toBe(mark);
    for (const none of ['a mark', null, 4, [mark]]) expect(broughtUp(none)).toBe(none);
    expect(entryFault(broughtUp({ ...STAMP, kind: 'fines-weighed', finesG: 'much' }))).toMatchObject({
      field: 'massG',
    });
  });
});
