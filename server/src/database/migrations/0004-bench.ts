import type { Migration } from './migration.js';

/** What the bench records beyond marks: the trace, what happened and with which kit; cups; brews still running. */
export const bench: Migration = {
  name: '0004-bench',
  statements: [
    `ALTER TABLE brews
      ADD COLUMN kit JSON NULL,
      ADD COLUMN events JSON NULL`,
    `ALTER TABLE readings ADD COLUMN sample_c DECIMAL(4,1) NULL`,
    `CREATE TABLE traces (
      brew_id INT PRIMARY KEY,
      samples JSON NOT NULL,
      created_at DATETIME(3) NOT NULL,
      CONSTRAINT traces_of_brew FOREIGN KEY (brew_id) REFERENCES brews (id)
    )`,
    `CREATE TABLE running_brews (
      client_key CHAR(36) PRIMARY KEY,
      lot_name VARCHAR(120) NOT NULL,
      brewer_name VARCHAR(120) NOT NULL,
      seq INT NOT NULL,
      state MEDIUMTEXT NOT NULL,
      brewed_by INT NOT NULL,
      created_at DATETIME(3) NOT NULL,
      updated_at DATETIME(3) NOT NULL,
      CONSTRAINT running_brews_by FOREIGN KEY (brewed_by) REFERENCES people (id)
    )`,
    `CREATE TABLE practice_runs (
      id INT AUTO_INCREMENT PRIMARY KEY,
      client_key CHAR(36) NOT NULL UNIQUE,
      person_id INT NOT NULL,
      exercise ENUM('hold-flow','hit-totals','follow-recipe') NOT NULL,
      plan JSON NOT NULL,
      score JSON NOT NULL,
      created_at DATETIME(3) NOT NULL,
      INDEX practice_runs_by_person (person_id, created_at),
      CONSTRAINT practice_runs_of_person FOREIGN KEY (person_id) REFERENCES people (id)
    )`,
    `CREATE TABLE fractions (
      id INT AUTO_INCREMENT PRIMARY KEY,
      brew_id INT NOT NULL,
      place INT NOT NULL,
      start_s DECIMAL(7,1) NOT NULL,
      end_s DECIMAL(7,1) NOT NULL,
      beverage_g DECIMAL(6,1) NULL,
      tds_percent DECIMAL(5,3) NULL,
      colour VARCHAR(60) NOT NULL DEFAULT '',
      haze ENUM('clear','slight','hazy') NULL,
      notes VARCHAR(300) NOT NULL DEFAULT '',
      is_wanted BOOLEAN NULL,
      created_at DATETIME(3) NOT NULL,
      updated_at DATETIME(3) NOT NULL,
      UNIQUE KEY fractions_by_place (brew_id, place),
      CONSTRAINT fractions_of_brew FOREIGN KEY (brew_id) REFERENCES brews (id)
    )`,
  ],
};
