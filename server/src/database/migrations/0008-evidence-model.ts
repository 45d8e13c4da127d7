import type { Migration } from './migration.js';

/** Which version of the brew model a lot's evidence was learned with: another one's says nothing. */
export const evidenceModel: Migration = {
  name: '0008-evidence-model',
  statements: [`ALTER TABLE lots ADD COLUMN evidence_model VARCHAR(16) NULL`],
};
