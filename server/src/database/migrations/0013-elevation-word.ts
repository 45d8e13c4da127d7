import type { Migration } from './migration.js';

/** How high a lot grew where nobody gives a figure; `NULL` where nobody said, or where there is a figure. */
export const elevationWord: Migration = {
  name: '0013-elevation-word',
  statements: ['ALTER TABLE lots ADD COLUMN elevation_word VARCHAR(20) NULL AFTER elevation_to_m'],
};
