import type { Migration } from './migration.js';

/** A person's calendar address. Its secret is not kept, only what it can be known by. */
export const calendars: Migration = {
  name: '0029-calendars',
  statements: [
    `CREATE TABLE calendars (
      person_id INT PRIMARY KEY,
      secret_hash CHAR(64) NOT NULL UNIQUE,
      created_at DATETIME(3) NOT NULL,
      CONSTRAINT calendars_person FOREIGN KEY (person_id) REFERENCES people (id)
    )`,
  ],
};
