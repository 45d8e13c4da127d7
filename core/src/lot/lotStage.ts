import type { LotStage } from '../vocabulary.js';

/** What the stage of a lot is read from. */
export interface LotProgress {
  brewCount: number;
  /** A version was accepted by a barista. */
  accepted: boolean;
  signedOff: boolean;
  published: boolean;
  /** Brews of the published version made since it was made public. */
  recheckCount: number;
}

/** Brews after which the first ones are over and dialling in has begun. Common practice. */
const FIRST_BREWS = 2;

/** How far a lot is. It is read from what was done, never set by hand, so it cannot go stale. */
export function lotStage({ brewCount, accepted, signedOff, published, recheckCount }: LotProgress): LotStage {
  if (published) return recheckCount > 0 ? 'watched' : 'published';
  if (signedOff) return 'signed-off';
  if (accepted) return 'proving';
  if (brewCount > FIRST_BREWS) return 'dialling-in';
  return brewCount > 0 ? 'first-brews' : 'arrived';
}
