import { QueryTypes } from 'sequelize';
import type { Sequelize } from 'sequelize-typescript';
import { refreshLotProgress } from '../../src/lots/lot-progress.js';

export const LOTS = 10_000;
export const BREWS_A_LOT = 10;

/** Ten thousand lots like the demo's first, each with a recipe and ten brews, made inside the database. */
export async function growLab(sequelize: Sequelize): Promise<void> {
  const run = (statement: string) => sequelize.query(statement);
  await run(`INSERT INTO lots (name, country, region, farm, producer, variety, process, fermentation_note, additions,
      harvest, drying, label_notes, stock_g, stock_at, created_by, created_at, updated_at, signs)
    SELECT CONCAT('Bulk ', seq), 'RW', CONCAT('region ', seq % 40), CONCAT('farm ', seq % 700), '', 'Bourbon',
      ELT(1 + seq % 3, 'washed', 'natural', 'honey'), '', '', '', '', '', 3000, '2026-01-01', 1,
      '2026-01-01', TIMESTAMPADD(SECOND, seq, '2026-01-01'), '[]' FROM seq_1_to_${LOTS}`);
  await run(`INSERT INTO roast_batches (lot_id, roasted_on, created_at, updated_at)
    SELECT id, DATE_ADD('2025-06-01', INTERVAL id % 300 DAY), NOW(), NOW() FROM lots WHERE name LIKE 'Bulk %'`);
  await run(`INSERT INTO recipes (lot_id, brewer_id, grinder_id, paper_id, created_by, created_at, updated_at)
    SELECT id, 1, 1, 1, 1, NOW(), NOW() FROM lots WHERE name LIKE 'Bulk %'`);
  await run(`INSERT INTO recipe_versions (recipe_id, number, plan, note, created_by, created_at)
    SELECT recipes.id, 1, (SELECT plan FROM recipe_versions WHERE id = 1), '', 1, NOW()
    FROM recipes JOIN lots ON lots.id = recipes.lot_id WHERE lots.name LIKE 'Bulk %'`);
  await run(`INSERT INTO brews (client_key, lot_id, recipe_version_id, roast_batch_id, brewed_by, started_at, plan, steps,
      dose_g, water_g, beverage_g, note, created_at, updated_at)
    SELECT CONCAT('bulk-', lots.id, '-', seq), lots.id, versions.id, batches.id, 1,
      TIMESTAMPADD(HOUR, seq, '2026-01-02'), versions.plan, '[]', 16, 260, 228, '', '2026-01-02', '2026-01-02'
    FROM lots JOIN recipes ON recipes.lot_id = lots.id JOIN recipe_versions AS versions ON versions.recipe_id = recipes.id
      JOIN roast_batches AS batches ON batches.lot_id = lots.id, seq_1_to_${BREWS_A_LOT}
    WHERE lots.name LIKE 'Bulk %'`);
  await run(`INSERT INTO readings (brew_id, tds_percent, read_by, created_at)
    SELECT id, 1.2 + (id % 20) / 100, 1, NOW() FROM brews WHERE client_key LIKE 'bulk-%'`);
  await run(`INSERT INTO tastings (brew_id, tasted_by, stage, notes, intensities, likings, created_at, updated_at)
    SELECT id, 1 + id % 3, 'warm', 'plum, honey', '{"acidity": 6, "sweetness": 5}', '{"acidity": 7}', started_at, started_at
    FROM brews WHERE client_key LIKE 'bulk-%' AND id % 5 = 0`);
  await refreshLotProgress(sequelize);
  // For the reports alone: what the list says of these lots stays as it is.
  await run(`UPDATE recipe_versions JOIN recipes ON recipes.id = recipe_versions.recipe_id
    JOIN lots ON lots.id = recipes.lot_id SET accepted_at = '2026-02-01', accepted_by = 1
    WHERE lots.name LIKE 'Bulk %'`);
  // The optimiser's figures of tables filled at one blow come in the background, seconds later; a lab's come as it works.
  await sequelize.query(
    'ANALYZE TABLE lots, roast_batches, recipes, recipe_versions, brews, readings, tastings',
    {
      type: QueryTypes.SELECT,
    },
  );
}
