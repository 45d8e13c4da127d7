import { servingOrders } from '../statistics/servingOrders.js';
import type { BlindMethod } from '../vocabulary.js';

/** One cup before one taster. */
export interface BlindCup {
  /** Three digits that say nothing. */
  code: string;
  /** Which of the arms of the test is in it, from 0: the key. */
  arm: number;
  /** The known one that others are held against; it bears no code. */
  isReference: boolean;
}

/** The cups of one taster, from left to right. */
export type BlindSet = BlindCup[];

/** How many a test may have. */
export const BLIND_TASTERS = { fewest: 1, most: 60 } as const;

/** How many arms a method takes. */
export const BLIND_ARMS: Record<BlindMethod, { fewest: number; most: number }> = {
  triangle: { fewest: 2, most: 2 },
  'duo-trio': { fewest: 2, most: 2 },
  paired: { fewest: 2, most: 2 },
  ranking: { fewest: 3, most: 4 },
  scores: { fewest: 2, most: 4 },
};

/** The orders that a triangle and a duo-trio are served in, equally often (ISO 4120, ISO 10399): 0 and 1 are the arms. */
const TRIANGLES = [
  [0, 0, 1],
  [0, 1, 0],
  [1, 0, 0],
  [1, 1, 0],
  [1, 0, 1],
  [0, 1, 1],
];
/** The known one first. */
const DUO_TRIOS = [
  [0, 0, 1],
  [0, 1, 0],
  [1, 0, 1],
  [1, 1, 0],
];

const LOWEST_CODE = 100;
const CODES = 900;

/**
 * Cups for each taster: every order of serving equally often, tasters given to orders by lot, and no code twice.
 *
 * @param arms - how many are compared, as the method takes
 * @param tasters - 1 to 60
 * @param random - numbers in [0, 1) that nobody foresees
 */
export function serveBlind({
  method,
  arms,
  tasters,
  random,
}: {
  method: BlindMethod;
  arms: number;
  tasters: number;
  random: () => number;
}): BlindSet[] {
  const orders = ordersOf(method, arms);
  // Whole rounds of all orders, each shuffled: a test that is cut short is nearly balanced too.
  const served = Array.from({ length: Math.ceil(tasters / orders.length) }, () => shuffled(orders, random))
    .flat()
    .slice(0, tasters);
  const codes = shuffled(
    Array.from({ length: CODES }, (_, index) => String(LOWEST_CODE + index)),
    random,
  ).values();
  return served.map((order) =>
    order.map((arm, place) => {
      const isReference = method === 'duo-trio' && place === 0;
      return { code: isReference ? '' : (codes.next().value ?? ''), arm, isReference };
    }),
  );
}

function ordersOf(method: BlindMethod, arms: number): number[][] {
  if (method === 'triangle') return TRIANGLES;
  if (method === 'duo-trio') return DUO_TRIOS;
  return servingOrders({ sampleCount: arms });
}

/** Fisher and Yates: every order equally likely. */
function shuffled<T>(items: readonly T[], random: () => number): T[] {
  const mixed = items.slice();
  for (let last = mixed.length - 1; last > 0; last--) {
    const chosen = Math.floor(random() * (last + 1));
    [mixed[last], mixed[chosen]] = [mixed[chosen] as T, mixed[last] as T];
  }
  return mixed;
}
