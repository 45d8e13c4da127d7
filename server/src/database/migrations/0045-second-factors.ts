import type { Migration } from './migration.js';

/** A code from an app besides the password, for whoever wants it; and codes for when the phone is lost. */
export const secondFactors: Migration = {
  name: '0045-second-factors',
  statements: [
    `CREATE TABLE second_factors (
      person_id INT NOT NULL PRIMARY KEY,
      secret VARCHAR(64) NOT NULL,
      since DATETIME(3) NULL,
      last_step INT NOT NULL DEFAULT 0,
      CONSTRAINT second_factors_person FOREIGN KEY (person_id) REFERENCES people (id)
    )`,
    `CREATE TABLE recovery_codes (
      person_id INT NOT NULL,
      code_hash CHAR(43) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
      PRIMARY KEY (person_id, code_hash),
      CONSTRAINT recovery_codes_person FOREIGN KEY (person_id) REFERENCES people (id)
    )`,
  ],
};
