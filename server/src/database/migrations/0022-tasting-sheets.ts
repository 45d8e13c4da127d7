import type { Migration } from './migration.js';

/**
 * A tasting sheet in full, and what it is worth: whether its taster had seen another's before, and what it said first
 * where it was altered after. Of earlier sheets nobody knows; they count as their taster's own. Who chose to see the sheets of
 * a brew without tasting it is kept, since what he sends later is not independent.
 */
export const tastingSheets: Migration = {
  name: '0022-tasting-sheets',
  statements: [
    `ALTER TABLE tastings
      ADD COLUMN likings JSON NOT NULL DEFAULT '{}',
      ADD COLUMN overall TINYINT NULL,
      ADD COLUMN aromas JSON NOT NULL DEFAULT '{}',
      ADD COLUMN vessel VARCHAR(20) NULL,
      ADD COLUMN faults JSON NOT NULL DEFAULT '[]',
      ADD COLUMN is_spat BOOLEAN NOT NULL DEFAULT FALSE,
      ADD COLUMN is_after_others BOOLEAN NOT NULL DEFAULT FALSE,
      ADD COLUMN first_sheet JSON NULL,
      ADD INDEX tastings_taster (tasted_by, created_at)`,
    `CREATE TABLE tasting_looks (
      brew_id INT NOT NULL,
      person_id INT NOT NULL,
      looked_at DATETIME(3) NOT NULL,
      PRIMARY KEY (brew_id, person_id),
      CONSTRAINT tasting_looks_brew FOREIGN KEY (brew_id) REFERENCES brews (id),
      CONSTRAINT tasting_looks_person FOREIGN KEY (person_id) REFERENCES people (id)
    )`,
  ],
};
