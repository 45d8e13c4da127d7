import type { Migration } from './migration.js';

/** What pages ask for by its date is found without a table being read through. */
export const wherePagesLook: Migration = {
  name: '0042-where-pages-look',
  statements: [
    'CREATE INDEX IF NOT EXISTS lots_by_recheck ON lots (recheck_on, last_brewed_at)',
    'CREATE INDEX IF NOT EXISTS recipe_versions_by_sign_off ON recipe_versions (signed_off_at)',
  ],
};
