import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  movesFrom,
  moveVersion,
  VERSION_MOVES,
  VERSION_STATES,
  versionState,
  type VersionMove,
  type VersionState,
} from './versionLife.js';

const after = (state: VersionState, ...moves: VersionMove[]) =>
  moves.reduce<VersionState>((at, move) => {
    const moved = moveVersion(at, move);
    if (!moved.ok) throw new Error(moved.reason);
    return moved.value;
  }, state);
const refusal = (state: VersionState, move: VersionMove) => {
  const moved = moveVersion(state, move);
  return moved.ok ? null : moved.reason;
};

describe('the life of a version', () => {
  it('goes from draft to public by acceptance and sign-off, and back the same way', () => {
    expect(after('drafted', 'accept')).toBe('accepted');
    expect(after('drafted', 'accept', 'sign-off')).toBe('signed-off');
    expect(after('drafted', 'accept', 'sign-off', 'publish')).toBe('published');
    expect(after('published', 'withdraw', 'restore')).toBe('published');
    expect(after('published', 'withdraw', 'take-sign-off-back', 'take-acceptance-back')).toBe('drafted');
  });

  it.each<[VersionState, VersionMove, string]>([
    ['drafted', 'sign-off', 'not-accepted'],
    ['drafted', 'publish', 'not-signed-off'],
    ['accepted', 'publish', 'not-signed-off'],
    ['signed-off', 'take-acceptance-back', 'is-signed-off'],
    ['signed-off', 'restore', 'never-public'],
    ['signed-off', 'withdraw', 'not-public'],
    ['published', 'take-sign-off-back', 'is-public'],
    ['published', 'take-acceptance-back', 'is-signed-off'],
    ['superseded', 'restore', 'another-is-public'],
    ['superseded', 'publish', 'is-superseded'],
    ['published', 'restore', 'another-is-public'],
  ])('%s: %s is refused as %s', (state, move, reason) => {
    expect(refusal(state, move)).toBe(reason);
    const moved = moveVersion(state, move);
    expect(moved.ok ? '' : moved.message).toMatch(/\.$/);
  });

  it('is public only after it was accepted and signed off, whatever is tried in whatever order', () => {
    fc.assert(
      fc.property(fc.array(fc.constantFrom(...VERSION_MOVES), { maxLength: 30 }), (tried) => {
        const marks = { accepted: false, signedOff: false };
        let state: VersionState = 'drafted';
        for (const move of tried) {
          const moved = moveVersion(state, move);
          if (!moved.ok) continue;
          state = moved.value;
          if (move === 'accept') marks.accepted = true;
          if (move === 'take-acceptance-back') marks.accepted = false;
          if (move === 'sign-off') marks.signedOff = true;
          if (move === 'take-sign-off-back') marks.signedOff = false;
          expect(marks.signedOff && !marks.accepted).toBe(false);
          if (state === 'published') expect(marks).toEqual({ accepted: true, signedOff: true });
        }
      }),
    );
  });

  it('is the same after a move told twice', () => {
    for (const state of VERSION_STATES) {
      // A card that is restored is public: told twice, that is a question of the card.
      for (const move of VERSION_MOVES.filter((each) => each !== 'restore')) {
        const once = moveVersion(state, move);
        if (once.ok) expect(moveVersion(once.value, move)).toEqual(once);
      }
    }
  });
});

describe('the state of a version', () => {
  const marks = { isAccepted: true, isSignedOff: true, publications: [] };
  const live = { isOwn: true, isLive: true };
  const ended = { isOwn: true, isLive: false };
  const other = { isOwn: false, isLive: true };

  it.each<[VersionState, Partial<Parameters<typeof versionState>[0]>]>([
    ['drafted', { isAccepted: false, isSignedOff: false }],
    ['accepted', { isSignedOff: false }],
    ['accepted', { isSignedOff: false, publications: [ended] }],
    ['signed-off', {}],
    ['signed-off', { publications: [other] }],
    ['published', { publications: [ended, live] }],
    ['withdrawn', { publications: [ended] }],
    ['superseded', { publications: [ended, other] }],
  ])('is %s by %o', (state, change) => {
    expect(versionState({ ...marks, ...change })).toBe(state);
  });
});

describe('what can be done next', () => {
  it('is a lead’s to sign and to publish, and anybody’s to accept', () => {
    expect(movesFrom({ state: 'drafted', isLead: false })).toEqual(['accept']);
    expect(movesFrom({ state: 'accepted', isLead: false })).toEqual(['take-acceptance-back']);
    expect(movesFrom({ state: 'accepted', isLead: true })).toEqual(['take-acceptance-back', 'sign-off']);
    expect(movesFrom({ state: 'signed-off', isLead: false })).toEqual([]);
    expect(movesFrom({ state: 'signed-off', isLead: true })).toEqual(['take-sign-off-back', 'publish']);
    expect(movesFrom({ state: 'published', isLead: true })).toEqual(['withdraw']);
    expect(movesFrom({ state: 'withdrawn', isLead: true })).toEqual([
      'take-sign-off-back',
      'publish',
      'restore',
    ]);
    expect(movesFrom({ state: 'superseded', isLead: true })).toEqual(['take-sign-off-back']);
  });
});
