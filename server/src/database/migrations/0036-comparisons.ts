import type { Migration } from './migration.js';

/** Arms brewed to answer one question, and coded cups that are tasted without knowing; what each taster finds in reference cups. */
export const comparisons: Migration = {
  name: '0036-comparisons',
  statements: [
    `CREATE TABLE comparisons (
      id INT AUTO_INCREMENT PRIMARY KEY,
      question VARCHAR(300) NOT NULL,
      asks JSON NOT NULL,
      matched_by VARCHAR(10) NOT NULL,
      rounds INT NOT NULL,
      made_by INT NOT NULL,
      revision INT NOT NULL DEFAULT 0,
      created_at DATETIME(3) NOT NULL,
      CONSTRAINT comparisons_by FOREIGN KEY (made_by) REFERENCES people (id)
    )`,
    `CREATE TABLE comparison_arms (
      id INT AUTO_INCREMENT PRIMARY KEY,
      recipe_version_id INT NOT NULL,
      comparison_id INT NOT NULL,
      place INT NOT NULL,
      UNIQUE KEY comparison_arms_place (comparison_id, place),
      CONSTRAINT comparison_arms_version FOREIGN KEY (recipe_version_id) REFERENCES recipe_versions (id),
      CONSTRAINT comparison_arms_of FOREIGN KEY (comparison_id) REFERENCES comparisons (id)
    )`,
    `CREATE TABLE comparison_brews (
      id INT AUTO_INCREMENT PRIMARY KEY,
      comparison_arm_id INT NOT NULL,
      brew_id INT NOT NULL,
      UNIQUE KEY comparison_brews_once (comparison_arm_id, brew_id),
      CONSTRAINT comparison_brews_arm FOREIGN KEY (comparison_arm_id) REFERENCES comparison_arms (id),
      CONSTRAINT comparison_brews_brew FOREIGN KEY (brew_id) REFERENCES brews (id)
    )`,
    `CREATE TABLE blind_tests (
      id INT AUTO_INCREMENT PRIMARY KEY,
      comparison_id INT NOT NULL,
      method VARCHAR(10) NOT NULL,
      arms JSON NOT NULL,
      asks_for VARCHAR(120) NOT NULL,
      stages JSON NOT NULL,
      alpha DECIMAL(4,3) NOT NULL,
      made_by INT NOT NULL,
      ends_at DATETIME(3) NOT NULL,
      ended_at DATETIME(3) NULL,
      opened_at DATETIME(3) NULL,
      opened_by INT NULL,
      is_found BOOLEAN NULL,
      taster_count INT NULL,
      poured_by JSON NOT NULL,
      looks JSON NOT NULL,
      created_at DATETIME(3) NOT NULL,
      CONSTRAINT blind_tests_of FOREIGN KEY (comparison_id) REFERENCES comparisons (id),
      CONSTRAINT blind_tests_by FOREIGN KEY (made_by) REFERENCES people (id),
      CONSTRAINT blind_tests_opener FOREIGN KEY (opened_by) REFERENCES people (id)
    )`,
    `CREATE TABLE blind_places (
      id INT AUTO_INCREMENT PRIMARY KEY,
      blind_test_id INT NOT NULL,
      number INT NOT NULL,
      cups JSON NOT NULL,
      secret CHAR(22) CHARACTER SET ascii COLLATE ascii_bin NULL UNIQUE,
      device CHAR(32) NULL,
      UNIQUE KEY blind_places_number (blind_test_id, number),
      CONSTRAINT blind_places_of FOREIGN KEY (blind_test_id) REFERENCES blind_tests (id)
    )`,
    `CREATE TABLE blind_answers (
      id INT AUTO_INCREMENT PRIMARY KEY,
      blind_place_id INT NOT NULL,
      stage VARCHAR(5) NOT NULL,
      answer JSON NOT NULL,
      note VARCHAR(500) NOT NULL,
      created_at DATETIME(3) NOT NULL,
      UNIQUE KEY blind_answers_once (blind_place_id, stage),
      CONSTRAINT blind_answers_of FOREIGN KEY (blind_place_id) REFERENCES blind_places (id)
    )`,
    `CREATE TABLE reference_trials (
      id INT AUTO_INCREMENT PRIMARY KEY,
      person_id INT NOT NULL,
      kind VARCHAR(10) NOT NULL,
      difference_percent DECIMAL(4,2) NULL,
      is_right BOOLEAN NOT NULL,
      created_at DATETIME(3) NOT NULL,
      CONSTRAINT reference_trials_of FOREIGN KEY (person_id) REFERENCES people (id)
    )`,
  ],
};
