import { Injectable } from '@nestjs/common';
import { QueryTypes } from 'sequelize';
import { Sequelize } from 'sequelize-typescript';
import { isOfProcess, type BrewPlan } from '@vendu/core';
import type { LotListItem, TodayBrew, WatchedRecipe } from '@vendu/contract';
import { parsedJson } from '../database/raw-row.js';
import { LotModel } from '../lots/lot.model.js';
import { effortOf } from './brew-effort.js';

/** More than anybody brews in a day. */
const MOST_BREWS = 12;

/** The brews that a day asks for: rechecks first, then what presses, then the rest as it falls due. */
@Injectable()
export class TodayBrewsService {
  constructor(private readonly sequelize: Sequelize) {}

  async of(
    lots: readonly LotListItem[],
    watched: readonly WatchedRecipe[],
  ): Promise<{ brews: TodayBrew[]; moreBrews: number }> {
    const due = watched.filter(({ reasons, alarms }) => reasons.length > 0 || alarms.length > 0);
    const asking = lots.filter(asksForBrew);
    const pressing = asking.filter(({ due: { isPressing } }) => isPressing);
    const others = asking.filter(({ due: { isPressing } }) => !isPressing);
    const asked = [
      ...due.map((recipe) => () => this.recheckOf(recipe)),
      ...[...pressing, ...others].map((lot) => () => this.brewOf(lot)),
    ];
    const brews = await Promise.all(asked.slice(0, MOST_BREWS).map((read) => read()));
    return { brews, moreBrews: asked.length - brews.length };
  }

  private async recheckOf(recipe: WatchedRecipe): Promise<TodayBrew> {
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
}

/** Rechecks are the watch's; a proof asks for brews as long as it lacks any. */
function asksForBrew({ due: { action }, proofMissing }: LotListItem): boolean {
  if (action === 'first-brew' || action === 'next-brew') return true;
  const byBrews = ['repeats', 'second-hands', 'second-grinder'] as const;
  return action === 'sign-off' && byBrews.some((check) => proofMissing?.includes(check) ?? false);
}
