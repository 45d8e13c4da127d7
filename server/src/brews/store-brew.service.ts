import { Injectable } from '@nestjs/common';
import { Sequelize } from 'sequelize-typescript';
import { traceFault } from '@vendu/core';
import type { PutBrewDto } from '@vendu/contract';
import { HouseModel } from '../kit/house.model.js';
import { refreshLotProgress } from '../lots/lot-progress.js';
import { LotModel } from '../lots/lot.model.js';
import { RoastBatchModel } from '../lots/roast-batch.model.js';
import type { PersonModel } from '../people/person.model.js';
import { invalidField } from '../problem/problem-error.js';
import { RecipeVersionModel } from '../recipes/recipe-version.model.js';
import { RecipeModel } from '../recipes/recipe.model.js';
import { RunningBrewModel } from '../running-brews/running-brew.model.js';
import { BrewModel } from './brew.model.js';
import { kitNames, WITH_KIT } from './kit-names.js';
import { TraceModel } from './trace.model.js';

/** Takes a brew off a bench into the record, whole or not at all, and once. */
@Injectable()
export class StoreBrewService {
  constructor(private readonly sequelize: Sequelize) {}

  /**
   * Stores a brew under the bench's own key. Sent again, it finds what is there and changes nothing.
   *
   * @returns its id
   */
  async put(clientKey: string, brew: PutBrewDto, person: PersonModel): Promise<number> {
    const known = await BrewModel.findOne({ where: { clientKey } });
    if (known) return known.id;
    const { version, recipe, batch } = await this.origin(brew);
    const house = await HouseModel.findByPk(1, { rejectOnEmpty: true });
    const fault = brew.trace && traceFault(brew.trace);
    if (fault) {
      throw invalidField({ field: 'field' in fault ? fault.field : 'trace', message: fault.message });
    }
    return this.sequelize.transaction(async (transaction) => {
      // Two sends of one brew race past the look-up above; they queue at its lot, and the first one stands.
      const inTurn = { transaction, lock: transaction.LOCK.UPDATE };
      await LotModel.findByPk(recipe.lotId, { ...inTurn, attributes: ['id'] });
      const first = await BrewModel.findOne({ ...inTurn, where: { clientKey }, attributes: ['id'] });
      if (first) return first.id;
      const row = await BrewModel.create(
        {
          clientKey,
          lotId: recipe.lotId,
          recipeVersionId: version.id,
          roastBatchId: batch.id,
          brewedBy: person.id,
          startedAt: new Date(brew.startedAt),
          plan: version.plan,
          steps: brew.steps,
          isSimulated: brew.isSimulated,
          events: brew.events.map((event) => ({ ...event })),
          kit: kitNames(recipe, version, house, brew.scale),
          note: brew.note,
        },
        { transaction },
      );
      if (brew.trace && brew.trace.atMs.length > 0) {
        const { atMs, massG } = brew.trace;
        await TraceModel.create({ brewId: row.id, samples: { atMs, massG } }, { transaction });
      }
      await RunningBrewModel.destroy({ where: { clientKey }, transaction });
      await refreshLotProgress(this.sequelize, [row.lotId], transaction);
      return row.id;
    });
  }

  private async origin({ recipeVersionId, roastBatchId }: PutBrewDto) {
    const version = await RecipeVersionModel.findByPk(recipeVersionId);
    if (!version)
      throw invalidField({ field: 'recipeVersionId', message: 'There is no such recipe version.' });
    const recipe = await RecipeModel.findByPk(version.recipeId, {
      include: WITH_KIT,
      rejectOnEmpty: true,
    });
    const batch = await RoastBatchModel.findByPk(roastBatchId);
    if (batch?.lotId !== recipe.lotId) {
      throw invalidField({
        field: 'roastBatchId',
        message: 'This roast batch is not of the lot of the recipe.',
      });
    }
    return { version, recipe, batch };
  }
}
