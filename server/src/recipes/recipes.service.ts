import { Injectable } from '@nestjs/common';
import { UniqueConstraintError } from 'sequelize';
import { Sequelize } from 'sequelize-typescript';
import {
  boilingPointC,
  fittedStart,
  lotPrior,
  planFaults,
  valueOf,
  type BrewPlan,
  type LotPrior,
  type RoastLevel,
} from '@vendu/core';
import type {
  NewRecipeDto,
  NewVersionDto,
  RecipeListItem,
  RecipeSchoolsDto,
  RecipeView,
  StartingPreview,
} from '@vendu/contract';
import { BrewReader } from '../brews/brew-reader.js';
import { BrewerModel } from '../kit/brewer.model.js';
import { KitService } from '../kit/kit.service.js';
import { PaperModel } from '../kit/paper.model.js';
import { daysSince } from '../lots/days.js';
import { refreshLotProgress } from '../lots/lot-progress.js';
import { LotModel } from '../lots/lot.model.js';
import { RoastBatchModel } from '../lots/roast-batch.model.js';
import { PersonModel } from '../people/person.model.js';
import { notFound, ProblemError } from '../problem/problem-error.js';
import { PublicationModel } from '../publications/publication.model.js';
import { RecipeVersionModel } from './recipe-version.model.js';
import { RecipeModel } from './recipe.model.js';
import { keepEvidence } from './lot-evidence.js';
import { publicationView, recipeListItem, settingFor, versionView } from './recipe-views.js';
import { readSimilarLots } from './similar-lots.js';
import { elevationOf, startingFacts } from './starting-facts.js';

const LIST_PARTS = [BrewerModel, { model: RecipeVersionModel, include: [PublicationModel] }];

@Injectable()
export class RecipesService {
  constructor(
    private readonly sequelize: Sequelize,
    private readonly kit: KitService,
    private readonly brews: BrewReader,
  ) {}

  async ofLots(lotIds: readonly number[]): Promise<RecipeListItem[]> {
    const rows = await RecipeModel.findAll({
      where: { lotId: [...lotIds] },
      include: LIST_PARTS,
      order: ['id'],
    });
    return rows.map(recipeListItem);
  }

  /** The starting recipe as it would be, before anybody keeps it. */
  async preview(lotId: number, asked: NewRecipeDto): Promise<StartingPreview> {
    const { started, similar, grinder } = await this.compose(lotId, asked);
    return {
      ...started,
      ...settingFor(started.plan, grinder),
      similar: similar.map(({ lotId, name, likeness, because, startGrindUm, plan }) => ({
        lotId,
        name,
        likeness,
        because,
        startGrindUm,
        plan,
      })),
    };
  }

  /** Keeps the starting recipe of a lot on one brewer: version 1 of a new recipe, with its reasons. */
  async start(lotId: number, asked: NewRecipeDto, person: PersonModel): Promise<RecipeView> {
    const { started, brewer, grinder } = await this.compose(lotId, asked);
    const { plan, reasons } = started;
    const recipe = await this.sequelize.transaction(async (transaction) => {
      const row = await RecipeModel.create(
        {
          lotId,
          brewerId: brewer.id,
          grinderId: grinder.id,
          schools: asked.schools && { ...asked.schools },
          switchedOff: asked.switchedOff,
          createdBy: person.id,
        },
        { transaction },
      );
      await RecipeVersionModel.create(
        { recipeId: row.id, number: 1, plan, reasons, note: 'Starting recipe', createdBy: person.id },
        { transaction },
      );
      return row;
    });
    return this.read(recipe.id);
  }

  /** Gives a recipe stands of its own, or the house's back. */
  async setSchools(id: number, { schools }: RecipeSchoolsDto): Promise<RecipeView> {
    const row = await RecipeModel.findByPk(id);
    if (!row) throw notFound('recipe');
    await row.update({ schools: schools && { ...schools } });
    return this.read(id);
  }

  /** Brings the lot of a recipe up to date in the list of lots. */
  async refreshLotOf(recipeId: number): Promise<void> {
    const { lotId } = await RecipeModel.findByPk(recipeId, { rejectOnEmpty: true });
    await refreshLotProgress(this.sequelize, [lotId]);
  }

