import { Injectable } from '@nestjs/common';
import { UniqueConstraintError } from 'sequelize';
import { Sequelize } from 'sequelize-typescript';
import { lotPrior, type LotPrior, type RoastLevel } from '@vendu/core';
import type {
  NewVersionDto,
  RecipeListItem,
  RecipeSchoolsDto,
  RecipeSetupDto,
  RecipeView,
} from '@vendu/contract';
import { BrewReader } from '../brews/brew-reader.js';
import { Computation } from '../computation/computation.js';
import { BrewerModel } from '../kit/brewer.model.js';
import { KitService } from '../kit/kit.service.js';
import { KettleModel } from '../kit/kettle.model.js';
import { PaperModel } from '../kit/paper.model.js';
import { refuseReversedWindow } from '../kit/reversed-window.js';
import { WaterModel } from '../kit/water.model.js';
import { daysSince } from '../lots/days.js';
import { refreshLotProgress } from '../lots/lot-progress.js';
import { LotModel } from '../lots/lot.model.js';
import { newestBatch, RoastBatchModel } from '../lots/roast-batch.model.js';
import { PersonModel } from '../people/person.model.js';
import { notFound, ProblemError } from '../problem/problem-error.js';
import { PublicationModel } from '../publications/publication.model.js';
import { plainPlan, refusePlanFaults } from './plan-refusals.js';
import { RecipeVersionModel } from './recipe-version.model.js';
import { RecipeModel } from './recipe.model.js';
import { keepEvidence } from './lot-evidence.js';
import { publicationView, recipeListItem, versionView } from './recipe-views.js';
import { readSimilarLots } from './similar-lots.js';
import { elevationOf } from './starting-facts.js';
import { refuseUnknownKit } from './unknown-kit.js';

const LIST_PARTS = [BrewerModel, { model: RecipeVersionModel, include: [PublicationModel] }];

@Injectable()
export class RecipesService {
  constructor(
    private readonly sequelize: Sequelize,
    private readonly kit: KitService,
    private readonly brews: BrewReader,
    private readonly computation: Computation,
  ) {}

  async ofLots(lotIds: readonly number[]): Promise<RecipeListItem[]> {
    const rows = await RecipeModel.findAll({
      where: { lotId: [...lotIds] },
      include: LIST_PARTS,
      order: ['id'],
    });
    return rows.map(recipeListItem);
  }

  /** Sets what a recipe is brewed with and aims at, where that may change under it. */
  async setUp(id: number, { waterId, kettleId, aim }: RecipeSetupDto): Promise<RecipeView> {
    const row = await RecipeModel.findByPk(id);
    if (!row) throw notFound('recipe');
    if (aim) refuseReversedWindow(aim, 'aim.');
    await refuseUnknownKit({ waterId, kettleId });
    await row.update({ waterId, kettleId, aim: aim && { ...aim } });
    return this.read(id);
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

  async read(id: number): Promise<RecipeView> {
    const row = await RecipeModel.findByPk(id, {
      include: [LotModel, BrewerModel, PaperModel, WaterModel, KettleModel],
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
      paperId: row.paperId,
      paperName: row.paper.name,
      waterId: row.waterId,
      waterName: row.water?.name ?? null,
      kettleId: row.kettleId,
      kettleName: row.kettle?.name ?? null,
      aim: row.aim,
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
    await refusePlanFaults(plan, this.kit);
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
    const { lotId, brewerId, paperId } = await RecipeModel.findByPk(recipeId, { rejectOnEmpty: true });
    const [brewer, paper, trail] = await Promise.all([
      this.kit.brewer(brewerId),
      this.kit.paper(paperId),
      this.brews.ofLot(lotId),
    ]);
    await keepEvidence({
      lotId,
      brews: trail.filter((brew) => brew.recipeId === recipeId),
      kit: await this.kit.brewKit(brewer, paper),
      calibrate: (input) => this.computation.run('calibrateLot', input),
    });
  }

  private async refuseWhilePublic(recipeVersionId: number): Promise<void> {
    const publicCount = await PublicationModel.count({ where: { recipeVersionId, withdrawnAt: null } });
    if (publicCount > 0)
      throw new ProblemError('conflict', 'This version is public; withdraw the publication first.');
  }

  private async version(id: number): Promise<RecipeVersionModel> {
    const row = await RecipeVersionModel.findByPk(id);
    if (!row) throw notFound('recipe version');
    return row;
  }
}

function staleVersion(newest: number): ProblemError {
  return new ProblemError(
    'stale',
    `Version ${newest} was saved since you opened this one. Your changes are kept here.`,
  );
}
