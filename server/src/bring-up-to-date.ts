import type { Sequelize } from 'sequelize-typescript';
import { migrate } from './database/migrate.js';
import { refreshLotProgress } from './lots/lot-progress.js';

/**
 * Brings the schema up to date and, where it changed, what is computed from the records with it.
 *
 * @returns names of the steps taken now; empty when nothing was due
 */
export async function bringUpToDate(sequelize: Sequelize): Promise<string[]> {
  const steps = await migrate(sequelize);
  if (steps.length > 0) await refreshLotProgress(sequelize);
  return steps;
}
