import type { Migration } from './migration.js';

/** A lab may ask its people for a code at sign-in, which each chose for himself until then. */
export const codeRule: Migration = {
  name: '0046-code-rule',
  statements: [
    `CREATE TABLE code_rules (
      id INT NOT NULL PRIMARY KEY,
      asked_of VARCHAR(16) NOT NULL,
      asked_from DATETIME(3) NULL,
      revision INT NOT NULL DEFAULT 0,
      created_at DATETIME(3) NOT NULL,
      updated_at DATETIME(3) NOT NULL
    )`,
    `INSERT IGNORE INTO code_rules (id, asked_of, created_at, updated_at) VALUES (1, 'nobody', NOW(3), NOW(3))`,
  ],
};
