import type { Migration } from './migration.js';

/**
 * What reports sum up is there without reading a plan: brews by day, and the coffee that each took. Doses count from the
 * plan where nobody weighed them; what a sieve took is gone as well. The indexes hold all that is summed: a brew's row is long. A lot may have the price of its green.
 */
export const reports: Migration = {
  name: '0030-reports',
  statements: [
    `ALTER TABLE brews
      ADD COLUMN taken_g DECIMAL(6,1) AS
        (COALESCE(dose_g, JSON_VALUE(plan, '$.doseG')) + COALESCE(fines_g, 0)) PERSISTENT,
      ADD INDEX brews_by_day (is_simulated, started_at, taken_g),
      ADD INDEX brews_taken_of_lot (lot_id, started_at, is_simulated, set_aside_at, roast_batch_id, taken_g)`,
    `ALTER TABLE lots ADD COLUMN price_per_kg DECIMAL(8,2) NULL`,
  ],
};
