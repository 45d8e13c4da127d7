import type { Migration } from './migration.js';

/** What a public recipe is held to, and what is known of it by its records, kept with its lot for the lists. */
export const watch: Migration = {
  name: '0027-watch',
  statements: [
    `ALTER TABLE recipes ADD COLUMN watch_limits JSON NULL`,
    `ALTER TABLE lots
      ADD COLUMN recheck_on DATE NULL,
      ADD COLUMN watch_alarms INT NOT NULL DEFAULT 0,
      ADD COLUMN watch_state JSON NULL,
      ADD INDEX lots_watched (watch_alarms DESC, recheck_on, id)`,
  ],
};
