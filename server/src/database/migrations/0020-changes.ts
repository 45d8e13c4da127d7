import type { Migration } from './migration.js';

/**
 * A change of a recipe keeps what it was to do, and once it was brewed, what came. The counts are what scores are
 * summed from: figures and hopes that could be told, and how many of them were as expected.
 */
export const changes: Migration = {
  name: '0020-changes',
  statements: [
    `CREATE TABLE changes (
      id INT AUTO_INCREMENT PRIMARY KEY,
      recipe_version_id INT NOT NULL UNIQUE,
      lot_id INT NOT NULL,
      rule_id VARCHAR(60) NULL,
      is_own BOOLEAN NOT NULL,
      expectation JSON NOT NULL,
      before_brew_id INT NULL,
      after_brew_id INT NULL,
      seen JSON NULL,
      figures_told INT NOT NULL DEFAULT 0,
      figures_came INT NOT NULL DEFAULT 0,
      hopes_told INT NOT NULL DEFAULT 0,
      hopes_came INT NOT NULL DEFAULT 0,
      CONSTRAINT changes_version FOREIGN KEY (recipe_version_id) REFERENCES recipe_versions (id),
      CONSTRAINT changes_lot FOREIGN KEY (lot_id) REFERENCES lots (id),
      INDEX changes_rule (rule_id)
    )`,
  ],
};
