import { median } from 'simple-statistics';
import { precisionOf, type Precision } from '../proof/precision.js';
import { grouped } from '../statistics/grouped.js';
import type { KitchenTaste } from './kitchenTaste.js';

/** What one kitchen told. */
export interface HomeResult {
  drainedS: number;
  taste: KitchenTaste;
  /** Empty for one that the card does not list. */
  grinder: string;
  setting: number | null;
}

/** Settings of kitchens whose cup was right. */
export interface RightAt {
  setting: number;
  low: number;
  high: number;
  count: number;
}

/** Fewer say nothing of a grinder (assumed). */
const FEWEST_RIGHT = 3;

/** What kitchens told of a recipe, by grinder: the most told first. */
export interface HomeResults {
  count: number;
  grinders: {
    grinder: string;
    count: number;
    drainedS: Precision;
    medianSetting: number | null;
    /** Where those had it whose cup was right; `null` from fewer than three. */
    rightAt: RightAt | null;
  }[];
  tastes: Partial<Record<KitchenTaste, number>>;
}

export function homeResults(told: readonly HomeResult[]): HomeResults {
  const tastes: HomeResults['tastes'] = {};
  for (const { taste } of told) tastes[taste] = (tastes[taste] ?? 0) + 1;
  const grinders = [...grouped(told, ({ grinder }) => grinder)].flatMap(([grinder, results]) => {
    // Each is a pair of hands of its own.
    const drainedS = precisionOf(results.map(({ drainedS: value }, index) => ({ by: String(index), value })));
    const settings = results.flatMap(({ setting }) => (setting === null ? [] : [setting]));
    const medianSetting = settings.length === 0 ? null : median(settings);
    return drainedS
      ? [{ grinder, count: results.length, drainedS, medianSetting, rightAt: rightAt(results) }]
      : [];
  });
  return { count: told.length, grinders: grinders.sort((a, b) => b.count - a.count), tastes };
}

function rightAt(results: readonly HomeResult[]): RightAt | null {
  const settings = results.flatMap(({ taste, setting }) =>
    taste === 'right' && setting !== null ? [setting] : [],
  );
  if (settings.length < FEWEST_RIGHT) return null;
  return {
    setting: median(settings),
    low: Math.min(...settings),
    high: Math.max(...settings),
    count: settings.length,
  };
}
