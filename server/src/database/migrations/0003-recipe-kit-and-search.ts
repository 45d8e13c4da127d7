import type { Migration } from './migration.js';

/**
 * A recipe names its paper, water and kettle and may aim elsewhere than its school; the list of lots is searched
 * in one column. Its collation looks over case and accents, at a third of the cost of the table's own.
 */
export const recipeKitAndSearch: Migration = {
  name: '0003-recipe-kit-and-search',
  statements: [
    `ALTER TABLE recipes
      ADD COLUMN paper_id INT NULL,
      ADD COLUMN water_id INT NULL,
      ADD COLUMN kettle_id INT NULL,
      ADD COLUMN aim JSON NULL`,
    `UPDATE recipes SET paper_id = (SELECT brewers.paper_id FROM brewers WHERE brewers.id = recipes.brewer_id)`,
    `ALTER TABLE recipes
      MODIFY paper_id INT NOT NULL,
      ADD CONSTRAINT recipes_with_paper FOREIGN KEY (paper_id) REFERENCES papers (id),
      ADD CONSTRAINT recipes_with_water FOREIGN KEY (water_id) REFERENCES waters (id),
      ADD CONSTRAINT recipes_with_kettle FOREIGN KEY (kettle_id) REFERENCES kettles (id)`,
    `ALTER TABLE lots
      ADD COLUMN search_text VARCHAR(700) CHARACTER SET utf8mb4 COLLATE utf8mb4_general_ci
        AS (CONCAT_WS(' ', name, region, farm, producer, variety)) STORED`,
  ],
};
