import { Injectable } from '@nestjs/common';
import { QueryTypes } from 'sequelize';
import { Sequelize } from 'sequelize-typescript';
import type { BrewListItem } from '@vendu/contract';
import { PersonModel } from '../people/person.model.js';
import { RoastBatchModel } from '../lots/roast-batch.model.js';
import { RecipeVersionModel } from '../recipes/recipe-version.model.js';
import { BrewModel } from './brew.model.js';
import { brewListItem, resultOf } from './brew-views.js';
import { ReadingModel } from './reading.model.js';

/** What a list of brews needs loaded with each. */
export const LIST_PARTS = [
  { model: ReadingModel, where: { removedAt: null }, required: false },
  { model: RecipeVersionModel, as: 'version', attributes: ['id', 'recipeId', 'number'] },
  { model: PersonModel, as: 'brewer', attributes: ['id', 'name'] },
  { model: RoastBatchModel, attributes: ['id', 'roastedOn'] },
];

/** Reads the trail of brews of lots; numbers count within the lot, in the order brewed. */
@Injectable()
export class BrewReader {
  constructor(private readonly sequelize: Sequelize) {}

  async ofLots(lotIds: readonly number[]): Promise<Map<number, BrewListItem[]>> {
    const rows = await BrewModel.findAll({
      where: { lotId: [...lotIds] },
      include: LIST_PARTS,
      order: ['startedAt', 'id'],
    });
    const trails = new Map<number, BrewListItem[]>(lotIds.map((id) => [id, []]));
    for (const row of rows) {
      const trail = trails.get(row.lotId);
      trail?.push(brewListItem(row, trail.length + 1));
    }
    return trails;
  }

  /** Strength and yield of the newest measured brew of each lot that has one. */
  async lastMeasuredOf(
    lotIds: readonly number[],
  ): Promise<Map<number, { strengthPercent: number; yieldPercent: number; basis: 'weighed' | 'assumed' }>> {
    if (lotIds.length === 0) return new Map();
    const newest = await this.sequelize.query<{ id: number }>(
      `SELECT id FROM (
        SELECT brews.id, ROW_NUMBER() OVER (PARTITION BY brews.lot_id ORDER BY brews.started_at DESC, brews.id DESC) AS place
        FROM brews WHERE brews.lot_id IN (:lotIds) AND brews.set_aside_at IS NULL
          AND EXISTS (SELECT 1 FROM readings WHERE readings.brew_id = brews.id AND readings.removed_at IS NULL)
      ) AS measured WHERE place = 1`,
      { type: QueryTypes.SELECT, replacements: { lotIds: [...lotIds] } },
    );
    const rows = await BrewModel.findAll({
      where: { id: newest.map(({ id }) => id) },
      include: [{ model: ReadingModel, where: { removedAt: null }, required: false }],
    });
    return new Map(
      rows.flatMap((row) => {
        const result = resultOf(row);
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

  async ofLot(lotId: number): Promise<BrewListItem[]> {
    return (await this.ofLots([lotId])).get(lotId) ?? [];
  }
}
