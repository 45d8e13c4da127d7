import type { Migration } from './migration.js';

/**
 * The lot's own public page, which lists its editions; the names that people put on the card of a version; which brews
 * were made from a card alone; and how a version forgives, as last worked out, for the list of lots.
 */
export const editions: Migration = {
  name: '0026-editions',
  statements: [
    `ALTER TABLE lots ADD COLUMN public_slug VARCHAR(160) NULL UNIQUE`,
    `ALTER TABLE brews ADD COLUMN from_card BOOLEAN NOT NULL DEFAULT FALSE`,
    `ALTER TABLE recipe_versions ADD COLUMN forgiven_share DECIMAL(5,4) NULL`,
    `CREATE TABLE version_signatures (
      recipe_version_id INT NOT NULL,
      person_id INT NOT NULL,
      created_at DATETIME(3) NOT NULL,
      PRIMARY KEY (recipe_version_id, person_id),
      CONSTRAINT version_signatures_version FOREIGN KEY (recipe_version_id) REFERENCES recipe_versions (id),
      CONSTRAINT version_signatures_person FOREIGN KEY (person_id) REFERENCES people (id)
    )`,
  ],
};
