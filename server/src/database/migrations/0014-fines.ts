import type { Migration } from './migration.js';

/** What a sieve took of the coffee ground for a brew, g, weighed or as its plan expects; `NULL` where nothing was sieved. */
export const fines: Migration = {
  name: '0014-fines',
  statements: ['ALTER TABLE brews ADD COLUMN fines_g DECIMAL(6,1) NULL AFTER dose_g'],
};
