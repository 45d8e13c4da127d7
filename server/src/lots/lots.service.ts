import { Injectable } from '@nestjs/common';
import { Sequelize } from 'sequelize-typescript';
import { lotStage, roastAgeDays, type LotStage } from '@vendu/core';
import type {
  BrewListItem,
  EditLotDto,
  LotFactsDto,
  LotListItem,
  LotView,
  NewLotDto,
  RecipeListItem,
  RoastBatchDto,
  RoastBatchView,
} from '@vendu/contract';
import { BrewReader } from '../brews/brew-reader.js';
import type { PersonModel } from '../people/person.model.js';
import { invalidField, notFound, ProblemError } from '../problem/problem-error.js';
import { PublicationsService } from '../publications/publications.service.js';
import { RecipesService } from '../recipes/recipes.service.js';
import { LotModel } from './lot.model.js';
import { RoastBatchModel } from './roast-batch.model.js';

@Injectable()
export class LotsService {
  constructor(
    private readonly sequelize: Sequelize,
    private readonly brews: BrewReader,
    private readonly recipes: RecipesService,
    private readonly publications: PublicationsService,
  ) {}

  async list(): Promise<LotListItem[]> {
    const rows = await LotModel.findAll({ include: [RoastBatchModel], order: [['updatedAt', 'DESC']] });
    const ids = rows.map(({ id }) => id);
    const [trails, recipes, recheckCounts] = await Promise.all([
      this.brews.ofLots(ids),
      this.recipes.ofLots(ids),
      this.publications.recheckCounts(ids),
    ]);
    return rows.map((row) => {
      const trail = (trails.get(row.id) ?? []).filter(({ isSetAside }) => !isSetAside);
      const ofLot = recipes.filter(({ lotId }) => lotId === row.id);
      const measured = trail.filter(({ result }) => result !== null).at(-1)?.result ?? null;
      return {
        id: row.id,
        name: row.name,
        country: row.country,
        region: row.region,
        process: row.process,
        additions: row.additions,
        elevationFromM: row.elevationFromM,
        elevationToM: row.elevationToM,
        stage: stageOf(trail, ofLot, recheckCounts.get(row.id) ?? 0),
        latestRoast: batchViews(row.roastBatches)[0] ?? null,
        ...grams(row, trails.get(row.id) ?? []),
        brewCount: trail.length,
        recipe: ofLot.at(-1) ?? null,
        lastStrengthPercent: measured?.strength.meanPercent ?? null,
        lastYieldPercent: measured?.yield.yieldPercent ?? null,
        lastYieldBasis: measured?.yield.basis ?? null,
      };
    });
  }

  async read(id: number): Promise<LotView> {
    const row = await LotModel.findByPk(id, { include: [RoastBatchModel] });
    if (!row) throw notFound('lot');
    const [trail, recipes, recheckCounts] = await Promise.all([
      this.brews.ofLot(id),
      this.recipes.ofLots([id]),
      this.publications.recheckCounts([id]),
    ]);
    const kept = trail.filter(({ isSetAside }) => !isSetAside);
    return {
      ...facts(row),
      id,
      revision: row.revision,
      stage: stageOf(kept, recipes, recheckCounts.get(id) ?? 0),
      ...grams(row, trail),
      roastBatches: batchViews(row.roastBatches),
      recipes,
      brews: kept,
    };
  }

  async create({ roastedOn, roastLevel, ...lot }: NewLotDto, person: PersonModel): Promise<LotView> {
    refuseReversedElevation(lot);
    const id = await this.sequelize.transaction(async (transaction) => {
      const row = await LotModel.create({ ...lot, createdBy: person.id }, { transaction });
      await RoastBatchModel.create({ lotId: row.id, roastedOn, level: roastLevel }, { transaction });
      return row.id;
    });
    return this.read(id);
  }

  async edit(id: number, { revision, ...lot }: EditLotDto): Promise<LotView> {
    refuseReversedElevation(lot);
    const row = await LotModel.findByPk(id);
    if (!row) throw notFound('lot');
    if (row.revision !== revision) {
      throw new ProblemError(
        'stale',
        'This lot was saved by somebody else since you opened it. Your changes are kept here.',
      );
    }
    await row.update(lot);
    return this.read(id);
  }

  async addRoastBatch(id: number, batch: RoastBatchDto): Promise<LotView> {
    if (!(await LotModel.findByPk(id))) throw notFound('lot');
    await RoastBatchModel.create({ ...batch, lotId: id });
    return this.read(id);
  }
}

function stageOf(
  brews: readonly BrewListItem[],
  recipes: readonly RecipeListItem[],
  recheckCount: number,
): LotStage {
  return lotStage({
    brewCount: brews.length,
    accepted: recipes.some(({ accepted }) => accepted),
    signedOff: recipes.some(({ signedOff }) => signedOff),
    published: recipes.some(({ publishedSlug }) => publishedSlug !== null),
    recheckCount,
  });
}

/** Stock falls by the dose of every brew, set aside or not: the coffee is gone either way. */
function grams(
  row: LotModel,
  trail: readonly BrewListItem[],
): { gramsLeftG: number | null; gramsBrewedG: number } {
  const gramsBrewedG = Math.round(trail.reduce((sum, { doseG }) => sum + doseG, 0) * 10) / 10;
  return { gramsBrewedG, gramsLeftG: row.stockG === null ? null : row.stockG - gramsBrewedG };
}

function facts(row: LotModel): LotFactsDto {
  return {
    name: row.name,
    country: row.country,
    region: row.region,
    farm: row.farm,
    producer: row.producer,
    variety: row.variety,
    process: row.process,
    fermentationNote: row.fermentationNote,
    additions: row.additions,
    elevationFromM: row.elevationFromM,
    elevationToM: row.elevationToM,
    harvest: row.harvest,
    drying: row.drying,
    labelNotes: row.labelNotes,
    stockG: row.stockG,
  };
}

/** Newest first. */
function batchViews(batches: readonly RoastBatchModel[]): RoastBatchView[] {
  const onDate = new Date().toISOString().slice(0, 10);
  return [...batches]
    .sort((a, b) => b.roastedOn.localeCompare(a.roastedOn) || b.id - a.id)
    .map(({ id, roastedOn, level }) => ({
      id,
      roastedOn,
      level,
      ageDays: roastAgeDays({ roastedOn, onDate }),
    }));
}

function refuseReversedElevation({ elevationFromM, elevationToM }: LotFactsDto): void {
  if (elevationFromM !== null && elevationToM !== null && elevationToM < elevationFromM) {
    throw invalidField({
      field: 'elevationToM',
      message: `The elevation runs down from ${elevationFromM} to ${elevationToM} m; write the lower figure first.`,
      allowed: `${elevationFromM} m or more`,
    });
  }
}
