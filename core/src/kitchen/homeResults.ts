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

/** What kitchens told of a recipe, by grinder: the most told first. */
export interface HomeResults {
  count: number;
  grinders: { grinder: string; count: number; drainedS: Precision; medianSetting: number | null }[];
  tastes: Partial<Record<KitchenTaste, number>>;
}

export function homeResults(told: readonly HomeResult[]): HomeResults {
  const tastes: HomeResults['tastes'] = {};
  for (const { taste } of told) tastes[taste] = (tastes[taste] ?? 0) + 1;
  const grinders = [...grouped(told, ({ grinder }) => grinder)].flatMap(([grinder, results]) => {
    // Each is a pair of hands of its own.
    const drainedS = precisionOf(results.map(({ drainedS: value }, index) => ({ by: String(index), value })));
    const settings = results.flatMap(({ setting }) => (setting === null ? [] : [setting]));
    return drainedS
      ? [
          {
            grinder,
            count: results.length,
            drainedS,
            medianSetting: settings.length === 0 ? null : median(settings),
          },
        ]
      : [];
  });
  return { count: told.length, grinders: grinders.sort((a, b) => b.count - a.count), tastes };
}
