import type { Migration } from './migration.js';

/** What sieve, eye and nose say of the green; empty where nobody wrote it down. */
export const greenByEye: Migration = {
  name: '0016-green-by-eye',
  statements: [
    `ALTER TABLE lots
      ADD COLUMN screen_size VARCHAR(60) NOT NULL DEFAULT '' AFTER water_activity,
      ADD COLUMN green_look VARCHAR(300) NOT NULL DEFAULT '' AFTER screen_size`,
  ],
};
