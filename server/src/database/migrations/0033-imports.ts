import type { Migration } from './migration.js';

/**
 * Labs that were taken in from a file, and which rows came with each: what came so can go so, as long as nothing else
 * hangs on it and nobody changed it. People who came with a file cannot sign in: they have neither e-mail nor password.
 */
export const imports: Migration = {
  name: '0033-imports',
  statements: [
    'ALTER TABLE people MODIFY email VARCHAR(200) NULL, MODIFY password_hash VARCHAR(255) NULL',
    `CREATE TABLE imports (
      id INT AUTO_INCREMENT PRIMARY KEY,
      file_name VARCHAR(200) NOT NULL,
      made_at DATETIME(3) NOT NULL,
      counts JSON NOT NULL,
      lot_ids JSON NOT NULL,
      house_before JSON NULL,
      taken_by INT NOT NULL,
      undone_at DATETIME(3) NULL,
      created_at DATETIME(3) NOT NULL,
      CONSTRAINT imports_by FOREIGN KEY (taken_by) REFERENCES people (id)
    )`,
    `CREATE TABLE import_rows (
      import_id INT NOT NULL,
      table_name VARCHAR(40) NOT NULL,
      row_id INT NOT NULL,
      second_id INT NOT NULL DEFAULT 0,
      looks CHAR(32) NOT NULL,
      PRIMARY KEY (import_id, table_name, row_id, second_id),
      CONSTRAINT import_rows_import FOREIGN KEY (import_id) REFERENCES imports (id)
    )`,
  ],
};
