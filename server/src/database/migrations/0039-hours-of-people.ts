import type { Migration } from './migration.js';

/** When somebody is usually in, so that a day of two shifts is planned with whoever is there. */
export const hoursOfPeople: Migration = {
  name: '0039-hours-of-people',
  statements: [
    `ALTER TABLE people
      ADD COLUMN IF NOT EXISTS in_from CHAR(5) NULL,
      ADD COLUMN IF NOT EXISTS in_until CHAR(5) NULL`,
  ],
};
