import type { Migration } from './migration.js';

/**
 * A lot may be decaffeinated whatever else was done to it, a roast may be a sample only, and what ran out after the
 * brewer was lifted is weighed, read and noted apart. A grinder may be somebody else's, as its owner describes it.
 */
export const doneBesides: Migration = {
  name: '0018-done-besides',
  statements: [
    `ALTER TABLE grinders ADD COLUMN owner VARCHAR(120) NOT NULL DEFAULT '' AFTER burr_set`,
    `ALTER TABLE lots
      MODIFY label_notes VARCHAR(800) NOT NULL,
      ADD COLUMN is_decaffeinated BOOLEAN NOT NULL DEFAULT FALSE AFTER additions`,
    `ALTER TABLE roast_batches ADD COLUMN is_sample BOOLEAN NOT NULL DEFAULT FALSE`,
    `ALTER TABLE brews
      ADD COLUMN tail_g DECIMAL(6,1) NULL AFTER beverage_g,
      ADD COLUMN tail_tds_percent DECIMAL(4,2) NULL AFTER tail_g,
      ADD COLUMN tail_note VARCHAR(300) NOT NULL DEFAULT '' AFTER tail_tds_percent`,
  ],
};
