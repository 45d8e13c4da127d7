import type { Migration } from './migration.js';

/** People come by an invitation, and leave; an invitation without a person makes the first lead of a lab. */
export const people: Migration = {
  name: '0035-people',
  statements: [
    'ALTER TABLE people ADD COLUMN left_at DATETIME(3) NULL',
    `CREATE TABLE invitations (
      id INT AUTO_INCREMENT PRIMARY KEY,
      secret_hash CHAR(64) NOT NULL UNIQUE,
      person_id INT NULL,
      ends_at DATETIME(3) NOT NULL,
      used_at DATETIME(3) NULL,
      invited_by INT NULL,
      created_at DATETIME(3) NOT NULL,
      CONSTRAINT invitations_person FOREIGN KEY (person_id) REFERENCES people (id),
      CONSTRAINT invitations_by FOREIGN KEY (invited_by) REFERENCES people (id)
    )`,
  ],
};
