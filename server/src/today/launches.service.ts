import { Injectable } from '@nestjs/common';
import { QueryTypes } from 'sequelize';
import { Sequelize } from 'sequelize-typescript';
import { launchOutlook, type LaunchHistory } from '@vendu/core';
import type { LotListItem, TodayLaunch } from '@vendu/contract';

/** Launches that are shown, those in danger first. */
const MOST_LAUNCHES = 8;
/** Launches so far ahead are looked at, days. */
const AHEAD_DAYS = 21;
/** Where nobody set a dose yet, g. */
const USUAL_DOSE_G = 16;

/** Looks at launches that lie ahead, beside what lots here took. */
@Injectable()
export class LaunchesService {
  constructor(private readonly sequelize: Sequelize) {}

  async of(lots: readonly LotListItem[]): Promise<TodayLaunch[]> {
    const ahead = lots.filter(
      ({ daysToLaunch, stage }) =>
        daysToLaunch !== null && daysToLaunch <= AHEAD_DAYS && stage !== 'published' && stage !== 'watched',
    );
    const [first, finished] = await Promise.all([
      this.firstBrews(ahead.map(({ id }) => id)),
      this.finishedLots(),
    ]);
    const looked = ahead.map(({ id, name, launchOn, daysToLaunch, brewCount, gramsLeftG, recipe }) => ({
      lotId: id,
      lotName: name,
      launchOn: launchOn ?? '',
      daysToLaunch: daysToLaunch ?? 0,
      outlook: launchOutlook({
        finished,
        daysToLaunch: daysToLaunch ?? 0,
        brewsDone: brewCount,
        daysBrewed: first.get(id) ?? 0,
        gramsLeft: gramsLeftG,
        doseG: recipe?.plan.doseG ?? USUAL_DOSE_G,
      }),
    }));
    return looked
      .sort(
        (a, b) =>
          Number(b.outlook.isInDanger) - Number(a.outlook.isInDanger) || a.daysToLaunch - b.daysToLaunch,
      )
      .slice(0, MOST_LAUNCHES);
  }

  private async firstBrews(lotIds: readonly number[]): Promise<Map<number, number>> {
    if (lotIds.length === 0) return new Map();
    const rows = await this.sequelize.query<{ lotId: number; days: number }>(
      `SELECT lot_id AS lotId, DATEDIFF(NOW(), MIN(started_at)) AS days FROM brews
      WHERE lot_id IN (:lotIds) AND set_aside_at IS NULL AND is_simulated = FALSE GROUP BY lot_id`,
      { replacements: { lotIds: [...lotIds] }, type: QueryTypes.SELECT },
    );
    return new Map(rows.map(({ lotId, days }) => [lotId, days]));
  }

  /** What the newest lots that are out took, from their first brew to their first publication. */
  private async finishedLots(): Promise<LaunchHistory[]> {
    const rows = await this.sequelize.query<{ brews: number | bigint; days: number | bigint }>(
      `SELECT COUNT(*) AS brews, DATEDIFF(MAX(first_out.at), MIN(brews.started_at)) AS days
      FROM (SELECT recipes.lot_id, MIN(publications.created_at) AS at
        FROM publications JOIN recipes ON recipes.id = publications.recipe_id
        GROUP BY recipes.lot_id ORDER BY at DESC LIMIT 60) AS first_out
      JOIN brews ON brews.lot_id = first_out.lot_id AND brews.started_at <= first_out.at
        AND brews.set_aside_at IS NULL AND brews.is_simulated = FALSE
      GROUP BY first_out.lot_id`,
      { type: QueryTypes.SELECT },
    );
    return rows.map(({ brews, days }) => ({ brews: Number(brews), days: Math.max(1, Number(days)) }));
  }
}
