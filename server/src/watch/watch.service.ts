import { Injectable, Logger } from '@nestjs/common';
import { subDays } from 'date-fns';
import { QueryTypes } from 'sequelize';
import { Sequelize } from 'sequelize-typescript';
import { sharedShifts, type LotShift, type RecheckReason } from '@vendu/core';
import {
  WATCHED_PER_PAGE,
  type RecipeAgeNoteDto,
  type RecipeWatchLimitsDto,
  type WatchedRecipe,
  type WatchListView,
  type WatchView,
} from '@vendu/contract';
import { parsedJson } from '../database/raw-row.js';
import { daysSince } from '../lots/days.js';
import type { BrewedWith } from '../kit/kit.service.js';
import { LotModel } from '../lots/lot.model.js';
import { notFound } from '../problem/problem-error.js';
import { RecipeModel } from '../recipes/recipe.model.js';
import { Writing } from '../writing/writing.js';
import { refreshWatch } from './refresh-watch.js';
import { WatchReader } from './watch-reader.js';
import type { WatchState } from './watch-state.js';

/** A recheck of another lot that is older says nothing of a grinder today, days (assumed). */
const RECENT_DAYS = 30;
/** Lots to ask, those brewed last first. */
const MOST_SHIFTS = 40;

interface LotRow {
  id: number;
  name: string;
  state: string | WatchState[];
}

/** What is out, and whether it still holds. */
@Injectable()
export class WatchService {
  private readonly logger = new Logger(WatchService.name);

  constructor(
    private readonly sequelize: Sequelize,
    private readonly reader: WatchReader,
    private readonly writing: Writing,
  ) {}

  async list(): Promise<WatchListView> {
    const [shifts, rows, [counted]] = await Promise.all([
      this.recentShifts(null),
      this.sequelize.query<LotRow>(
        `SELECT id, name, watch_state AS state FROM lots WHERE recheck_on IS NOT NULL
        ORDER BY watch_alarms DESC, recheck_on, id LIMIT ${WATCHED_PER_PAGE}`,
        { type: QueryTypes.SELECT },
      ),
      this.sequelize.query<{ total: number | bigint }>(
        'SELECT COUNT(*) AS total FROM lots WHERE recheck_on IS NOT NULL',
        { type: QueryTypes.SELECT },
      ),
    ]);
    const brewers = await this.brewersOf(rows);
    const recipes = rows.flatMap(({ id, name, state }) =>
      parsedJson<WatchState[]>(state).map(({ shift: _, ...kept }): WatchedRecipe => ({
        ...kept,
        lotId: id,
        lotName: name,
        brewerName: brewers.get(kept.recipeId) ?? '',
        reasons: [...timeReason(kept), ...kept.reasons],
      })),
    );
    return { shared: sharedShifts(shifts), recipes, total: Number(counted?.total ?? 0) };
  }

  async read(recipeId: number): Promise<WatchView> {
    const [others, batchShiftsPercent] = await Promise.all([
      this.recentShifts(recipeId),
      this.batchShiftsBesides(recipeId),
    ]);
    const view = await this.reader.ofRecipe(recipeId, { others, batchShiftsPercent });
    if (!view) throw notFound('published recipe');
    return view;
  }

  async setLimits(recipeId: number, { limits }: RecipeWatchLimitsDto): Promise<WatchView> {
    const recipe = await RecipeModel.findByPk(recipeId);
    if (!recipe) throw notFound('recipe');
    await this.writing.onLot(recipe.lotId, () => recipe.update({ watchLimits: limits && { ...limits } }));
    return this.read(recipeId);
  }

  /** What its card says of an older bag. The card that is public stays as it is until it is published again. */
  async setAgeNote(recipeId: number, { note }: RecipeAgeNoteDto): Promise<WatchView> {
    const recipe = await RecipeModel.findByPk(recipeId);
    if (!recipe) throw notFound('recipe');
    const ageNote = note && { fromDay: note.fromDay, words: note.words.trim() };
    await this.writing.onLot(recipe.lotId, () => recipe.update({ ageNote }));
    return this.read(recipeId);
  }

