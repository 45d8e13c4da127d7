import { Injectable } from '@nestjs/common';
import { UniqueConstraintError } from 'sequelize';
import { Sequelize } from 'sequelize-typescript';
import { beverageFault, pouredWaterG, readingFault, type TastingStage } from '@vendu/core';
import type {
  BrewView,
  CorrectionView,
  NewReadingDto,
  PutBrewDto,
  TastingDto,
  VerdictDto,
  WeighBrewDto,
} from '@vendu/contract';
import { BrewerModel } from '../kit/brewer.model.js';
import { LotModel } from '../lots/lot.model.js';
import { refreshLotProgress } from '../lots/lot-progress.js';
import { RoastBatchModel } from '../lots/roast-batch.model.js';
import { PersonModel } from '../people/person.model.js';
import { invalidField, notFound, ProblemError } from '../problem/problem-error.js';
import { RecipeVersionModel } from '../recipes/recipe-version.model.js';
import { RecipeModel } from '../recipes/recipe.model.js';
import { numberOrNull } from '../database/raw-row.js';
import { BrewModel } from './brew.model.js';
import { BrewReader, LIST_PARTS } from './brew-reader.js';
import { brewDose, brewListItem, brewWater } from './brew-views.js';
import { CorrectionModel } from './correction.model.js';
import { ReadingModel } from './reading.model.js';
import { TastingModel } from './tasting.model.js';

@Injectable()
export class BrewsService {
  constructor(
    private readonly sequelize: Sequelize,
    private readonly reader: BrewReader,
  ) {}

  /** Stores a brew under the bench's own key. Sent again, it finds what is there and changes nothing. */
  async put(clientKey: string, brew: PutBrewDto, person: PersonModel): Promise<BrewView> {
    const known = await BrewModel.findOne({ where: { clientKey } });
    if (known) return this.read(known.id);
    const version = await RecipeVersionModel.findByPk(brew.recipeVersionId);
    if (!version)
      throw invalidField({ field: 'recipeVersionId', message: 'There is no such recipe version.' });
    const recipe = await RecipeModel.findByPk(version.recipeId, { rejectOnEmpty: true });
    const batch = await RoastBatchModel.findByPk(brew.roastBatchId);
    if (batch?.lotId !== recipe.lotId) {
      throw invalidField({
        field: 'roastBatchId',
        message: 'This roast batch is not of the lot of the recipe.',
      });
    }
    try {
      const row = await BrewModel.create({
        clientKey,
        lotId: recipe.lotId,
        recipeVersionId: version.id,
        roastBatchId: batch.id,
        brewedBy: person.id,
        startedAt: new Date(brew.startedAt),
        plan: version.plan,
        steps: brew.steps,
        note: brew.note,
      });
      await refreshLotProgress(this.sequelize, [row.lotId]);
      return await this.read(row.id);
    } catch (error) {
      // Two sends of one brew can race past the look-up; the key decides, and the first one stands.
      if (!(error instanceof UniqueConstraintError)) throw error;
      const first = await BrewModel.findOne({ where: { clientKey }, rejectOnEmpty: true });
      return this.read(first.id);
    }
  }

  async read(id: number): Promise<BrewView> {
    const row = await BrewModel.findByPk(id, {
      include: [
        ...LIST_PARTS,
        { model: TastingModel, include: [PersonModel] },
        { model: CorrectionModel, include: [PersonModel] },
      ],
    });
    if (!row) throw notFound('brew');
    const [lot, recipe, trail] = await Promise.all([
      LotModel.findByPk(row.lotId, { rejectOnEmpty: true }),
      RecipeModel.findByPk(row.version.recipeId, { include: [BrewerModel], rejectOnEmpty: true }),
      this.reader.ofLot(row.lotId),
    ]);
    const number = trail.find((each) => each.id === id)?.number ?? 0;
    return {
      ...brewListItem(row, number),
      revision: row.revision,
      lot: {
        id: lot.id,
        name: lot.name,
        process: lot.process,
        additions: lot.additions,
        labelNotes: lot.labelNotes,
      },
      recipeVersionId: row.recipeVersionId,
      brewerName: recipe.brewer.name,
      doseBasis: brewDose(row).basis,
      waterBasis: brewWater(row).basis,
      roastedOn: row.roastBatch.roastedOn,
      note: row.note,
      verdictReason: row.verdictReason,
      readings: row.readings.map((reading) => ({ id: reading.id, tdsPercent: reading.tdsPercent })),
      tastings: row.tastings.map(({ stage, notes, intensities, taster }) => ({
        stage,
        notes,
        intensities,
        personId: taster.id,
        by: taster.name,
      })),
      corrections: row.corrections.map(correctionView),
      siblings: trail
        .filter((each) => each.id !== id && each.recipeId === recipe.id && !each.isSetAside)
        .reverse(),
    };
  }

