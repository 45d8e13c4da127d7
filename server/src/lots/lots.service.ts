import { Injectable } from '@nestjs/common';
import { Sequelize } from 'sequelize-typescript';
import { LOT_FIGURE_NAMES, LOT_TEXT_NAMES } from '@vendu/contract';
import { labelNotesIn, labelNotesText, lotDue, roastAgeDays } from '@vendu/core';
import type {
  EditLotDto,
  ImportLotsDto,
  KinLotView,
  LotFactsDto,
  LotsPageView,
  LotsQueryDto,
  LotView,
  NewLotDto,
  RoastBatchDto,
  RoastBatchView,
  WeighStockDto,
} from '@vendu/contract';
import { BrewReader } from '../brews/brew-reader.js';
import { PersonModel } from '../people/person.model.js';
import { notFound, ProblemError } from '../problem/problem-error.js';
import { RecipesService } from '../recipes/recipes.service.js';
import type { RequestKeyOf } from '../writing/request-key.js';
import { Writing } from '../writing/writing.js';
import { daysUntil } from './days.js';
import { findKin, kinView } from './kin.js';
import { LotModel } from './lot.model.js';
import { readLotsPage } from './lot-list.js';
import { refreshLotProgress } from './lot-progress.js';
import { lotFaults } from './lot-refusals.js';
import { RoastBatchModel } from './roast-batch.model.js';
import { momentAfterBrews } from './stock-moments.js';
import { StockWeighingModel } from './stock-weighing.model.js';

@Injectable()
export class LotsService {
  constructor(
    private readonly sequelize: Sequelize,
    private readonly brews: BrewReader,
    private readonly recipes: RecipesService,
    private readonly writing: Writing,
  ) {}

  page(query: LotsQueryDto): Promise<LotsPageView> {
    return readLotsPage(this.sequelize, this.brews, query);
  }

  /** Other lots from the same hands, newest first. */
  async kin(id: number): Promise<KinLotView[]> {
    const row = await LotModel.findByPk(id);
    if (!row) throw notFound('lot');
    const kin = await findKin(row);
    const recipes = await this.recipes.ofLots(kin.map((each) => each.id));
    return kin.map((each) => kinView(row, each, recipes));
  }

  async read(id: number): Promise<LotView> {
    const row = await LotModel.findByPk(id, { include: [RoastBatchModel] });
    if (!row) throw notFound('lot');
    const [trail, recipes, outdatedCards, weighings] = await Promise.all([
      this.brews.ofLot(id),
      this.recipes.ofLots([id]),
      this.recipes.outdatedCards(id),
      StockWeighingModel.findAll({ where: { lotId: id }, include: [PersonModel], order: [['id', 'DESC']] }),
    ]);
    const daysToLaunch = daysUntil(row.launchOn);
    return {
      ...facts(row),
      id,
      revision: row.revision,
      stage: row.stage,
      daysToLaunch,
      due: lotDue({
        stage: row.stage,
        isRoasted: row.roastBatches.length > 0,
        daysToLaunch,
        daysToRecheck: daysUntil(row.recheckOn),
      }),
      stockG: row.stockG,
      gramsBrewedG: row.brewedG,
      gramsLeftG: row.leftG,
      weighings: weighings.map(({ massG, weigher, createdAt }) => ({
        massG,
        by: weigher.name,
        at: createdAt.toISOString(),
      })),
      roastBatches: batchViews(row.roastBatches),
      recipes,
      outdatedCards,
      brews: trail.filter(({ isSetAside }) => !isSetAside),
    };
  }

  async create(lot: NewLotDto, person: PersonModel, request: RequestKeyOf | null): Promise<LotView> {
    refuse(lotFaults(lot));
    return this.read(await this.writing.once(request, () => this.takeIn(lot, person)));
  }

  /** Takes in all lots of a file or none of them; what is wrong is told by row. */
  async import(
    { lots }: ImportLotsDto,
    person: PersonModel,
    request: RequestKeyOf | null,
  ): Promise<{ ids: number[] }> {
    refuse(
      lots.flatMap((lot, index) =>
        lotFaults(lot).map((error) => ({ ...error, field: `lots.${index}.${error.field}` })),
      ),
    );
    const ids = await this.writing.once(request, async () => {
      await refuseTwins(lots);
      const taken: number[] = [];
      for (const lot of lots) taken.push(await this.takeIn(lot, person));
      return taken;
    });
    return { ids };
  }

