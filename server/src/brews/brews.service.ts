import { Injectable } from '@nestjs/common';
import { Sequelize } from 'sequelize-typescript';
import {
  addedWaterG,
  beverageFault,
  finesTaken,
  pouredWaterG,
  readingFault,
  weighedFinesG,
  withFinesWeighed,
} from '@vendu/core';
import { WEIGHED_FIELDS } from '@vendu/contract';
import type {
  BrewTraces,
  BrewView,
  CorrectionView,
  FractionDto,
  FractionsDto,
  MendStepDto,
  NewReadingDto,
  VerdictDto,
  WeighBrewDto,
} from '@vendu/contract';
import { BrewerModel } from '../kit/brewer.model.js';
import { LotModel } from '../lots/lot.model.js';
import { PersonModel } from '../people/person.model.js';
import { invalidField, notFound, ProblemError } from '../problem/problem-error.js';
import { RecipeModel } from '../recipes/recipe.model.js';
import { numberOrNull } from '../database/raw-row.js';
import type { RequestKeyOf } from '../writing/request-key.js';
import { Writing } from '../writing/writing.js';
import { comparisonsOf } from './comparisons-of.js';
import { BrewModel } from './brew.model.js';
import { BrewReader, LIST_PARTS } from './brew-reader.js';
import { brewDose, brewWater, lotInCup } from './brew-views.js';
import { CorrectionModel } from './correction.model.js';
import { FractionModel } from './fraction.model.js';
import { keepEdit, keepEditOfPart } from '../edits/keep-edits.js';
import { ReadingModel } from './reading.model.js';
import { sheetsSeenBy } from './sheets-seen.js';
import { tastingView } from './tasting-views.js';
import { TastingModel } from './tasting.model.js';
import { TraceModel } from './trace.model.js';

@Injectable()
export class BrewsService {
  constructor(
    private readonly sequelize: Sequelize,
    private readonly reader: BrewReader,
    private readonly writing: Writing,
  ) {}

  /** A brew as somebody may see it: sheets of others open once one's own is sent. */
  async read(id: number, viewer: PersonModel): Promise<BrewView> {
    const row = await BrewModel.findByPk(id, {
      include: [
        ...LIST_PARTS,
        { model: TastingModel, include: [PersonModel], separate: true },
        { model: FractionModel, separate: true },
        { model: TraceModel, attributes: ['brewId'] },
        { model: CorrectionModel, include: [PersonModel], separate: true },
      ],
    });
    if (!row) throw notFound('brew');
    const [lot, recipe, trail] = await Promise.all([
      LotModel.findByPk(row.lotId, { rejectOnEmpty: true }),
      RecipeModel.findByPk(row.version.recipeId, { include: [BrewerModel], rejectOnEmpty: true }),
      this.reader.ofLot(row.lotId),
    ]);
    const seen = await sheetsSeenBy(viewer.id, row, row.tastings.map(tastingView));
    const listed = trail.find((each) => each.id === id);
    if (!listed) throw notFound('brew');
    return {
      ...listed,
      revision: row.revision,
      lot: lotInCup(lot),
      comparisons: await comparisonsOf(this.sequelize, id),
      recipeVersionId: row.recipeVersionId,
      brewerName: recipe.brewer.name,
      doseBasis: brewDose(row).basis,
      waterBasis: brewWater(row).basis,
      roastedOn: row.roastBatch.roastedOn,
      finesG: weighedFinesG(row.events ?? []),
      tailG: row.tailG,
      tailTdsPercent: row.tailTdsPercent,
      tailNote: row.tailNote,
      note: row.note,
      verdictReason: row.verdictReason,
      kit: row.kit,
      hasTrace: row.trace !== null,
      fractions: row.fractions.map(fractionView).sort((a, b) => a.place - b.place),
      readings: row.readings.map((reading) => ({
        id: reading.id,
        tdsPercent: reading.tdsPercent,
        sampleC: reading.sampleC,
        source: reading.source,
      })),
      tastings: seen.open,
      sealedSheets: seen.sealed,
      corrections: row.corrections.map(correctionView),
      siblings: trail
        .filter((each) => each.id !== id && each.recipeId === recipe.id && !each.isSetAside)
        .reverse(),
    };
  }

