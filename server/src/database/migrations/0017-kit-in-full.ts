import type { Migration } from './migration.js';

const timestamps = 'created_at DATETIME(3) NOT NULL, updated_at DATETIME(3) NOT NULL';
const revision = 'revision INT NOT NULL DEFAULT 0';

/** What the trade says of its kit beyond what the model needs; where nobody looked, nothing is said. */
export const kitInFull: Migration = {
  name: '0017-kit-in-full',
  statements: [
    `ALTER TABLE papers
      ADD COLUMN body ENUM('little','some','much') NULL AFTER fold,
      ADD COLUMN is_bleached BOOLEAN NULL AFTER body,
      ADD COLUMN soak_min INT NULL AFTER is_bleached`,
    `ALTER TABLE brewers
      ADD COLUMN has_valve BOOLEAN NOT NULL DEFAULT FALSE AFTER outlet_count,
      ADD COLUMN advised_low_c DECIMAL(4,1) NULL AFTER wall_mm,
      ADD COLUMN advised_high_c DECIMAL(4,1) NULL AFTER advised_low_c,
      ADD COLUMN body_of_id INT NULL,
      ADD CONSTRAINT brewers_of_body FOREIGN KEY (body_of_id) REFERENCES brewers (id)`,
    `ALTER TABLE grinders
      ADD COLUMN finest_setting DECIMAL(7,2) NULL AFTER points,
      ADD COLUMN coarsest_setting DECIMAL(7,2) NULL AFTER finest_setting,
      ADD COLUMN burrs_kg DECIMAL(8,1) NULL AFTER coarsest_setting,
      ADD COLUMN retained_g DECIMAL(4,1) NULL AFTER burrs_kg,
      ADD COLUMN words JSON NOT NULL DEFAULT '[]' AFTER retained_g`,
    `ALTER TABLE kettles
      ADD COLUMN most_flow_gps DECIMAL(4,1) NULL AFTER has_scale,
      ADD COLUMN holds_within_c DECIMAL(3,1) NULL AFTER most_flow_gps,
      ADD COLUMN lid_stays_open BOOLEAN NULL AFTER holds_within_c`,
    `CREATE TABLE sieves (
      id INT AUTO_INCREMENT PRIMARY KEY,
      name VARCHAR(120) NOT NULL UNIQUE,
      holes_um INT NOT NULL,
      ${revision},
      ${timestamps}
    )`,
    `CREATE TABLE feeders (
      id INT AUTO_INCREMENT PRIMARY KEY,
      kind ENUM('regulator','shower-plate') NOT NULL,
      name VARCHAR(120) NOT NULL UNIQUE,
      hole_mm DECIMAL(4,1) NULL,
      holds_g INT NULL,
      flow_gps DECIMAL(4,1) NULL,
      ${revision},
      ${timestamps}
    )`,
    `CREATE TABLE stated_settings (
      id INT AUTO_INCREMENT PRIMARY KEY,
      grinder_id INT NOT NULL,
      setting DECIMAL(7,2) NOT NULL,
      other_grinder_id INT NOT NULL,
      other_setting DECIMAL(7,2) NOT NULL,
      source VARCHAR(120) NOT NULL,
      ${revision},
      ${timestamps},
      CONSTRAINT stated_of_grinder FOREIGN KEY (grinder_id) REFERENCES grinders (id),
      CONSTRAINT stated_of_other_grinder FOREIGN KEY (other_grinder_id) REFERENCES grinders (id)
    )`,
  ],
};
