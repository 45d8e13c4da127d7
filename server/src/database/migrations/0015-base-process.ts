import type { Migration } from './migration.js';

/** What a fermentation or a decaffeination was done on top of; `NULL` where nobody said. */
export const baseProcess: Migration = {
  name: '0015-base-process',
  statements: ['ALTER TABLE lots ADD COLUMN base_process VARCHAR(40) NULL AFTER process'],
};
