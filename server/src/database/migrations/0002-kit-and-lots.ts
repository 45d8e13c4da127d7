import type { Migration } from './migration.js';

const timestamps = 'created_at DATETIME(3) NOT NULL, updated_at DATETIME(3) NOT NULL';
const revision = 'revision INT NOT NULL DEFAULT 0';
const now = 'UTC_TIMESTAMP(3)';

/**
 * Kit in full, schools, and what the list of lots is filtered and sorted by. Papers were a text of their
 * brewer and become rows of their own; a brewer of a class gets the measures of the class, to be corrected.
 */
export const kitAndLots: Migration = {
  name: '0002-kit-and-lots',
  statements: [
    `CREATE TABLE papers (
      id INT AUTO_INCREMENT PRIMARY KEY,
      name VARCHAR(120) NOT NULL UNIQUE,
      resistance_per_m DOUBLE NOT NULL,
      rinse_g INT NOT NULL,
      ${revision},
      ${timestamps}
    )`,
    `INSERT INTO papers (name, resistance_per_m, rinse_g, created_at, updated_at)
      SELECT paper, MAX(CASE shape WHEN 'carafe' THEN 7.204e8 WHEN 'flat-bottom' THEN 1.203e8 ELSE 1.776e8 END), 100, ${now}, ${now}
      FROM brewers GROUP BY paper`,
    `ALTER TABLE brewers
      ADD COLUMN top_diameter_mm DECIMAL(5,1) NOT NULL DEFAULT 0,
      ADD COLUMN bottom_diameter_mm DECIMAL(5,1) NOT NULL DEFAULT 0,
      ADD COLUMN height_mm DECIMAL(5,1) NOT NULL DEFAULT 0,
      ADD COLUMN outlet_diameter_mm DECIMAL(5,1) NOT NULL DEFAULT 0,
      ADD COLUMN outlet_count INT NOT NULL DEFAULT 1,
      ADD COLUMN paper_id INT NULL,
      ADD COLUMN ${revision}`,
    `UPDATE brewers SET
      top_diameter_mm = CASE shape WHEN 'carafe' THEN 158.6 WHEN 'flat-bottom' THEN 108.5 ELSE 118.1 END,
      bottom_diameter_mm = CASE shape WHEN 'flat-bottom' THEN 50 ELSE 20 END,
      height_mm = CASE shape WHEN 'carafe' THEN 120 WHEN 'flat-bottom' THEN 65 ELSE 85 END,
      outlet_diameter_mm = CASE shape WHEN 'carafe' THEN 30 WHEN 'flat-bottom' THEN 5.6 ELSE 18 END,
      outlet_count = CASE shape WHEN 'flat-bottom' THEN 3 ELSE 1 END,
      paper_id = (SELECT papers.id FROM papers WHERE papers.name = brewers.paper)`,
    `ALTER TABLE brewers
      MODIFY paper_id INT NOT NULL,
      DROP COLUMN paper,
      DROP COLUMN outlet,
      ADD CONSTRAINT brewers_with_paper FOREIGN KEY (paper_id) REFERENCES papers (id)`,
    `ALTER TABLE grinders ADD COLUMN ${revision}`,
    `CREATE TABLE kettles (
      id INT AUTO_INCREMENT PRIMARY KEY,
      name VARCHAR(120) NOT NULL UNIQUE,
      step_c DECIMAL(4,1) NOT NULL,
      has_scale BOOLEAN NOT NULL,
      ${revision},
      ${timestamps}
    )`,
    `CREATE TABLE waters (
      id INT AUTO_INCREMENT PRIMARY KEY,
      name VARCHAR(120) NOT NULL UNIQUE,
      origin ENUM('analysis','mixed') NOT NULL,
      hardness_mg_per_l DECIMAL(6,1) NOT NULL,
      alkalinity_mg_per_l DECIMAL(6,1) NOT NULL,
      minerals_mg_per_l DECIMAL(6,1) NOT NULL,
      mix JSON NULL,
      ${revision},
      ${timestamps}
    )`,
    `CREATE TABLE instruments (
      id INT AUTO_INCREMENT PRIMARY KEY,
      kind ENUM('scale','refractometer','thermometer') NOT NULL,
      name VARCHAR(120) NOT NULL UNIQUE,
      resolution DECIMAL(7,3) NOT NULL,
      zero_every_days INT NOT NULL,
      ${revision},
      ${timestamps}
    )`,
    `CREATE TABLE zero_checks (
      id INT AUTO_INCREMENT PRIMARY KEY,
      instrument_id INT NOT NULL,
      shown DECIMAL(7,3) NOT NULL,
      checked_by INT NOT NULL,
      created_at DATETIME(3) NOT NULL,
      INDEX zero_checks_by_instrument (instrument_id, created_at),
      CONSTRAINT zero_checks_of_instrument FOREIGN KEY (instrument_id) REFERENCES instruments (id),
      CONSTRAINT zero_checks_by FOREIGN KEY (checked_by) REFERENCES people (id)
    )`,
    `ALTER TABLE house
      ADD COLUMN room_c DECIMAL(4,1) NOT NULL DEFAULT 22,
      ADD COLUMN schools JSON NULL,
      ADD COLUMN ${revision}`,
    `ALTER TABLE recipes
      ADD COLUMN schools JSON NULL,
      ADD COLUMN switched_off JSON NULL`,
    `ALTER TABLE lots
      ADD COLUMN supplier VARCHAR(120) NOT NULL DEFAULT '',
      ADD COLUMN launch_on DATE NULL,
      ADD COLUMN signs JSON NULL,
      ADD COLUMN stock_at DATETIME(3) NULL,
      ADD COLUMN evidence JSON NULL,
      ADD COLUMN stage ENUM('arrived','first-brews','dialling-in','proving','signed-off','published','watched') NOT NULL DEFAULT 'arrived',
      ADD COLUMN brew_count INT NOT NULL DEFAULT 0,
      ADD COLUMN brewed_g DECIMAL(9,1) NOT NULL DEFAULT 0,
      ADD COLUMN left_g DECIMAL(9,1) NULL,
      ADD COLUMN last_brewed_at DATETIME(3) NULL,
      ADD COLUMN latest_roasted_on DATE NULL,
      ADD INDEX lots_by_stage (stage),
      ADD INDEX lots_by_update (updated_at),
      ADD INDEX lots_by_launch (launch_on),
      ADD INDEX lots_by_roast (latest_roasted_on),
      ADD INDEX lots_by_name (name),
      ADD INDEX lots_by_brews (brew_count),
      ADD INDEX lots_by_left (left_g)`,
    `UPDATE lots SET stock_at = created_at WHERE stock_g IS NOT NULL`,
    `ALTER TABLE roast_batches
      ADD COLUMN loss_percent DECIMAL(4,1) NULL,
      ADD COLUMN end_c DECIMAL(4,1) NULL`,
    `CREATE TABLE stock_weighings (
      id INT AUTO_INCREMENT PRIMARY KEY,
      lot_id INT NOT NULL,
      mass_g DECIMAL(9,1) NOT NULL,
      weighed_by INT NOT NULL,
      created_at DATETIME(3) NOT NULL,
      INDEX stock_weighings_by_lot (lot_id, created_at),
      CONSTRAINT stock_weighings_of_lot FOREIGN KEY (lot_id) REFERENCES lots (id),
      CONSTRAINT stock_weighings_by FOREIGN KEY (weighed_by) REFERENCES people (id)
    )`,
  ],
};
