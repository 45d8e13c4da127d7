import type { Sequelize } from 'sequelize-typescript';
import { bringOlderRecordsUp } from './brew-logs/older-records.js';
import { migrate, type MigrateOptions } from './database/migrate.js';
import { refreshLotProgress } from './lots/lot-progress.js';

/**
 * Brings the schema up to date and, where it changed, what is computed from the records with it.
 *
 * @returns names of the steps taken now; empty when nothing was due
 */
export async function bringUpToDate(
  sequelize: Sequelize,
  { beforeUpgrade, afterwards }: MigrateOptions = {},
): Promise<string[]> {
  return migrate(sequelize, {
    ...(beforeUpgrade ? { beforeUpgrade } : {}),
    afterwards: async (steps) => {
      await bringOlderRecordsUp(sequelize);
      if (steps.length > 0) await refreshLotProgress(sequelize);
      await afterwards?.(steps);
    },
  });
}
