import type { Migration } from './migration.js';

/** What the version of a lot that is to be proved next has not shown: computed from the records, for the list of lots. */
export const proofMissing: Migration = {
  name: '0025-proof-missing',
  statements: [`ALTER TABLE lots ADD COLUMN proof_missing JSON NULL`],
};
