import { failure, success, type Failure, type Result } from '../result.js';

/** How far a version of a recipe is. */
export const VERSION_STATES = [
  'drafted',
  'accepted',
  'signed-off',
  'published',
  /** It was public, and nothing of its recipe is now. */
  'withdrawn',
  /** It was public, and another version of its recipe is now. */
  'superseded',
] as const;
export type VersionState = (typeof VERSION_STATES)[number];

/** What somebody may do to a version. */
export const VERSION_MOVES = [
  'accept',
  'take-acceptance-back',
  'sign-off',
  'take-sign-off-back',
  'publish',
  'withdraw',
  'restore',
] as const;
export type VersionMove = (typeof VERSION_MOVES)[number];

/** Why it may not. */
export type VersionRefusal =
  | 'not-accepted'
  | 'is-signed-off'
  | 'not-signed-off'
  | 'is-public'
  | 'not-public'
  | 'never-public'
  | 'is-superseded'
  | 'another-is-public';

/** The marks on a version that its state is read from. */
export interface VersionMarks {
  isAccepted: boolean;
  isSignedOff: boolean;
  /** All publications of its recipe: whether of this version, and whether still public. */
  publications: readonly { isOwn: boolean; isLive: boolean }[];
}

export function versionState({ isAccepted, isSignedOff, publications }: VersionMarks): VersionState {
  if (publications.some(({ isOwn, isLive }) => isOwn && isLive)) return 'published';
  if (!isSignedOff) return isAccepted ? 'accepted' : 'drafted';
  if (!publications.some(({ isOwn }) => isOwn)) return 'signed-off';
  return publications.some(({ isLive }) => isLive) ? 'superseded' : 'withdrawn';
}

const WORDS: Record<VersionRefusal, string> = {
  'not-accepted': 'Accept this version first: only an accepted recipe can be signed off.',
  'is-signed-off': 'This version is signed off; a lead has to undo that first.',
  'not-signed-off': 'This version is not signed off; sign it off before publishing.',
  'is-public': 'This version is public; withdraw the publication first.',
  'not-public': 'This version is not public.',
  'never-public': 'This version was never public; publish it.',
  'is-superseded':
    'Another version has been public since; withdraw that one first, or save this plan as a new version.',
  'another-is-public': 'Another card of this recipe is already public; withdraw that one first.',
};

/**
 * Each move from each state: what the version is after it, or why it cannot be. A move that changes nothing, told twice by
 * a hand or a network, is no fault. Publishing a public version again gives its card anew; an earlier card of it is not
 * restored beside the one that is public.
 */
const MOVES: Record<VersionState, Record<VersionMove, VersionState | VersionRefusal>> = {
  drafted: {
    accept: 'accepted',
    'take-acceptance-back': 'drafted',
    'sign-off': 'not-accepted',
    'take-sign-off-back': 'drafted',
    publish: 'not-signed-off',
    withdraw: 'not-public',
    restore: 'not-signed-off',
  },
  accepted: {
    accept: 'accepted',
    'take-acceptance-back': 'drafted',
    'sign-off': 'signed-off',
    'take-sign-off-back': 'accepted',
    publish: 'not-signed-off',
    withdraw: 'not-public',
    restore: 'not-signed-off',
  },
  'signed-off': {
    accept: 'signed-off',
    'take-acceptance-back': 'is-signed-off',
    'sign-off': 'signed-off',
    'take-sign-off-back': 'accepted',
    publish: 'published',
    withdraw: 'not-public',
    restore: 'never-public',
  },
  published: {
    accept: 'published',
    'take-acceptance-back': 'is-signed-off',
    'sign-off': 'published',
    'take-sign-off-back': 'is-public',
    publish: 'published',
    withdraw: 'withdrawn',
    restore: 'another-is-public',
  },
  withdrawn: {
    accept: 'withdrawn',
    'take-acceptance-back': 'is-signed-off',
    'sign-off': 'withdrawn',
    'take-sign-off-back': 'accepted',
    publish: 'published',
    withdraw: 'withdrawn',
    restore: 'published',
  },
  superseded: {
    accept: 'superseded',
    'take-acceptance-back': 'is-signed-off',
    'sign-off': 'superseded',
    'take-sign-off-back': 'accepted',
    publish: 'is-superseded',
    withdraw: 'superseded',
    restore: 'another-is-public',
  },
};

const isState = (word: VersionState | VersionRefusal): word is VersionState =>
  (VERSION_STATES as readonly string[]).includes(word);

/** What a version is after a move, or why the move cannot be made. */
export function moveVersion(
  state: VersionState,
  move: VersionMove,
): Result<VersionState, Failure<VersionRefusal>> {
  const next = MOVES[state][move];
  return isState(next) ? success(next) : failure(next, WORDS[next]);
}

/** Moves of a lead; the others are anybody's. */
const LEADS_ALONE: readonly VersionMove[] = [
  'sign-off',
  'take-sign-off-back',
  'publish',
  'withdraw',
  'restore',
];

/** What somebody can do with a version in its state: every move that is his to make and changes something. */
export function movesFrom({ state, isLead }: { state: VersionState; isLead: boolean }): VersionMove[] {
  return VERSION_MOVES.filter((move) => {
    const moved = moveVersion(state, move);
    return moved.ok && moved.value !== state && (isLead || !LEADS_ALONE.includes(move));
  });
}
