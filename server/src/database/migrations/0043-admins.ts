import type { Migration } from './migration.js';

/** Somebody who looks after people, programs and copies, and is not of the trade. */
export const admins: Migration = {
  name: '0043-admins',
  statements: [`ALTER TABLE people MODIFY COLUMN role ENUM('barista','lead','taster','admin') NOT NULL`],
};
