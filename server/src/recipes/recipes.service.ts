import { Injectable } from '@nestjs/common';
import { UniqueConstraintError } from 'sequelize';
import { Sequelize } from 'sequelize-typescript';
import { boilingPointC, planFaults, roastAgeDays, startingRecipe, valueOf, type BrewPlan } from '@vendu/core';
import type { NewRecipeDto, NewVersionDto, RecipeListItem, RecipeView } from '@vendu/contract';
import { BrewReader } from '../brews/brew-reader.js';
import { BrewerModel } from '../kit/brewer.model.js';
import { KitService } from '../kit/kit.service.js';
import { LotModel } from '../lots/lot.model.js';
import { RoastBatchModel } from '../lots/roast-batch.model.js';
import { PersonModel } from '../people/person.model.js';
import { notFound, ProblemError } from '../problem/problem-error.js';
import { PublicationModel } from '../publications/publication.model.js';
import { RecipeVersionModel } from './recipe-version.model.js';
import { RecipeModel } from './recipe.model.js';
import { publicationView, recipeListItem, versionView } from './recipe-views.js';

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

  /** The starting recipe of a lot on one brewer: version 1 of a new recipe, with its reasons. */
  async start(
    lotId: number,
    { brewerId, grinderId }: NewRecipeDto,
    person: PersonModel,
  ): Promise<RecipeView> {
    const lot = await LotModel.findByPk(lotId, { include: [RoastBatchModel] });
    if (!lot) throw notFound('lot');
    const [house, brewer, grinder] = await Promise.all([
      this.kit.house(),
      this.kit.brewer(brewerId),
      this.kit.grinder(grinderId),
    ]);
    const batch = newestBatch(lot.roastBatches);
    const { plan, reasons } = startingRecipe({
      process: lot.process,
      elevation:
        lot.elevationFromM === null
          ? null
          : { fromM: lot.elevationFromM, toM: lot.elevationToM ?? lot.elevationFromM },
      roastLevel: batch.level,
      roastAgeDays: roastAgeDays({
        roastedOn: batch.roastedOn,
        onDate: new Date().toISOString().slice(0, 10),
      }),
      brewer,
      labElevationM: house.elevationM,
    });
    const recipe = await this.sequelize.transaction(async (transaction) => {
      const row = await RecipeModel.create(
        { lotId, brewerId: brewer.id, grinderId: grinder.id, createdBy: person.id },
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

  async read(id: number): Promise<RecipeView> {
    const row = await RecipeModel.findByPk(id, { include: [LotModel, BrewerModel] });
    if (!row) throw notFound('recipe');
    const [grinder, versions, trail, batches] = await Promise.all([
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
      brewerPaper: row.brewer.paper,
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
      latestRoastBatchId: batches.length > 0 ? newestBatch(batches).id : null,
    };
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
    return this.read(version.recipeId);
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
