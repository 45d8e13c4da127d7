import type { Migration } from './migration.js';

/** How much of the green's water is free; `NULL` where nobody measured it. */
export const waterActivity: Migration = {
  name: '0012-water-activity',
  statements: ['ALTER TABLE lots ADD COLUMN water_activity DECIMAL(4,3) NULL AFTER moisture_percent'],
};
