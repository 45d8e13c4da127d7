import type { Migration } from './migration.js';

/**
 * Label notes are a list: twenty of them want more room than one line of text did. Step 0018 makes that
 * room; a database that took an early form of it does not have it, and for any other this changes nothing.
 */
export const roomForLabelNotes: Migration = {
  name: '0021-room-for-label-notes',
  statements: [`ALTER TABLE lots MODIFY label_notes VARCHAR(800) NOT NULL`],
};
