import type { Migration } from './migration.js';

/**
 * What a version has to show before it is signed off, what it had shown when it was, and what a lead let pass. A waiver
 * that is taken back stays, so that its reason can be read.
 */
export const proof: Migration = {
  name: '0023-proof',
  statements: [
    `ALTER TABLE house ADD COLUMN checklist JSON NULL`,
    `ALTER TABLE recipes ADD COLUMN checklist JSON NULL`,
    `ALTER TABLE recipe_versions
      ADD COLUMN proof JSON NULL,
      ADD COLUMN sign_off_reason VARCHAR(500) NOT NULL DEFAULT ''`,
    `CREATE TABLE proof_waivers (
      id INT AUTO_INCREMENT PRIMARY KEY,
      recipe_version_id INT NOT NULL,
      check_id VARCHAR(30) NOT NULL,
      reason VARCHAR(500) NOT NULL,
      waived_by INT NOT NULL,
      created_at DATETIME(3) NOT NULL,
      taken_back_by INT NULL,
      taken_back_at DATETIME(3) NULL,
      standing_check VARCHAR(30) AS (IF(taken_back_at IS NULL, check_id, NULL)) STORED,
      UNIQUE KEY proof_waivers_one (recipe_version_id, standing_check),
      CONSTRAINT proof_waivers_version FOREIGN KEY (recipe_version_id) REFERENCES recipe_versions (id),
      CONSTRAINT proof_waivers_person FOREIGN KEY (waived_by) REFERENCES people (id),
      CONSTRAINT proof_waivers_taker FOREIGN KEY (taken_back_by) REFERENCES people (id)
    )`,
  ],
};
