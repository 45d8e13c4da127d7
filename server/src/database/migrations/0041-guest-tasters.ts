import type { Migration } from './migration.js';

/** Somebody who tastes along and works here otherwise not. */
export const guestTasters: Migration = {
  name: '0041-guest-tasters',
  statements: [`ALTER TABLE people MODIFY COLUMN role ENUM('barista','lead','taster') NOT NULL`],
};