  async weigh(id: number, weighed: WeighBrewDto, person: PersonModel): Promise<void> {
    const { finesG, revision, note, tailNote, ...scaled } = weighed;
    const next = { ...scaled, finesG };
    await this.change(id, async (row) => {
      refuseStale(row, revision);
      if (finesG !== null && row.plan.sieveUm === undefined) {
        throw invalidField({ field: 'finesG', message: 'Nothing was sieved for this brew.' });
      }
      if (!row.plan.lifts && (weighed.tailG !== null || weighed.tailTdsPercent !== null)) {
        throw invalidField({ field: 'tailG', message: 'This brewer was not lifted off: there is no tail.' });
      }
      const waterG = weighed.waterG ?? pouredWaterG({ plan: row.plan, done: row.steps }).waterG;
      if (next.beverageG !== null) {
        const bypassG = addedWaterG({ plan: row.plan, events: row.events ?? [] });
        const fault = beverageFault({ beverageG: next.beverageG, waterG, bypassG });
        if (fault) throw invalidField({ field: 'beverageG', message: fault.message, allowed: fault.allowed });
      }
      const before = { ...row.get(), finesG: weighedFinesG(row.events ?? []) };
      const corrections = WEIGHED_FIELDS.map((field) => ({
        field,
        fromValue: numberOrNull(before[field]),
        toValue: next[field],
      }))
        // The first time a figure is written down is no correction.
        .filter(({ fromValue, toValue }) => fromValue !== null && fromValue !== toValue);
      // What the model takes of the sieve, and what is gone of the stock, follow from what was weighed under it.
      const events = withFinesWeighed(row.events ?? [], finesG);
      await row.update({
        ...next,
        events,
        finesG: finesTaken({ plan: row.plan, events })?.finesG ?? null,
        note,
        tailNote,
      });
      await CorrectionModel.bulkCreate(
        corrections.map((each) => ({ ...each, brewId: id, correctedBy: person.id })),
      );
    });
  }

  /** What the scales showed; `null` where there was none. */
  async traces(id: number): Promise<BrewTraces> {
    await this.row(id);
    const row = await TraceModel.findByPk(id);
    return { trace: row && row.samples.atMs.length > 0 ? row.samples : null, outflow: row?.outflow ?? null };
  }

  /** Mends a time or a total that was marked or read wrong. What was first marked is kept beside it. */
  async mendStep(id: number, stepIndex: number, mended: MendStepDto, person: PersonModel): Promise<void> {
    const { atS, totalG } = mended;
    await this.change(id, async (row) => {
      refuseStale(row, mended.revision);
      const before = row.steps.find((step) => step.stepIndex === stepIndex);
      if (!before) throw notFound('step');
      await row.update({
        steps: row.steps.map((step) => (step === before ? { ...step, atS, totalG } : step)),
      });
      const corrections = [
        { field: `step.${stepIndex}.atS` as const, fromValue: before.atS, toValue: atS },
        { field: `step.${stepIndex}.totalG` as const, fromValue: before.totalG, toValue: totalG },
      ].filter(({ fromValue, toValue }) => fromValue !== null && fromValue !== toValue);
      await CorrectionModel.bulkCreate(
        corrections.map((each) => ({ ...each, brewId: id, correctedBy: person.id })),
      );
    });
  }

  /** Writes down the cups of a split brew; all of them, in the order in which they were changed. */
  async putFractions(id: number, { fractions }: FractionsDto): Promise<void> {
    refuseUneven(fractions);
    await this.change(id, async () => {
      await keepEditsOfCups(id, fractions);
      await FractionModel.destroy({ where: { brewId: id } });
      await FractionModel.bulkCreate(
        fractions.map((fraction, index) => ({ ...fraction, brewId: id, place: index + 1 })),
      );
    });
  }

