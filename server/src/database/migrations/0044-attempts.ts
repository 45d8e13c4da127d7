import type { Migration } from './migration.js';

/** What must not be tried too often is counted for all servers of a lab together. */
export const attempts: Migration = {
  name: '0044-attempts',
  statements: [
    `CREATE TABLE attempts (
      subject CHAR(43) CHARACTER SET ascii COLLATE ascii_bin NOT NULL PRIMARY KEY,
      until_ms JSON NOT NULL,
      counts_until DATETIME(3) NOT NULL,
      KEY attempts_until (counts_until)
    )`,
  ],
};
