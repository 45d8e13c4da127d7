import type { Migration } from './migration.js';

/** Everything that was told of a brew, entry by entry: kept once for each device and its number, and never changed. */
export const brewLog: Migration = {
  name: '0010-brew-log',
  statements: [
    `CREATE TABLE brew_entries (
      brew_key CHAR(36) NOT NULL,
      device VARCHAR(36) NOT NULL,
      number INT UNSIGNED NOT NULL,
      entry JSON NOT NULL,
      told_by INT NOT NULL,
      told_at DATETIME(3) NOT NULL,
      PRIMARY KEY (brew_key, device, number),
      CONSTRAINT brew_entries_by FOREIGN KEY (told_by) REFERENCES people (id)
    )`,
  ],
};