  async addReading(
    id: number,
    { tdsPercent, sampleC, source }: NewReadingDto,
    person: PersonModel,
    request: RequestKeyOf | null,
  ): Promise<void> {
    const fault = readingFault({ tdsPercent });
    if (fault) throw invalidField({ field: 'tdsPercent', message: fault.message, allowed: fault.allowed });
    const add = () => ReadingModel.create({ brewId: id, tdsPercent, sampleC, source, readBy: person.id });
    await this.change(id, add, request);
  }

  /** Takes a reading out of the result, or puts it back. The row stays either way. */
  async setReadingRemoved(brewId: number, readingId: number, isRemoved: boolean): Promise<void> {
    await this.change(brewId, async () => {
      const reading = await ReadingModel.findOne({ where: { id: readingId, brewId } });
      if (!reading) throw notFound('reading');
      await reading.update({ removedAt: isRemoved ? new Date() : null });
    });
  }

  async giveVerdict(id: number, { verdict, reason }: VerdictDto): Promise<void> {
    await this.change(id, (row) => said(row, { verdict, verdictReason: reason }));
  }

  /** A brew set aside stays in the record but leaves the trail, the map and the count. */
  async setAside(id: number, isSetAside: boolean): Promise<void> {
    await this.change(id, (row) => said(row, { setAsideAt: isSetAside ? new Date() : null }));
  }

  /** Changes something of a brew in its lot's turn. */
  private async change(
    id: number,
    work: (row: BrewModel) => Promise<unknown>,
    request: RequestKeyOf | null = null,
  ): Promise<void> {
    const { lotId } = await this.row(id);
    await this.writing.onLot(
      lotId,
      async () => {
        await work(await this.row(id));
      },
      request,
    );
  }

  private async row(id: number): Promise<BrewModel> {
    const row = await BrewModel.findByPk(id);
    if (!row) throw notFound('brew');
    return row;
  }
}

/** Not through the instance: the revision guards what was weighed, which this does not touch. */
async function said(
  row: BrewModel,
  fields: Partial<Pick<BrewModel, 'verdict' | 'verdictReason' | 'setAsideAt'>>,
): Promise<void> {
  row.set(fields);
  await keepEdit(row);
  await BrewModel.update(fields, { where: { id: row.id } });
}

/** Each cup by its place, told before they are written over. */
async function keepEditsOfCups(id: number, told: readonly FractionDto[]): Promise<void> {
  const cups = await FractionModel.findAll({ where: { brewId: id }, order: [['place', 'ASC']] });
  for (const cup of cups) {
    const next = told[cup.place - 1];
    if (next) cup.set({ ...next });
    await keepEditOfPart(cup, next ? 'changed' : 'removed', { id, about: `cup ${cup.place}` });
  }
}

function refuseStale(row: BrewModel, revision: number): void {
  if (row.revision === revision) return;
  throw new ProblemError('stale', 'This brew was saved by somebody else since you opened it.');
}

function refuseUneven(fractions: readonly FractionDto[]): void {
  for (const [index, { startS, endS }] of fractions.entries()) {
    const beforeS = fractions[index - 1]?.endS ?? 0;
    const field = endS <= startS ? 'endS' : startS < beforeS ? 'startS' : null;
    if (field === null) continue;
    throw invalidField({
      field: `fractions.${index}.${field}`,
      message:
        field === 'endS'
          ? `Cup ${index + 1} must end after it began, at ${startS} s.`
          : `Cup ${index + 1} cannot begin before the one before it was taken away, at ${beforeS} s.`,
      allowed: field === 'endS' ? `above ${startS} s` : `${beforeS} s or later`,
    });
  }
}

function fractionView(row: FractionModel): BrewView['fractions'][number] {
  const { place, startS, endS, beverageG, tdsPercent, colour, haze, notes, isWanted } = row;
  return { place, startS, endS, beverageG, tdsPercent, colour, haze, notes, isWanted };
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
