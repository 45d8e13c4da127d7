import type { Migration } from './migration.js';

/** What was accepted last is found without looking at every version: it begins every starting recipe and every forecast. */
export const newestAccepted: Migration = {
  name: '0040-newest-accepted',
  statements: ['CREATE INDEX IF NOT EXISTS recipe_versions_by_acceptance ON recipe_versions (accepted_at)'],
};
