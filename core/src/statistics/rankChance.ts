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
  let reaching = 0;
  for (const { spread, share } of spreadsOf(rows)) if (spread >= seen) reaching += share;
  return Math.min(1, reaching);
}

/** How rank sums spread by chance, by what each assessor ranks alike: rankings without ties all have one answer. */
function spreadsOf(rows: readonly (readonly number[])[]): readonly Spread[] {
  const patterns = rows.map((row) => [...row].sort((a, b) => a - b));
  const name = patterns
    .map((pattern) => pattern.join())
    .sort()
    .join(' ');
  const known = kept.get(name);
  if (known) return known;
  let sums = new Map([[0, { at: patterns[0]?.map(() => 0) ?? [], share: 1 }]]);
  for (const pattern of patterns) {
    const orders = ordersOf(pattern);
    const next: typeof sums = new Map();
    for (const { at, share } of sums.values()) {
      for (const order of orders) {
        // Which sample has which sum does not matter to the spread, and all orders are equally likely: kept sorted.
        const to = added(at, order).sort((a, b) => a - b);
        const key = to.reduce((total, sum) => total * MOST_SUM + sum, 0);
        const before = next.get(key);
        if (before) before.share += share / orders.length;
        else next.set(key, { at: to, share: share / orders.length });
      }
    }
    sums = next;
  }
  const spreads = [...sums.values()].map(({ at, share }) => ({ spread: spreadOf(at), share }));
  if (kept.size >= MOST_KEPT) kept.clear();
  kept.set(name, spreads);
  return spreads;
}

interface Spread {
  spread: number;
  share: number;
}

// The same panel is looked at again and again: by its stages, and each time its page is drawn.
const kept = new Map<string, readonly Spread[]>();
const MOST_KEPT = 40;
/** Above any sum of ranks in halves that is counted. */
const MOST_SUM = 1024;

const added = (sums: readonly number[], row: readonly number[]) =>
  sums.map((sum, sample) => sum + (row[sample] ?? 0));

/** Whole numbers: of one total, so that squares alone tell how far they spread. */
const spreadOf = (sums: readonly number[]) => sums.reduce((total, sum) => total + sum ** 2, 0);

/** All different orders of a row; what is ranked alike stands in for itself. */
function ordersOf(row: readonly number[]): number[][] {
  if (row.length < 2) return [row.slice()];
  return [...new Set(row)].flatMap((first) => {
    const index = row.indexOf(first);
    return ordersOf(row.filter((_, other) => other !== index)).map((rest) => [first, ...rest]);
  });
}
