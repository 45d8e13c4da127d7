import type { Migration } from './migration.js';

/** What the card of a recipe says of an older bag. */
export const ageNote: Migration = {
  name: '0034-age-note',
  statements: ['ALTER TABLE recipes ADD COLUMN age_note JSON NULL'],
};
