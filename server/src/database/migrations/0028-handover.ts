import type { Migration } from './migration.js';

/** What a shift leaves the next in words. */
export const handover: Migration = {
  name: '0028-handover',
  statements: [
    `CREATE TABLE handover_notes (
      id INT AUTO_INCREMENT PRIMARY KEY,
      text VARCHAR(1000) NOT NULL,
      written_by INT NOT NULL,
      created_at DATETIME(3) NOT NULL,
      INDEX handover_notes_newest (created_at),
      CONSTRAINT handover_notes_person FOREIGN KEY (written_by) REFERENCES people (id)
    )`,
  ],
};
