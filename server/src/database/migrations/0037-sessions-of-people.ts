import type { Migration } from './migration.js';

/** A session says whose it is, on what device it was begun and when: so it can be listed, and ended from elsewhere. */
export const sessionsOfPeople: Migration = {
  name: '0037-sessions-of-people',
  statements: [
    `ALTER TABLE sessions
      ADD COLUMN IF NOT EXISTS person_id INT NULL,
      ADD COLUMN IF NOT EXISTS device VARCHAR(120) NOT NULL DEFAULT '',
      ADD COLUMN IF NOT EXISTS begun_at DATETIME(3) NULL,
      ADD INDEX IF NOT EXISTS sessions_by_person (person_id)`,
    // When they were begun nobody wrote down: those that are there count from now.
    `UPDATE sessions SET person_id = JSON_VALUE(data, '$.personId'), begun_at = UTC_TIMESTAMP(3)
      WHERE person_id IS NULL`,
  ],
};