  private async compose(lotId: number, { brewerId, grinderId, switchedOff, schools }: NewRecipeDto) {
    const lot = await LotModel.findByPk(lotId, { include: [RoastBatchModel] });
    if (!lot) throw notFound('lot');
    const [house, brewer, grinder] = await Promise.all([
      this.kit.house(),
      this.kit.brewer(brewerId),
      this.kit.grinder(grinderId),
    ]);
    const facts = startingFacts({
      lot,
      batch: newestBatch(lot.roastBatches),
      onDate: new Date().toISOString().slice(0, 10),
      brewer,
      schools: schools ?? house.schools,
      labElevationM: house.elevationM,
    });
    const similar = await readSimilarLots(this.sequelize, {
      lotId,
      process: lot.process,
      elevation: facts.elevation,
      roastLevel: facts.roastLevel,
      variety: lot.variety,
      brewerShape: brewer.shape,
    });
    const sizes = grinder.points.map(({ grindUm }) => grindUm);
    const started = fittedStart({
      facts,
      switchedOff,
      kit: await this.kit.brewKit(brewer),
      houseWindow: house.window,
      reach: { finestUm: Math.min(...sizes), coarsestUm: Math.max(...sizes) },
      similar,
    });
    return { started, similar, brewer, grinder };
  }

  async read(id: number): Promise<RecipeView> {
    const row = await RecipeModel.findByPk(id, {
      include: [LotModel, { model: BrewerModel, include: [PaperModel] }],
    });
    if (!row) throw notFound('recipe');
    const [house, grinder, versions, trail, batches] = await Promise.all([
      this.kit.house(),
      this.kit.grinder(row.grinderId),
      RecipeVersionModel.findAll({
        where: { recipeId: id },
        include: [
          { model: PersonModel, as: 'creator' },
          { model: PersonModel, as: 'accepter' },
          { model: PersonModel, as: 'signer' },
          { model: PublicationModel, include: [PersonModel] },
        ],
        order: [['number', 'DESC']],
      }),
      this.brews.ofLot(row.lotId),
      RoastBatchModel.findAll({ where: { lotId: row.lotId } }),
    ]);
    const batch = batches.length > 0 ? newestBatch(batches) : null;
    const brews = trail.filter(({ recipeId, isSetAside }) => recipeId === id && !isSetAside);
    return {
      id,
      lot: {
        id: row.lot.id,
        name: row.lot.name,
        country: row.lot.country,
        process: row.lot.process,
        additions: row.lot.additions,
      },
      brewerId: row.brewerId,
      brewerName: row.brewer.name,
      brewerPaper: row.brewer.paper.name,
      grinderId: grinder.id,
      grinderName: `${grinder.name}, ${grinder.burrSet}`,
      versions: versions.map((version) =>
        versionView(
          version,
          grinder,
          brews.filter(({ versionNumber }) => versionNumber === version.number).length,
        ),
      ),
      brews,
      publications: versions
        .flatMap(({ publications, number }) =>
          publications.map((publication) => publicationView(publication, row.slug ?? '', number)),
        )
        .sort((a, b) => b.id - a.id),
      latestRoastBatchId: batch?.id ?? null,
      latestRoastAgeDays: batch && daysSince(batch.roastedOn),
      prior: await this.priorOf(row, batch?.level ?? null),
      schools: row.schools ?? house.schools,
      hasOwnSchools: row.schools !== null,
    };
  }

  /** What is believed of a recipe's lot before its own brews. */
  private async priorOf({ lot, brewer }: RecipeModel, roastLevel: RoastLevel | null): Promise<LotPrior> {
    const elevation = elevationOf(lot);
    const similar = await readSimilarLots(this.sequelize, {
      lotId: lot.id,
      process: lot.process,
      elevation,
      roastLevel,
      variety: lot.variety,
      brewerShape: brewer.shape,
    });
    return lotPrior({
      process: lot.process,
      ...(elevation ? { elevationM: (elevation.fromM + elevation.toM) / 2 } : {}),
      ...(roastLevel ? { roastLevel } : {}),
      earlierLots: similar.flatMap(({ evidence, likeness }) => (evidence ? [{ evidence, likeness }] : [])),
    });
  }

