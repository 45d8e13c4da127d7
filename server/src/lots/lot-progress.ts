import { QueryTypes } from 'sequelize';
import type { Sequelize } from 'sequelize-typescript';
import { lotStage, type LotStage } from '@vendu/core';

interface Counted {
  id: number;
  stage: LotStage;
  brewCount: number | bigint;
  accepted: number | bigint;
  signedOff: number | bigint;
  published: number | bigint;
  recheckCount: number | bigint;
}

/** A simulated brew took no coffee and says nothing of any; an excluded one took some. */
const REAL = 'brews.is_simulated = FALSE';
const COUNTS = `${REAL} AND brews.set_aside_at IS NULL`;

/**
 * Brings what the list of lots is filtered and sorted by up to what was done: stage, brews, grams, dates. It
 * is always computed afresh from the records, never counted up, so a missed call is mended by the next.
 *
 * @param lotIds - the lots touched; all of them if left out
 */
export async function refreshLotProgress(sequelize: Sequelize, lotIds?: readonly number[]): Promise<void> {
  const where = lotIds ? 'lots.id IN (:lotIds)' : 'TRUE';
  const options = { replacements: { lotIds: [...(lotIds ?? [0])] } };
  await sequelize.query(
    `UPDATE lots SET
      brew_count = (SELECT COUNT(*) FROM brews WHERE brews.lot_id = lots.id AND ${COUNTS}),
      brewed_g = (SELECT COALESCE(SUM(brews.taken_g), 0) FROM brews WHERE brews.lot_id = lots.id AND ${REAL}),
      left_g = stock_g - (
        SELECT COALESCE(SUM(brews.taken_g), 0) FROM brews
        WHERE brews.lot_id = lots.id AND ${REAL} AND brews.created_at >= COALESCE(lots.stock_at, lots.created_at)),
      last_brewed_at = (SELECT MAX(started_at) FROM brews WHERE brews.lot_id = lots.id AND ${COUNTS}),
      latest_roasted_on = (SELECT COALESCE(MAX(IF(is_sample, NULL, roasted_on)), MAX(roasted_on))
        FROM roast_batches WHERE roast_batches.lot_id = lots.id)
    WHERE ${where}`,
    options,
  );
  const counted = await sequelize.query<Counted>(
    `SELECT lots.id, lots.stage, lots.brew_count AS brewCount,
      COALESCE(MAX(versions.accepted_at IS NOT NULL), 0) AS accepted,
      COALESCE(MAX(versions.signed_off_at IS NOT NULL), 0) AS signedOff,
      COALESCE(MAX(publications.id IS NOT NULL), 0) AS published,
      (SELECT COUNT(*) FROM publications AS public
        JOIN brews ON brews.recipe_version_id = public.recipe_version_id
          AND brews.started_at > public.created_at AND ${COUNTS}
        WHERE public.withdrawn_at IS NULL AND brews.lot_id = lots.id) AS recheckCount
    FROM lots
    LEFT JOIN recipes ON recipes.lot_id = lots.id
    LEFT JOIN recipe_versions AS versions ON versions.recipe_id = recipes.id
    LEFT JOIN publications ON publications.recipe_version_id = versions.id AND publications.withdrawn_at IS NULL
    WHERE ${where} GROUP BY lots.id`,
    { ...options, type: QueryTypes.SELECT },
  );
  const idsByStage = new Map<LotStage, number[]>();
  for (const { id, stage: before, ...progress } of counted) {
    const stage = lotStage({
      brewCount: Number(progress.brewCount),
      accepted: Number(progress.accepted) > 0,
      signedOff: Number(progress.signedOff) > 0,
      published: Number(progress.published) > 0,
      recheckCount: Number(progress.recheckCount),
    });
    if (stage !== before) idsByStage.set(stage, [...(idsByStage.get(stage) ?? []), id]);
  }
  for (const [stage, ids] of idsByStage) {
    await sequelize.query('UPDATE lots SET stage = :stage WHERE id IN (:ids)', {
      replacements: { stage, ids },
    });
  }
}
