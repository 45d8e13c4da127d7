import type { CardStep } from './cardWords.js';

/** Where a brew from a card stands. */
export interface GuidedMoment {
  /** When each step is due on the brew clock, s; `null` behind one that is waited for. */
  dueS: (number | null)[];
  /** The step that is on; -1 before the first. */
  currentIndex: number;
  /** What the brew waits for to be seen; `null` where the clock leads. */
  waitingIndex: number | null;
}

/**
 * Walks the steps of a card by the clock, and by what is seen where a step waits for it: what comes after is moved by as
 * much as the waiting took longer, or shorter, than the card expected, so that the pauses between the steps hold.
 *
 * @param elapsedS - on the brew clock, s; `null` before the start
 * @param seenS - when what was waited for was seen, s, in the order of the steps that wait
 */
export function guidedMoment({
  steps,
  elapsedS,
  seenS,
}: {
  steps: readonly Pick<CardStep, 'atS' | 'waits'>[];
  elapsedS: number | null;
  seenS: readonly number[];
}): GuidedMoment {
  const dueS: (number | null)[] = [];
  let waited = 0;
  let movedS = 0;
  let unseenIndex: number | null = null;
  for (const [index, { atS, waits }] of steps.entries()) {
    const seen: number | undefined = waits ? seenS[waited++] : atS + movedS;
    if (unseenIndex === null && seen === undefined) unseenIndex = index;
    if (waits && seen !== undefined) movedS = seen - atS;
    dueS.push(unseenIndex === null ? (seen ?? null) : null);
  }
  const currentIndex = elapsedS === null ? -1 : dueS.findLastIndex((due) => due !== null && due <= elapsedS);
  // The clock leads up to the step before: only then is there something to look for.
  const isWaiting = unseenIndex !== null && currentIndex === unseenIndex - 1;
  return { dueS, currentIndex, waitingIndex: isWaiting ? unseenIndex : null };
}
