import { EigenvalueDecomposition, Matrix } from 'ml-matrix';
import { mean } from 'simple-statistics';

/** How one of several stands against the others, by pairs. */
export interface PairStanding {
  /** Natural logarithm of its odds against one that is just average: 0 is average. */
  logOdds: number;
  /** Standard error of that. */
  sd: number;
}

const MOST_STEPS = 10_000;
const CLOSE_ENOUGH = 1e-10;

/**
 * Strengths of several from how often each was preferred to each.
 *
 * @param wins - `wins[a][b]`: how often a was preferred to b; square, none negative
 * @returns `null` where pairs do not hang together, or one never won or never lost: its odds would have no end
 *
 * Source: Bradley and Terry, Biometrika 39 (1952) 324; fitted by minorization, Hunter, Ann. Statist. 32 (2004) 384, whose
 * condition for an answer is the same; errors from the information matrix, its one empty direction left out.
 */
export function bradleyTerry(wins: readonly (readonly number[])[]): PairStanding[] | null {
  const count = wins.length;
  const won = (a: number, b: number) => wins[a]?.[b] ?? 0;
  if (!hangsTogether(count, won)) return null;
  const all = Array.from({ length: count }, (_, index) => index);
  let strengths = all.map(() => 1);
  for (let step = 0; step < MOST_STEPS; step++) {
    const next = scaled(
      all.map((a) => {
        const victories = all.reduce((total, b) => total + won(a, b), 0);
        const met = all.reduce((total, b) => {
          if (a === b) return total;
          return total + (won(a, b) + won(b, a)) / ((strengths[a] ?? 1) + (strengths[b] ?? 1));
        }, 0);
        return victories / met;
      }),
    );
    const moved = Math.max(...next.map((value, index) => Math.abs(value / (strengths[index] ?? 1) - 1)));
    strengths = next;
    if (moved < CLOSE_ENOUGH) break;
  }
  const errors = errorsOf(strengths, won);
  return strengths.map((strength, index) => ({ logOdds: Math.log(strength), sd: errors[index] ?? 0 }));
}

/** To a geometric mean of 1. */
function scaled(strengths: readonly number[]): number[] {
  const centre = Math.exp(mean(strengths.map((strength) => Math.log(strength))));
  return strengths.map((strength) => strength / centre);
}

/** From each to each by ways of winning. */
function hangsTogether(count: number, won: (a: number, b: number) => number): boolean {
  if (count < 2) return false;
  const reached = (beats: (a: number, b: number) => boolean) => {
    const found = new Set([0]);
    for (const a of found) {
      for (let b = 0; b < count; b++) if (b !== a && beats(a, b)) found.add(b);
    }
    return found.size === count;
  };
  return reached((a, b) => won(a, b) > 0) && reached((a, b) => won(b, a) > 0);
}

function errorsOf(strengths: readonly number[], won: (a: number, b: number) => number): number[] {
  const count = strengths.length;
  const information = Matrix.zeros(count, count);
  for (let a = 0; a < count; a++) {
    for (let b = 0; b < count; b++) {
      if (a === b) continue;
      const chance = (strengths[a] ?? 1) / ((strengths[a] ?? 1) + (strengths[b] ?? 1));
      const weight = (won(a, b) + won(b, a)) * chance * (1 - chance);
      information.set(a, a, information.get(a, a) + weight);
      information.set(a, b, -weight);
    }
  }
  // All moved together is no difference: that direction has no information, and no error in differences from the mean.
  const { realEigenvalues, eigenvectorMatrix } = new EigenvalueDecomposition(information, {
    assumeSymmetric: true,
  });
  const least = Math.max(...realEigenvalues) * 1e-9;
  return strengths.map((_, item) =>
    Math.sqrt(
      realEigenvalues.reduce(
        (total, value, column) =>
          value <= least ? total : total + eigenvectorMatrix.get(item, column) ** 2 / value,
        0,
      ),
    ),
  );
}
