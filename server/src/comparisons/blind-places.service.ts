import { Injectable } from '@nestjs/common';
import { isDeepStrictEqual } from 'node:util';
import { Transaction } from 'sequelize';
import { Sequelize } from 'sequelize-typescript';
import { blindAnswerFault, type BlindAnswer, type TastingStage } from '@vendu/core';
import type { BlindAnswerDto, PlaceView } from '@vendu/contract';
import { LotModel } from '../lots/lot.model.js';
import { invalidField, ProblemError } from '../problem/problem-error.js';
import { RecipeVersionModel } from '../recipes/recipe-version.model.js';
import { RecipeModel } from '../recipes/recipe.model.js';
import { inTransaction } from '../writing/transactions.js';
import { BlindAnswerModel } from './blind-answer.model.js';
import { BlindPlaceModel } from './blind-place.model.js';
import { BlindTestModel, isOver } from './blind-test.model.js';
import { placeView } from './blind-views.js';
import { ComparisonArmModel } from './comparison-arm.model.js';

/** Tasters at their phones: no names, no accounts, one place each. */
@Injectable()
export class BlindPlacesService {
  constructor(private readonly sequelize: Sequelize) {}

  /**
   * Gives a place to the phone that opens it first; it finds it again however often it loads.
   *
   * @throws ProblemError `not-found` where there is none; `conflict` where another phone has it
   */
  async take(secret: string, device: string): Promise<PlaceView> {
    await inTransaction(this.sequelize, async () => {
      const place = await placeOf(secret);
      if (place.device === device) return;
      refuseOther(place, device);
      await place.update({ device });
    });
    return this.view(secret);
  }

  /**
   * Stores what a taster says at one stage, once: sent again alike it is there already.
   *
   * @throws ProblemError `conflict` where it comes too late, a second time or from another phone
   */
  async answer(
    secret: string,
    stage: TastingStage,
    { device, note, ...told }: BlindAnswerDto,
  ): Promise<PlaceView> {
    await inTransaction(this.sequelize, async () => {
      const place = await placeOf(secret);
      // Held with others who answer, and against whoever opens it: what comes after that is too late.
      const test = await BlindTestModel.findByPk(place.blindTestId, {
        lock: Transaction.LOCK.SHARE,
        rejectOnEmpty: true,
      });
      refuseOther(place, device);
      if (!test.stages.includes(stage)) {
        throw invalidField({ field: 'stage', message: `Asked are: ${test.stages.join(', ')}.` });
      }
      const answer = asGiven(told);
      const before = await BlindAnswerModel.findOne({ where: { blindPlaceId: place.id, stage } });
      if (before) {
        if (isDeepStrictEqual(before.answer, answer)) return;
        throw new ProblemError('conflict', `You have answered ${stage} already; the first answer stands.`);
      }
      if (isOver(test)) {
        throw new ProblemError(
          'conflict',
          'This test has ended: your answer came too late and does not count.',
        );
      }
      const fault = blindAnswerFault(test.method, place.cups, answer);
      if (fault) throw invalidField({ field: 'answer', message: fault.message });
      await BlindAnswerModel.create({ blindPlaceId: place.id, stage, answer, note: note.trim() });
    });
    return this.view(secret);
  }

  private async view(secret: string): Promise<PlaceView> {
    const place = await BlindPlaceModel.findOne({
      where: { secret },
      include: [BlindAnswerModel],
      rejectOnEmpty: true,
    });
    const test = await BlindTestModel.findByPk(place.blindTestId, { rejectOnEmpty: true });
    return placeView(place, test, await additionsIn(test));
  }
}

/** A place, held until the transaction ends. */
async function placeOf(secret: string): Promise<BlindPlaceModel> {
  const place = await BlindPlaceModel.findOne({ where: { secret }, lock: true });
  if (place) return place;
  throw new ProblemError('not-found', 'There is no place at this address; ask whoever serves the cups.');
}

function refuseOther(place: BlindPlaceModel, device: string): void {
  if (place.device === null || place.device === device) return;
  throw new ProblemError(
    'conflict',
    `Place ${place.number} is taken by another phone. Ask for a place of your own.`,
  );
}

/** Only what was said, so that the same sent again is the same. */
function asGiven({ chosen, ranked, scores }: BlindAnswer): BlindAnswer {
  return {
    ...(chosen === undefined ? {} : { chosen }),
    ...(ranked === undefined ? {} : { ranked }),
    ...(scores === undefined ? {} : { scores }),
  };
}

/** What somebody may have to know before he drinks; of all arms, so that it tells nothing of a cup. */
async function additionsIn({ comparisonId, arms }: BlindTestModel): Promise<string[]> {
  const rows = await ComparisonArmModel.findAll({
    where: { comparisonId, place: arms },
    include: [RecipeVersionModel],
  });
  const recipes = await RecipeModel.findAll({
    where: { id: rows.map(({ version }) => version.recipeId) },
    include: [{ model: LotModel, attributes: ['additions'] }],
  });
  return [...new Set(recipes.map(({ lot }) => lot.additions).filter((additions) => additions !== ''))];
}