  async edit(id: number, { revision, ...lot }: EditLotDto): Promise<LotView> {
    refuse(lotFaults(lot));
    await this.writing.onLot(id, async () => {
      const row = await LotModel.findByPk(id, { rejectOnEmpty: true });
      if (row.revision !== revision) {
        throw new ProblemError(
          'stale',
          'This lot was saved by somebody else since you opened it. Your changes are kept here.',
        );
      }
      await row.update(asStored(lot));
    });
    return this.read(id);
  }

  async addRoastBatch(id: number, batch: RoastBatchDto, request: RequestKeyOf | null): Promise<LotView> {
    const add = async () => (await RoastBatchModel.create({ ...batch, lotId: id })).id;
    await this.writing.onLot(id, add, request);
    return this.read(id);
  }

  /** What is left is what was weighed last, less the doses brewed since. */
  async weighStock(
    id: number,
    { massG }: WeighStockDto,
    person: PersonModel,
    request: RequestKeyOf | null,
  ): Promise<LotView> {
    const weigh = async () => {
      const weighing = await StockWeighingModel.create({ lotId: id, massG, weighedBy: person.id });
      // Not through the instance: the revision guards the facts, which a weighing does not touch.
      await LotModel.update({ stockG: massG, stockAt: await momentAfterBrews(id) }, { where: { id } });
      return weighing.id;
    };
    await this.writing.onLot(id, weigh, request);
    return this.read(id);
  }

  private async takeIn({ roastedOn, roastLevel, ...lot }: NewLotDto, person: PersonModel): Promise<number> {
    const row = await LotModel.create({
      ...asStored(lot),
      createdBy: person.id,
      stockAt: lot.stockG === null ? null : new Date(),
    });
    if (roastedOn !== null) await RoastBatchModel.create({ lotId: row.id, roastedOn, level: roastLevel });
    if (lot.stockG !== null) {
      await StockWeighingModel.create({ lotId: row.id, massG: lot.stockG, weighedBy: person.id });
    }
    await refreshLotProgress(this.sequelize, [row.id]);
    return row.id;
  }
}

function refuse(errors: ReturnType<typeof lotFaults>): void {
  if (errors[0]) throw new ProblemError('invalid-input', errors[0].message, errors);
}

/** Facts as the table takes them. */
function asStored<F extends LotFactsDto>(lot: F) {
  return {
    ...lot,
    signs: [...lot.signs],
    labelNotes: labelNotesText(labelNotesIn(lot.labelNotes.join(','))),
  };
}

function facts(row: LotModel): LotFactsDto {
  const { country, process, baseProcess, elevationFromM, elevationToM, elevationWord, launchOn, signs } = row;
  return {
    ...pick(row, LOT_TEXT_NAMES),
    ...pick(row, LOT_FIGURE_NAMES),
    country,
    process,
    baseProcess,
    elevationFromM,
    elevationToM,
    elevationWord,
    launchOn,
    isDecaffeinated: row.isDecaffeinated,
    labelNotes: labelNotesIn(row.labelNotes),
    signs: signs ?? [],
  };
}

function pick<T, K extends keyof T>(from: T, names: readonly K[]): Pick<T, K> {
  return Object.fromEntries(names.map((name) => [name, from[name]])) as Pick<T, K>;
}

/** Newest first. */
function batchViews(batches: readonly RoastBatchModel[]): RoastBatchView[] {
  const onDate = new Date().toISOString().slice(0, 10);
  return [...batches]
    .sort((a, b) => b.roastedOn.localeCompare(a.roastedOn) || b.id - a.id)
    .map(({ id, roastedOn, level, lossPercent, endC, isSample }) => ({
      id,
      roastedOn,
      level,
      lossPercent,
      endC,
      isSample,
      ageDays: roastAgeDays({ roastedOn, onDate }),
    }));
}

/** A file that was imported before would be there twice: the same name, origin, process and roast date say so. */
async function refuseTwins(lots: readonly NewLotDto[]): Promise<void> {
  const known = await LotModel.findAll({
    where: { name: lots.map(({ name }) => name) },
    include: [RoastBatchModel],
  });
  refuse(
    lots.flatMap((lot, index) => {
      const isThere = known.some(
        (row) =>
          row.name.toLowerCase() === lot.name.toLowerCase() &&
          row.country === lot.country &&
          row.process === lot.process &&
          row.baseProcess === lot.baseProcess &&
          row.farm === lot.farm &&
          (lot.roastedOn === null
            ? row.roastBatches.length === 0
            : row.roastBatches.some(({ roastedOn }) => roastedOn === lot.roastedOn)),
      );
      const message = 'This lot is already there, with the same roast date; skip it.';
      return isThere ? [{ field: `lots.${index}.name`, message }] : [];
    }),
  );
}
