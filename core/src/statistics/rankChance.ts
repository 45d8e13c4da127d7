/** Up to so many assessors the permutations are counted, by samples; beyond them the chi-square is close (assumed). */
const COUNTED_UP_TO: Readonly<Record<number, number>> = { 2: 200, 3: 40, 4: 10 };

/** Counting is done in halves, so that shared ranks are whole numbers. */
const HALF = 2;

/**
 * Probability that rank sums spread this far or further when every assessor ranks at random: all his orders equally
 * likely, ties as he gave them. Counted, not approximated.
 *
 * @param ranks - one row per assessor, mid-ranks; rows of equal length
 * @returns `null` where there are too many orders to count
 *
 * Source: the exact null distribution of Friedman, J. Amer. Stat. Assoc. 32 (1937) 675, conditional on ties.
 */
export function rankChance(ranks: readonly (readonly number[])[]): number | null {
  const samples = ranks[0]?.length ?? 0;
  if (ranks.length > (COUNTED_UP_TO[samples] ?? 0)) return null;
  const rows = ranks.map((row) => row.map((rank) => Math.round(rank * HALF)));
  const seen = spreadOf(
    rows.reduce(
      added,
      Array.from({ length: samples }, () => 0),
    ),
  );
  let sums = new Map<string, { at: readonly number[]; share: number }>();
  sums.set('', { at: Array.from({ length: samples }, () => 0), share: 1 });
  for (const row of rows) {
    const orders = permutationsOf(row);
    const next: typeof sums = new Map();
    for (const { at, share } of sums.values()) {
      for (const order of orders) {
        // Which sample has which sum does not matter to the spread, and all orders are equally likely: kept sorted.
        const to = added(at, order).sort((a, b) => a - b);
        const key = to.join();
        const known = next.get(key);
        if (known) known.share += share / orders.length;
        else next.set(key, { at: to, share: share / orders.length });
      }
    }
    sums = next;
  }
  const reaching = [...sums.values()].filter(({ at }) => spreadOf(at) >= seen);
  return Math.min(
    1,
    reaching.reduce((total, { share }) => total + share, 0),
  );
}

const added = (sums: readonly number[], row: readonly number[]) =>
  sums.map((sum, sample) => sum + (row[sample] ?? 0));

/** Whole numbers: of one total, so that squares alone tell how far they spread. */
const spreadOf = (sums: readonly number[]) => sums.reduce((total, sum) => total + sum ** 2, 0);

function permutationsOf(row: readonly number[]): number[][] {
  if (row.length < 2) return [row.slice()];
  return row.flatMap((first, index) =>
    permutationsOf(row.filter((_, other) => other !== index)).map((rest) => [first, ...rest]),
  );
}
