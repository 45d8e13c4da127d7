import jStat from 'jstat';
import { GUESSING, type DiscriminationMethod } from './discrimination.js';

/** A chance to stop early, or the last. */
export interface Look {
  /** Answers there are. */
  assessors: number;
  /** Fewest right, or for the one of the two that has more, that end it; `null` where none would. */
  fewest: number | null;
  /** Chance of a false alarm by this look, over all looks up to it. */
  spent: number;
}

/**
 * At which counts a test may end early, tasters coming one by one, so that looking often does not make chance more likely
 * to be taken for a finding: little is spent early, all by the planned end.
 *
 * @param looksAt - answers at each look, rising, each 1 or more
 * @param planned - answers at which it ends in any case, not fewer than the last look
 * @param alpha - chance of a false alarm in all
 *
 * Source: Lan and DeMets, Biometrika 70 (1983) 659, with their spending function of the O'Brien-Fleming kind; the chances of
 * right answers are counted exactly along the way, not approximated. A preference is looked at from both sides.
 */
export function earlyLooks({
  method,
  looksAt,
  planned,
  alpha,
}: {
  method: DiscriminationMethod;
  looksAt: readonly number[];
  planned: number;
  alpha: number;
}): Look[] {
  const told = (right: number, of: number) => (method === 'paired' ? Math.max(right, of - right) : right);
  // Chances of each count of right answers, of those ways that were not ended before.
  let chances = [1];
  let before = 0;
  let spent = 0;
  return looksAt.map((assessors) => {
    chances = moreAnswers(chances, assessors - before, GUESSING[method]);
    before = assessors;
    const toSpend = spendable(assessors / planned, alpha) - spent;
    let fewest: number | null = null;
    let tail = 0;
    for (let count = assessors; count >= 0; count--) {
      const wider = chances.reduce(
        (total, chance, right) => total + (told(right, assessors) >= count ? chance : 0),
        0,
      );
      if (wider > toSpend) break;
      fewest = count;
      tail = wider;
    }
    spent += tail;
    if (fewest !== null) {
      const ends = fewest;
      chances = chances.map((chance, right) => (told(right, assessors) >= ends ? 0 : chance));
    }
    return { assessors, fewest, spent };
  });
}

/** What may be spent by a share of the answers. */
function spendable(share: number, alpha: number): number {
  if (share >= 1) return alpha;
  const limit = jStat.normal.inv(1 - alpha / 2, 0, 1) / Math.sqrt(share);
  return 2 * (1 - jStat.normal.cdf(limit, 0, 1));
}

function moreAnswers(chances: readonly number[], more: number, guessing: number): number[] {
  let next = chances.slice();
  for (let answer = 0; answer < more; answer++) {
    next = Array.from(
      { length: next.length + 1 },
      (_, right) => (next[right] ?? 0) * (1 - guessing) + (next[right - 1] ?? 0) * guessing,
    );
  }
  return next;
}
