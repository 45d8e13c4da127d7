import type { Migration } from './migration.js';

/**
 * What kitchens tell of a public card, apart from the lab's own evidence and without a name; and whether a card that is
 * no longer public was withdrawn or only followed by a newer one.
 */
export const homeResults: Migration = {
  name: '0024-home-results',
  statements: [
    `ALTER TABLE publications ADD COLUMN is_recalled BOOLEAN NOT NULL DEFAULT FALSE`,
    // Of those before, only where nothing followed is it known.
    `UPDATE publications AS ended LEFT JOIN publications AS live
      ON live.recipe_id = ended.recipe_id AND live.withdrawn_at IS NULL
      SET ended.is_recalled = TRUE
      WHERE ended.withdrawn_at IS NOT NULL AND live.id IS NULL`,
    `CREATE TABLE home_results (
      id INT AUTO_INCREMENT PRIMARY KEY,
      client_key CHAR(36) NOT NULL UNIQUE,
      publication_id INT NOT NULL,
      dose_g DECIMAL(5,1) NOT NULL,
      drained_s DECIMAL(6,1) NOT NULL,
      taste VARCHAR(20) NOT NULL,
      grinder VARCHAR(160) NOT NULL,
      setting DECIMAL(8,2) NULL,
      created_at DATETIME(3) NOT NULL,
      INDEX home_results_of_publication (publication_id),
      CONSTRAINT home_results_publication FOREIGN KEY (publication_id) REFERENCES publications (id)
    )`,
  ],
};
