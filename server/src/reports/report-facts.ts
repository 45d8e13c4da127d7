import { Injectable } from '@nestjs/common';
import { QueryTypes } from 'sequelize';
import { Sequelize } from 'sequelize-typescript';
import type {
  ChangeBrewed,
  ChangeSeen,
  LastRecheck,
  LotDialledIn,
  LotUse,
  Proof,
  VersionProven,
} from '@vendu/core';
import { numberOrNull, parsedJson } from '../database/raw-row.js';
import type { WatchState } from '../watch/watch-state.js';

/** A table of more is read by nobody: the newest count. */
const MOST_ROWS = 500;

/** Rows as the database answers them: counts as big integers, decimals as text. */
type Raw<T> = { [Key in keyof T]: T[Key] extends number | null ? T[Key] | bigint | string : T[Key] };
type Counted<T> = Raw<T & { total: number }>;

interface Some<T> {
  rows: T[];
  /** As many there are. */
  total: number;
}

/** A moment as its calendar date. */
const day = (moment: string) => `DATE_FORMAT(${moment}, '%Y-%m-%d')`;

const COUNTS = 'brews.is_simulated = FALSE AND brews.set_aside_at IS NULL';

/** Reads what reports are made of, in plain statements: a year of a large lab is many rows. */
@Injectable()
export class ReportFacts {
  constructor(private readonly sequelize: Sequelize) {}

  async dialledIn(since: Date): Promise<Some<LotDialledIn>> {
    const rows = await this.select<Counted<LotDialledIn>>(
      `SELECT accepted.total, lots.id AS lotId, lots.name AS lot, ${day('lots.created_at')} AS arrivedOn,
        ${day('accepted.at')} AS acceptedOn,
        (SELECT ${day('MIN(publications.created_at)')} FROM publications
          JOIN recipes ON recipes.id = publications.recipe_id WHERE recipes.lot_id = lots.id) AS publishedOn,
        COUNT(brews.id) AS brews, COALESCE(SUM(brews.taken_g), 0) AS grams
      FROM (SELECT lot_id, at, COUNT(*) OVER () AS total
        FROM (SELECT recipes.lot_id, MIN(versions.accepted_at) AS at
          FROM recipe_versions AS versions JOIN recipes ON recipes.id = versions.recipe_id
          WHERE versions.accepted_at IS NOT NULL GROUP BY recipes.lot_id) AS firsts
        WHERE at >= :since ORDER BY at DESC LIMIT ${MOST_ROWS}) AS accepted
      JOIN lots ON lots.id = accepted.lot_id
      LEFT JOIN brews ON brews.lot_id = lots.id AND brews.started_at <= accepted.at AND ${COUNTS}
      GROUP BY lots.id`,
      since,
    );
    return some(rows, ({ brews, grams, ...row }) => ({
      ...row,
      lotId: Number(row.lotId),
      brews: Number(brews),
      grams: Number(grams),
    }));
  }

  async changesBrewed(since: Date): Promise<Some<ChangeBrewed>> {
    const rows = await this.select<Counted<Omit<ChangeBrewed, 'figures'>> & { seen: string | ChangeSeen }>(
      `SELECT COUNT(*) OVER () AS total, changes.lot_id AS lotId, lots.name AS lot, brewers.name AS brewer,
        ${day('brews.started_at')} AS \`on\`, changes.seen
      FROM brews
      JOIN changes ON changes.after_brew_id = brews.id
      JOIN recipe_versions AS versions ON versions.id = changes.recipe_version_id
      JOIN recipes ON recipes.id = versions.recipe_id
      JOIN brewers ON brewers.id = recipes.brewer_id
      JOIN lots ON lots.id = changes.lot_id
      WHERE brews.started_at >= :since AND changes.figures_told > 0
      ORDER BY brews.started_at DESC LIMIT ${MOST_ROWS}`,
      since,
    );
    return some(rows, ({ lotId, lot, brewer, on, seen }) => ({
      lotId: Number(lotId),
      lot,
      brewer,
      on,
      figures: parsedJson<ChangeSeen>(seen).figures,
    }));
  }

