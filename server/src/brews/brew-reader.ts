import { Injectable } from '@nestjs/common';
import type { BrewListItem } from '@vendu/contract';
import { PersonModel } from '../people/person.model.js';
import { RecipeVersionModel } from '../recipes/recipe-version.model.js';
import { BrewModel } from './brew.model.js';
import { brewListItem } from './brew-views.js';
import { ReadingModel } from './reading.model.js';

/** What a list of brews needs loaded with each. */
export const LIST_PARTS = [
  { model: ReadingModel, where: { removedAt: null }, required: false },
  { model: RecipeVersionModel, as: 'version', attributes: ['id', 'recipeId', 'number'] },
  { model: PersonModel, as: 'brewer', attributes: ['id', 'name'] },
];

/** Reads the trail of brews of lots; numbers count within the lot, in the order brewed. */
@Injectable()
export class BrewReader {
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

  async ofLot(lotId: number): Promise<BrewListItem[]> {
    return (await this.ofLots([lotId])).get(lotId) ?? [];
  }
}
