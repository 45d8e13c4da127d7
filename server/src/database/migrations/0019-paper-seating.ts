import type { Migration } from './migration.js';

/** What keeps a paper in place, where a hand alone does not. */
export const paperSeating: Migration = {
  name: '0019-paper-seating',
  statements: [`ALTER TABLE papers ADD COLUMN seating VARCHAR(20) NULL AFTER fold`],
};
