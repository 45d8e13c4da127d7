import type { Migration } from './migration.js';

/**
 * One live publication to a recipe, with the card as it was published; requests that are known again; and which
 * device has a running brew.
 */
export const safeGround: Migration = {
  name: '0006-safe-ground',
  statements: [
    `ALTER TABLE publications
      ADD COLUMN recipe_id INT NULL,
      ADD COLUMN card JSON NULL`,
    `UPDATE publications SET recipe_id =
      (SELECT recipe_versions.recipe_id FROM recipe_versions WHERE recipe_versions.id = publications.recipe_version_id)`,
    // Two people at once could make these: public without a sign-off, and several of one recipe.
    `UPDATE publications JOIN recipe_versions ON recipe_versions.id = publications.recipe_version_id
      SET publications.withdrawn_at = UTC_TIMESTAMP(3)
      WHERE publications.withdrawn_at IS NULL AND recipe_versions.signed_off_at IS NULL`,
    `UPDATE publications AS older JOIN publications AS newer
      ON newer.recipe_id = older.recipe_id AND newer.id > older.id AND newer.withdrawn_at IS NULL
      SET older.withdrawn_at = UTC_TIMESTAMP(3)
      WHERE older.withdrawn_at IS NULL`,
    `ALTER TABLE publications
      MODIFY recipe_id INT NOT NULL,
      ADD COLUMN live_recipe_id INT AS (IF(withdrawn_at IS NULL, recipe_id, NULL)) PERSISTENT,
      ADD UNIQUE KEY publications_one_live (live_recipe_id),
      ADD CONSTRAINT publications_of_recipe FOREIGN KEY (recipe_id) REFERENCES recipes (id)`,
    `CREATE TABLE request_keys (
      client_key CHAR(36) PRIMARY KEY,
      person_id INT NOT NULL,
      what VARCHAR(200) NOT NULL,
      result JSON NULL,
      created_at DATETIME(3) NOT NULL,
      INDEX request_keys_by_age (created_at)
    )`,
    `ALTER TABLE running_brews
      ADD COLUMN device CHAR(36) NULL,
      ADD INDEX running_brews_by_age (updated_at)`,
  ],
};