  /** Adds a version. Versions never change, so an edit of an older one than the newest is stale. */
  async addVersion(
    id: number,
    { basedOn, plan, note }: NewVersionDto,
    person: PersonModel,
  ): Promise<RecipeView> {
    const newest = await RecipeVersionModel.findOne({ where: { recipeId: id }, order: [['number', 'DESC']] });
    if (!newest) throw notFound('recipe');
    if (basedOn > newest.number) throw notFound('recipe version');
    if (basedOn < newest.number) throw staleVersion(newest.number);
    await this.refuseFaults(plan);
    try {
      await RecipeVersionModel.create({
        recipeId: id,
        number: newest.number + 1,
        basedOn,
        plan: plainPlan(plan),
        note,
        createdBy: person.id,
      });
    } catch (error) {
      // Two saves at the same moment: the unique number lets one in.
      if (error instanceof UniqueConstraintError) throw staleVersion(newest.number + 1);
      throw error;
    }
    return this.read(id);
  }

  /** Accepting and signing off are signatures on a version; taking one back leaves the other to its owner. */
  async setAccepted(versionId: number, isAccepted: boolean, person: PersonModel): Promise<RecipeView> {
    const version = await this.version(versionId);
    if (!isAccepted && version.signedOffAt !== null) {
      throw new ProblemError('conflict', 'This version is signed off; a lead takes that back first.');
    }
    await version.update(
      isAccepted ? { acceptedBy: person.id, acceptedAt: new Date() } : { acceptedBy: null, acceptedAt: null },
    );
    if (isAccepted) await this.learnFrom(version.recipeId);
    await this.refreshLotOf(version.recipeId);
    return this.read(version.recipeId);
  }

  async setSignedOff(versionId: number, isSignedOff: boolean, person: PersonModel): Promise<RecipeView> {
    const version = await this.version(versionId);
    if (isSignedOff && version.acceptedAt === null) {
      throw new ProblemError(
        'conflict',
        'Accept this version first: sign-off confirms a recipe that was accepted.',
      );
    }
    if (!isSignedOff) await this.refuseWhilePublic(version.id);
    await version.update(
      isSignedOff
        ? { signedOffBy: person.id, signedOffAt: new Date() }
        : { signedOffBy: null, signedOffAt: null },
    );
    await this.refreshLotOf(version.recipeId);
    return this.read(version.recipeId);
  }

  private async learnFrom(recipeId: number): Promise<void> {
    const { lotId, brewerId } = await RecipeModel.findByPk(recipeId, { rejectOnEmpty: true });
    const [brewer, trail] = await Promise.all([this.kit.brewer(brewerId), this.brews.ofLot(lotId)]);
    await keepEvidence({
      lotId,
      brews: trail.filter((brew) => brew.recipeId === recipeId),
      kit: await this.kit.brewKit(brewer),
    });
  }

  private async refuseWhilePublic(recipeVersionId: number): Promise<void> {
    const publicCount = await PublicationModel.count({ where: { recipeVersionId, withdrawnAt: null } });
    if (publicCount > 0)
      throw new ProblemError('conflict', 'This version is public; withdraw the publication first.');
  }

  private async refuseFaults(plan: BrewPlan): Promise<void> {
    const { elevationM } = await this.kit.house();
    const faults = planFaults({ plan, boilingC: valueOf(boilingPointC({ elevationM })) });
    const errors = faults.map(({ field, message }) => ({ field: `plan.${field}`, message }));
    if (errors[0]) throw new ProblemError('invalid-input', errors[0].message, errors);
  }

  private async version(id: number): Promise<RecipeVersionModel> {
    const row = await RecipeVersionModel.findByPk(id);
    if (!row) throw notFound('recipe version');
    return row;
  }
}

function newestBatch(batches: readonly RoastBatchModel[]): RoastBatchModel {
  return batches.reduce((a, b) =>
    a.roastedOn > b.roastedOn || (a.roastedOn === b.roastedOn && a.id > b.id) ? a : b,
  );
}

function staleVersion(newest: number): ProblemError {
  return new ProblemError(
    'stale',
    `Version ${newest} was saved since you opened this one. Your changes are kept here.`,
  );
}

/** JSON columns want plain objects, not class instances. */
function plainPlan(plan: BrewPlan): BrewPlan {
  return { ...plan, pours: plan.pours.map((pour) => ({ ...pour })) };
}
