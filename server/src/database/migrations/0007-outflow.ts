import type { Migration } from './migration.js';

/** What a second scale, under the server alone, showed during a brew. */
export const outflow: Migration = {
  name: '0007-outflow',
  statements: [`ALTER TABLE traces ADD COLUMN outflow JSON NULL`],
};
