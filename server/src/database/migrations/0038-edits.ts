import type { Migration } from './migration.js';

/** Who changed what of lots, recipes, kit, lab and people, from what to what. */
export const edits: Migration = {
  name: '0038-edits',
  statements: [
    `CREATE TABLE edits (
      id INT AUTO_INCREMENT PRIMARY KEY,
      table_name VARCHAR(64) NOT NULL,
      row_id INT NOT NULL,
      about VARCHAR(255) NOT NULL,
      kind ENUM('changed', 'removed') NOT NULL,
      fields JSON NOT NULL,
      edited_by INT NOT NULL,
      created_at DATETIME(3) NOT NULL,
      INDEX edits_by_row (table_name, row_id, id),
      CONSTRAINT edits_by FOREIGN KEY (edited_by) REFERENCES people (id)
    )`,
  ],
};