  /** Public recipes that are brewed with kit which became another are due, in the order of every list. */
  async kitChanged(what: BrewedWith, id: number): Promise<void> {
    try {
      const lots = await this.sequelize.query<{ id: number }>(
        `SELECT DISTINCT recipes.lot_id AS id FROM recipes
        JOIN publications ON publications.recipe_id = recipes.id AND publications.withdrawn_at IS NULL
        WHERE recipes.${what}_id = :id`,
        { replacements: { id }, type: QueryTypes.SELECT },
      );
      for (const lot of lots) {
        await this.writing.onLot(lot.id, () => refreshWatch(this.sequelize, this.reader, lot.id));
      }
    } catch (error) {
      // What is missed here is caught up with the lot's next change.
      this.logger.warn(error);
    }
  }

  /** Lots that were public before there was a watch. */
  async fillMissing(): Promise<void> {
    const lots = await LotModel.findAll({
      where: { stage: ['published', 'watched'], recheckOn: null },
      attributes: ['id'],
    });
    for (const { id } of lots) {
      await this.writing.onLot(id, () => refreshWatch(this.sequelize, this.reader, id));
    }
  }

  private async brewersOf(rows: readonly LotRow[]): Promise<Map<number, string>> {
    if (rows.length === 0) return new Map();
    const named = await this.sequelize.query<{ id: number; name: string }>(
      `SELECT recipes.id, brewers.name FROM recipes JOIN brewers ON brewers.id = recipes.brewer_id
      WHERE recipes.lot_id IN (:lotIds)`,
      { replacements: { lotIds: rows.map(({ id }) => id) }, type: QueryTypes.SELECT },
    );
    return new Map(named.map(({ id, name }) => [id, name]));
  }

  /** What new batches did to public recipes of other lots. */
  private async batchShiftsBesides(recipeId: number): Promise<(readonly number[])[]> {
    const rows = await this.sequelize.query<Pick<LotRow, 'state'>>(
      `SELECT watch_state AS state FROM lots
      WHERE recheck_on IS NOT NULL AND id <> (SELECT lot_id FROM recipes WHERE id = :recipeId)
      ORDER BY last_brewed_at DESC LIMIT ${MOST_SHIFTS}`,
      { replacements: { recipeId }, type: QueryTypes.SELECT },
    );
    return rows.flatMap(({ state }) =>
      parsedJson<WatchState[]>(state).map(({ batchShiftsPercent = [] }) => batchShiftsPercent),
    );
  }

  /**
   * How the last rechecks of lots lay off, where they are recent.
   *
   * @param besides - a recipe whose lot is left out
   */
  private async recentShifts(besides: number | null): Promise<LotShift[]> {
    const rows = await this.sequelize.query<LotRow>(
      `SELECT id, name, watch_state AS state FROM lots
      WHERE recheck_on IS NOT NULL AND last_brewed_at >= :since
        AND id <> COALESCE((SELECT lot_id FROM recipes WHERE id = :besides), 0)
      ORDER BY last_brewed_at DESC LIMIT ${MOST_SHIFTS}`,
      { replacements: { besides, since: subDays(new Date(), RECENT_DAYS) }, type: QueryTypes.SELECT },
    );
    return rows.flatMap(({ id, state }) =>
      parsedJson<WatchState[]>(state).flatMap(({ shift }): LotShift[] =>
        shift && (daysSince(shift.on) ?? 0) <= RECENT_DAYS
          ? [
              {
                lotId: id,
                grinder: shift.grinder,
                byStrengthSd: shift.byStrengthSd,
                byDrainSd: shift.byDrainSd ?? null,
              },
            ]
          : [],
      ),
    );
  }
}

function timeReason({ dueOn, lastCheckedAt }: Pick<WatchState, 'dueOn' | 'lastCheckedAt'>): RecheckReason[] {
  if ((daysSince(dueOn) ?? -1) < 0) return [];
  return [{ kind: 'time', sinceDays: lastCheckedAt === null ? 0 : (daysSince(lastCheckedAt) ?? 0) }];
}
