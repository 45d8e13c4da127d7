import type { Migration } from './migration.js';

/** What was measured of the green coffee; `NULL` where nobody did. */
export const greenFigures: Migration = {
  name: '0011-green-figures',
  statements: [
    `ALTER TABLE lots
      ADD COLUMN density_g_per_l DECIMAL(5,1) NULL AFTER elevation_to_m,
      ADD COLUMN moisture_percent DECIMAL(4,2) NULL AFTER density_g_per_l`,
  ],
};
