import { Injectable } from '@nestjs/common';
import { QueryTypes } from 'sequelize';
import { Sequelize } from 'sequelize-typescript';
import { isOfProcess, launchOutlook, type BrewPlan, type LaunchHistory } from '@vendu/core';
import {
  LotsQueryDto,
  type LotListItem,
  type TodayBrew,
  type TodayLaunch,
  type TodayView,
} from '@vendu/contract';
import { KitService } from '../kit/kit.service.js';
import { LotModel } from '../lots/lot.model.js';
import { LotsService } from '../lots/lots.service.js';
import { PeopleService } from '../people/people.service.js';
import { TastersService } from '../tasters/tasters.service.js';
import { WatchService } from '../watch/watch.service.js';
import { parsedJson } from '../database/raw-row.js';
import { aftersNow } from './afters.js';
import { effortOf } from './brew-effort.js';

/** More than anybody brews in a day. */
const MOST_BREWS = 12;
/** Launches that are shown, those in danger first. */
const MOST_LAUNCHES = 8;
/** Launches so far ahead are looked at, days. */
const AHEAD_DAYS = 21;
/** Where nobody set a dose yet, g. */
const USUAL_DOSE_G = 16;

/** Gathers what a day asks for; the plan of it is worked out where it is looked at. */
@Injectable()
export class TodayService {
  constructor(
    private readonly sequelize: Sequelize,
    private readonly lots: LotsService,
    private readonly watch: WatchService,
    private readonly kit: KitService,
    private readonly people: PeopleService,
    private readonly tasters: TastersService,
  ) {}

  async read(): Promise<TodayView> {
    const [{ lots }, watched, kit, people, afters, finished] = await Promise.all([
      this.lots.page(new LotsQueryDto()),
      this.watch.list(),
      this.kit.kit(),
      this.people.all(),
      aftersNow(),
      this.finishedLots(),
    ]);
    const due = watched.recipes.filter(({ reasons, alarms }) => reasons.length > 0 || alarms.length > 0);
    const asking = lots.filter(asksForBrew);
    const pressing = asking.filter(({ due: { isPressing } }) => isPressing);
    const others = asking.filter(({ due: { isPressing } }) => !isPressing);
    const rechecks = due.slice(0, MOST_BREWS).map(async (recipe): Promise<TodayBrew> => {
      const { recipeId: id, recipeVersionId: versionId, versionNumber, brewerName, lotId, lotName } = recipe;
      const lot = await LotModel.findByPk(lotId, { rejectOnEmpty: true });
      return {
        ...effortOf(await this.planOf(versionId), isOfProcess(lot, 'decaffeinated')),
        id: `recipe-${id}`,
        lotId,
        lotName,
        recipe: { id, versionId, versionNumber, brewerName },
        action: 'recheck',
        isPressing: true,
        daysToLaunch: null,
        reasons: recipe.reasons,
        alarms: recipe.alarms,
        gramsLeftG: lot.leftG,
      };
    });
    const left = Math.max(0, MOST_BREWS - rechecks.length);
    const toBrew = [...pressing, ...others].slice(0, left).map((lot) => this.brewOf(lot));
    const brews = await Promise.all([...rechecks, ...toBrew]);
    return {
      brews,
      moreBrews: due.length + asking.length - brews.length,
      afters,
      people: await Promise.all(
        people.map(async (person) => ({
          name: person.name,
          caffeineMg: (await this.tasters.caffeine(person)).mg,
        })),
      ),
      kettles: Math.max(1, kit.kettles.length),
      roomC: kit.house.roomC,
      launches: await this.launches(lots, finished),
      zeroChecks: kit.instruments
        .filter(({ isZeroDue }) => isZeroDue)
        .map(({ name, lastZero, zeroEveryDays }) => ({
          instrument: name,
          lastAt: lastZero?.at ?? null,
          everyDays: zeroEveryDays,
        })),
      signatures: lots
        .filter(
          ({ due, proofMissing }) =>
            due.action === 'publish' || (due.action === 'sign-off' && proofMissing?.length === 0),
        )
        .map(({ id, name, due }) => ({ lotId: id, lotName: name, action: due.action })),
    };
  }

  private async brewOf(lot: LotListItem): Promise<TodayBrew> {
    const { recipe } = lot;
    const [newest] = recipe
      ? await this.sequelize.query<{ id: number }>(
          'SELECT id FROM recipe_versions WHERE recipe_id = :id ORDER BY number DESC LIMIT 1',
          { replacements: { id: recipe.id }, type: QueryTypes.SELECT },
        )
      : [];
    return {
      ...effortOf(recipe?.plan ?? null, isOfProcess(lot, 'decaffeinated')),
      id: recipe ? `recipe-${recipe.id}` : `lot-${lot.id}`,
      lotId: lot.id,
      lotName: lot.name,
      recipe:
        recipe && newest
          ? {
              id: recipe.id,
              versionId: newest.id,
              versionNumber: recipe.latestVersion,
              brewerName: recipe.brewerName,
            }
          : null,
      action: lot.due.action,
      isPressing: lot.due.isPressing,
      daysToLaunch: lot.daysToLaunch,
      reasons: [],
      alarms: [],
      gramsLeftG: lot.gramsLeftG,
    };
  }

  private async planOf(versionId: number): Promise<BrewPlan | null> {
    const [row] = await this.sequelize.query<{ plan: BrewPlan | string }>(
      'SELECT plan FROM recipe_versions WHERE id = :versionId',
      { replacements: { versionId }, type: QueryTypes.SELECT },
    );
    return row ? parsedJson<BrewPlan>(row.plan) : null;
  }

  private async launches(
    lots: readonly LotListItem[],
    finished: readonly LaunchHistory[],
  ): Promise<TodayLaunch[]> {
    const ahead = lots.filter(
      ({ daysToLaunch, stage }) =>
        daysToLaunch !== null && daysToLaunch <= AHEAD_DAYS && stage !== 'published' && stage !== 'watched',
    );
    const first = await this.firstBrews(ahead.map(({ id }) => id));
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

/** Rechecks are the watch's; a proof asks for brews as long as it lacks any. */
function asksForBrew({ due: { action }, proofMissing }: LotListItem): boolean {
  if (action === 'first-brew' || action === 'next-brew') return true;
  const byBrews = ['repeats', 'second-hands', 'second-grinder'] as const;
  return action === 'sign-off' && byBrews.some((check) => proofMissing?.includes(check) ?? false);
}
