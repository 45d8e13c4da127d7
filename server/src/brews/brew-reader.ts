import { Injectable } from '@nestjs/common';
import { Op, QueryTypes } from 'sequelize';
import { Sequelize } from 'sequelize-typescript';
import type { BenchEvent, BrewPlan, StepDone } from '@vendu/core';
import type { BrewListItem } from '@vendu/contract';
import { numberOrNull, parsedJson } from '../database/raw-row.js';
import { PersonModel } from '../people/person.model.js';
import { RoastBatchModel } from '../lots/roast-batch.model.js';
import { RecipeVersionModel } from '../recipes/recipe-version.model.js';
import { BrewModel } from './brew.model.js';
import { brewListItem, resultOf, type WeighedBrew } from './brew-views.js';
import { ReadingModel } from './reading.model.js';
import { FractionModel } from './fraction.model.js';
import { TraceModel } from './trace.model.js';

/** What a list of brews needs loaded with each. Readings come apart: joined, a brew would be sent once for each. */
export const LIST_PARTS = [
  { model: ReadingModel, where: { removedAt: null }, separate: true, order: ['id'] },
  { model: RecipeVersionModel, as: 'version', attributes: ['id', 'recipeId', 'number'] },
  { model: PersonModel, as: 'brewer', attributes: ['id', 'name'] },
  { model: RoastBatchModel, attributes: ['id', 'roastedOn'] },
];

/** What only the page of the brew itself says. */
const NOT_LISTED = ['kit', 'note', 'verdictReason', 'tailG', 'tailTdsPercent', 'tailNote', 'finesG'];

/** A brew in plain columns, as a list of many lots wants it. */
interface MeasuredRow {
  lotId: number;
  doseG: string | number | null;
  waterG: string | number | null;
  beverageG: string | number | null;
  plan: BrewPlan | string;
  steps: StepDone[] | string;
  events: BenchEvent[] | string | null;
  readings: string;
}

/** Reads the trail of brews of lots; numbers count within the lot, in the order brewed. */
@Injectable()
export class BrewReader {
  constructor(private readonly sequelize: Sequelize) {}

  async ofLots(lotIds: readonly number[]): Promise<Map<number, BrewListItem[]>> {
    const rows = await BrewModel.findAll({
      where: { lotId: [...lotIds] },
      attributes: { exclude: NOT_LISTED },
      include: LIST_PARTS,
      order: ['startedAt', 'id'],
    });
    const brewId = rows.map(({ id }): number => id);
    const [curves, fractions, likedOf] = await Promise.all([
      TraceModel.findAll({
        where: { brewId, outflow: { [Op.not]: null } },
        attributes: ['brewId', 'outflow'],
      }),
      FractionModel.findAll({ where: { brewId }, order: ['place'] }),
      this.likedOf(brewId),
    ]);
    const outflowOf = new Map(curves.map(({ brewId, outflow }) => [brewId, outflow]));
    const trails = new Map<number, BrewListItem[]>(lotIds.map((id) => [id, []]));
    for (const row of rows) {
      const trail = trails.get(row.lotId);
      trail?.push(
        brewListItem(row, trail.length + 1, {
          outflow: outflowOf.get(row.id) ?? null,
          cups: fractions.filter(({ brewId }) => brewId === row.id),
          liked: likedOf.get(row.id) ?? null,
        }),
      );
    }
    return trails;
  }

  /** Strength and yield of the newest measured brew of each lot that has one. */
  async lastMeasuredOf(
    lotIds: readonly number[],
  ): Promise<Map<number, { strengthPercent: number; yieldPercent: number; basis: 'weighed' | 'assumed' }>> {
    if (lotIds.length === 0) return new Map();
    const rows = await this.sequelize.query<MeasuredRow>(
      `SELECT lot_id AS lotId, dose_g AS doseG, water_g AS waterG, beverage_g AS beverageG, plan, steps, events,
        (SELECT GROUP_CONCAT(tds_percent) FROM readings
          WHERE readings.brew_id = brews.id AND readings.removed_at IS NULL) AS readings
      FROM brews WHERE id IN (
        SELECT (SELECT newest.id FROM brews AS newest
          WHERE newest.lot_id = lots.id AND newest.set_aside_at IS NULL AND newest.is_simulated = FALSE
            AND EXISTS (SELECT 1 FROM readings WHERE readings.brew_id = newest.id AND readings.removed_at IS NULL)
            AND NOT EXISTS (SELECT 1 FROM readings WHERE readings.brew_id = newest.id AND readings.removed_at IS NULL
              AND readings.source = 'simulated')
          ORDER BY newest.started_at DESC, newest.id DESC LIMIT 1)
        FROM lots WHERE lots.id IN (:lotIds))`,
      { type: QueryTypes.SELECT, replacements: { lotIds: [...lotIds] } },
    );
    return new Map(
      rows.flatMap((row) => {
        const result = resultOf(measuredBrew(row));
        if (result === null) return [];
        const { strength, yield: extraction } = result;
        return [
          [
            row.lotId,
            {
              strengthPercent: strength.meanPercent,
              yieldPercent: extraction.yieldPercent,
              basis: extraction.basis,
            },
          ],
        ];
      }),
    );
  }

  private async likedOf(brewIds: readonly number[]): Promise<Map<number, number>> {
    if (brewIds.length === 0) return new Map();
    const rows = await this.sequelize.query<{ brewId: number; liked: string | number }>(
      `SELECT brew_id AS brewId, AVG(overall) AS liked FROM tastings
      WHERE overall IS NOT NULL AND brew_id IN (:brewIds) GROUP BY brew_id`,
      { type: QueryTypes.SELECT, replacements: { brewIds: [...brewIds] } },
    );
    return new Map(rows.map(({ brewId, liked }) => [brewId, Number(liked)]));
  }

  async ofLot(lotId: number): Promise<BrewListItem[]> {
    return (await this.ofLots([lotId])).get(lotId) ?? [];
  }
}

function measuredBrew({ doseG, waterG, beverageG, plan, steps, events, readings }: MeasuredRow): WeighedBrew {
  return {
    doseG: numberOrNull(doseG),
    waterG: numberOrNull(waterG),
    beverageG: numberOrNull(beverageG),
    plan: parsedJson(plan),
    steps: parsedJson(steps),
    events: events === null ? null : parsedJson(events),
    readings: readings.split(',').map((tdsPercent) => ({ tdsPercent: Number(tdsPercent) })),
  };
}