  async versionsProven(since: Date): Promise<Some<VersionProven>> {
    const rows = await this.select<
      Counted<Omit<VersionProven, 'strength' | 'yield'>> & { proof: string | Proof }
    >(
      `SELECT signed.total, lots.id AS lotId, lots.name AS lot, brewers.name AS brewer,
        versions.number AS versionNumber, ${day('versions.signed_off_at')} AS \`on\`, versions.proof
      FROM (SELECT id, COUNT(*) OVER () AS total FROM recipe_versions
        WHERE signed_off_at >= :since AND proof IS NOT NULL
        ORDER BY signed_off_at DESC LIMIT ${MOST_ROWS}) AS signed
      JOIN recipe_versions AS versions ON versions.id = signed.id
      JOIN recipes ON recipes.id = versions.recipe_id
      JOIN brewers ON brewers.id = recipes.brewer_id
      JOIN lots ON lots.id = recipes.lot_id`,
      since,
    );
    return some(rows, ({ lotId, lot, brewer, versionNumber, on, proof }) => {
      const { strength, yield: extraction } = parsedJson<Proof>(proof);
      return {
        lotId: Number(lotId),
        lot,
        brewer,
        versionNumber: Number(versionNumber),
        on,
        strength,
        yield: extraction,
      };
    });
  }

  async lastRechecks(since: Date): Promise<Some<LastRecheck>> {
    const rows = await this.select<{
      total: number | bigint;
      id: number;
      name: string;
      state: string | WatchState[];
    }>(
      `SELECT COUNT(*) OVER () AS total, id, name, watch_state AS state FROM lots
      WHERE recheck_on IS NOT NULL AND last_brewed_at >= :since
      ORDER BY last_brewed_at DESC LIMIT ${MOST_ROWS}`,
      since,
    );
    const earliest = since.toISOString().slice(0, 10);
    const rechecks = rows.flatMap(({ id, name, state }) =>
      parsedJson<WatchState[]>(state).flatMap(({ shift }) =>
        shift && shift.on >= earliest
          ? [{ ...shift, byDrainSd: shift.byDrainSd ?? null, lotId: id, lot: name }]
          : [],
      ),
    );
    const total = Number(rows[0]?.total ?? 0);
    return { rows: rechecks, total: total > MOST_ROWS ? total : rechecks.length };
  }

  async lotUse(since: Date): Promise<Some<LotUse>> {
    // The newest lots first, and then their brews: all brews of a year would be gone through for a few hundred rows.
    const rows = await this.select<Counted<LotUse>>(
      `SELECT recent.total, lots.id AS lotId, lots.name AS lot, COUNT(*) AS brews, SUM(brews.taken_g) AS grams,
        SUM(brews.taken_g / (1 - COALESCE(batches.loss_percent, 0) / 100)) AS greenG,
        lots.left_g AS leftG, lots.price_per_kg AS pricePerKg
      FROM (SELECT id, COUNT(*) OVER () AS total FROM lots
        WHERE brewed_g > 0 AND COALESCE(last_brewed_at, updated_at) >= :since
        ORDER BY COALESCE(last_brewed_at, updated_at) DESC LIMIT ${MOST_ROWS}) AS recent
      JOIN lots ON lots.id = recent.id
      JOIN brews ON brews.lot_id = recent.id AND brews.started_at >= :since AND brews.is_simulated = FALSE
      JOIN roast_batches AS batches ON batches.id = brews.roast_batch_id
      GROUP BY lots.id`,
      since,
    );
    const { rows: lots, total } = some(rows, (row) => ({
      lotId: Number(row.lotId),
      lot: row.lot,
      brews: Number(row.brews),
      grams: Number(row.grams),
      greenG: Number(row.greenG),
      leftG: numberOrNull(row.leftG),
      pricePerKg: numberOrNull(row.pricePerKg),
    }));
    return { rows: lots, total: total > MOST_ROWS ? total : lots.length };
  }

  async gramsByMonth(since: Date): Promise<{ month: string; grams: number }[]> {
    const rows = await this.select<{ month: number; grams: string | number }>(
      `SELECT EXTRACT(YEAR_MONTH FROM started_at) AS month, SUM(taken_g) AS grams FROM brews
      WHERE started_at >= :since AND is_simulated = FALSE GROUP BY month ORDER BY month`,
      since,
    );
    return rows.map(({ month, grams }) => ({
      month: `${Math.floor(month / 100)}-${String(month % 100).padStart(2, '0')}`,
      grams: Number(grams),
    }));
  }

  private select<T extends object>(statement: string, since: Date): Promise<T[]> {
    return this.sequelize.query<T>(statement, { type: QueryTypes.SELECT, replacements: { since } });
  }
}

function some<R extends { total: unknown }, T>(rows: readonly R[], read: (row: R) => T): Some<T> {
  return { rows: rows.map(read), total: Number(rows[0]?.total ?? 0) };
}