  async weigh(id: number, weighed: WeighBrewDto, person: PersonModel): Promise<BrewView> {
    const row = await this.row(id);
    if (row.revision !== weighed.revision) {
      throw new ProblemError('stale', 'This brew was saved by somebody else since you opened it.');
    }
    const next = { doseG: weighed.doseG, waterG: weighed.waterG, beverageG: weighed.beverageG };
    const waterG = weighed.waterG ?? pouredWaterG({ plan: row.plan, done: row.steps }).waterG;
    if (next.beverageG !== null) {
      const fault = beverageFault({ beverageG: next.beverageG, waterG });
      if (fault) throw invalidField({ field: 'beverageG', message: fault.message, allowed: fault.allowed });
    }
    await this.sequelize.transaction(async (transaction) => {
      const corrections = (Object.keys(next) as (keyof typeof next)[])
        .map((field) => ({ field, fromValue: numberOrNull(row.previous(field)), toValue: next[field] }))
        // The first time a figure is written down is no correction.
        .filter(({ fromValue, toValue }) => fromValue !== null && fromValue !== toValue);
      await row.update({ ...next, note: weighed.note }, { transaction });
      await CorrectionModel.bulkCreate(
        corrections.map((each) => ({ ...each, brewId: id, correctedBy: person.id })),
        { transaction },
      );
      await refreshLotProgress(this.sequelize, [row.lotId], transaction);
    });
    return this.read(id);
  }

  async addReading(id: number, { tdsPercent }: NewReadingDto, person: PersonModel): Promise<BrewView> {
    await this.row(id);
    const fault = readingFault({ tdsPercent });
    if (fault) throw invalidField({ field: 'tdsPercent', message: fault.message, allowed: fault.allowed });
    await ReadingModel.create({ brewId: id, tdsPercent, readBy: person.id });
    return this.read(id);
  }

  /** Takes a reading out of the result, or puts it back. The row stays either way. */
  async setReadingRemoved(brewId: number, readingId: number, isRemoved: boolean): Promise<BrewView> {
    const reading = await ReadingModel.findOne({ where: { id: readingId, brewId } });
    if (!reading) throw notFound('reading');
    await reading.update({ removedAt: isRemoved ? new Date() : null });
    return this.read(brewId);
  }

  async putTasting(
    id: number,
    stage: TastingStage,
    tasting: TastingDto,
    person: PersonModel,
  ): Promise<BrewView> {
    await this.row(id);
    await TastingModel.upsert({ brewId: id, tastedBy: person.id, stage, ...plain(tasting) });
    return this.read(id);
  }

  async giveVerdict(id: number, { verdict, reason }: VerdictDto): Promise<BrewView> {
    await this.row(id);
    // Not through the instance: the revision guards what was weighed, which a verdict does not touch.
    await BrewModel.update({ verdict, verdictReason: reason }, { where: { id } });
    return this.read(id);
  }

  /** A brew set aside stays in the record but leaves the trail, the map and the count. */
  async setAside(id: number, isSetAside: boolean): Promise<BrewView> {
    const { lotId } = await this.row(id);
    await BrewModel.update({ setAsideAt: isSetAside ? new Date() : null }, { where: { id } });
    await refreshLotProgress(this.sequelize, [lotId]);
    return this.read(id);
  }

  private async row(id: number): Promise<BrewModel> {
    const row = await BrewModel.findByPk(id);
    if (!row) throw notFound('brew');
    return row;
  }
}

function correctionView({
  field,
  fromValue,
  toValue,
  corrector,
  createdAt,
}: CorrectionModel): CorrectionView {
  return {
    field,
    fromValue,
    toValue,
    by: corrector.name,
    at: createdAt.toISOString(),
  };
}

/** JSON columns want plain objects, not class instances. */
function plain({ notes, intensities }: TastingDto): TastingDto {
  return { notes, intensities: { ...intensities } };
}
