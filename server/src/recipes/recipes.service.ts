import { Injectable } from '@nestjs/common';
import { Sequelize } from 'sequelize-typescript';
import { earlierLots, elevationOf, lotPrior, type LotPrior, type RoastLevel } from '@vendu/core';
import type {
  NewVersionDto,
  OutdatedCard,
  RecipeListItem,
  RecipeSchoolsDto,
  RecipeSetupDto,
  RecipeView,
} from '@vendu/contract';
import { BrewReader } from '../brews/brew-reader.js';
import { BrewerModel } from '../kit/brewer.model.js';
import { KitService } from '../kit/kit.service.js';
import { KettleModel } from '../kit/kettle.model.js';
import { PaperModel } from '../kit/paper.model.js';
import { refuseImpossibleAim } from '../kit/reversed-window.js';
import { WaterModel } from '../kit/water.model.js';
import { daysSince } from '../lots/days.js';
import { LotModel } from '../lots/lot.model.js';
import { newestBatch, RoastBatchModel } from '../lots/roast-batch.model.js';
import { PersonModel } from '../people/person.model.js';
import { notFound, ProblemError } from '../problem/problem-error.js';
import { PublicationModel } from '../publications/publication.model.js';
import { cardChanges, composeCard } from '../publications/published-card.js';
import type { RequestKeyOf } from '../writing/request-key.js';
import { Writing } from '../writing/writing.js';
import { plainPlan, refusePlanFaults } from './plan-refusals.js';
import { RecipeVersionModel } from './recipe-version.model.js';
import { RecipeModel } from './recipe.model.js';
import { SIGNATURE_PARTS } from './signed-by.js';
import { keepEvidence } from './lot-evidence.js';
import { LotEvidenceService } from './lot-evidence.service.js';
import { publicationView, recipeListItem, versionView } from './recipe-views.js';
import { readTaught } from './finished-lots.js';
import { refuseUnknownKit } from './unknown-kit.js';
import { brewsElsewhere } from './brews-elsewhere.js';
import { keepExpectation } from './keep-expectation.js';
import { refuseMove } from './version-life.js';

const LIST_PARTS = [BrewerModel, PaperModel, { model: RecipeVersionModel, include: [PublicationModel] }];

@Injectable()
export class RecipesService {
  constructor(
    private readonly sequelize: Sequelize,
    private readonly kit: KitService,
    private readonly brews: BrewReader,
    private readonly evidence: LotEvidenceService,
    private readonly writing: Writing,
  ) {}

  async ofLots(lotIds: readonly number[]): Promise<RecipeListItem[]> {
    const rows = await RecipeModel.findAll({
      where: { lotId: [...lotIds] },
      include: LIST_PARTS,
      order: ['id'],
    });
    return rows.map(recipeListItem);
  }

  /** Public cards of a lot that would say otherwise if they were published now. */
  async outdatedCards(lotId: number): Promise<OutdatedCard[]> {
    const rows = await RecipeModel.findAll({
      where: { lotId },
      include: [
        LotModel,
        BrewerModel,
        PaperModel,
        { model: RecipeVersionModel, include: [PublicationModel, SIGNATURE_PARTS] },
      ],
    });
    const outdated: OutdatedCard[] = [];
    for (const row of rows) {
      for (const version of row.versions) {
        const card = version.publications.find(({ withdrawnAt }) => withdrawnAt === null)?.card;
        if (!card) continue;
        const [house, grinder] = await Promise.all([this.kit.house(), this.kit.grinder(row.grinderId)]);
        const now = composeCard({ recipe: row, version, house, grinder, introduction: '' });
        const changes = cardChanges(card, now);
        if (changes.length > 0) {
          outdated.push({ recipeId: row.id, brewerName: row.brewer.name, slug: row.slug ?? '', changes });
        }
      }
    }
    return outdated;
  }

  /** Sets what a recipe is brewed with and aims at, where that may change under it. */
  async setUp(id: number, { waterId, kettleId, aim }: RecipeSetupDto): Promise<RecipeView> {
    if (aim) refuseImpossibleAim(aim, 'aim.');
    await refuseUnknownKit({ waterId, kettleId });
    return this.change(id, (row) => row.update({ waterId, kettleId, aim: aim && { ...aim } }));
  }

  /** Gives a recipe stands of its own, or the house's back. */
  async setSchools(id: number, { schools }: RecipeSchoolsDto): Promise<RecipeView> {
    return this.change(id, (row) => row.update({ schools: schools && { ...schools } }));
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
          SIGNATURE_PARTS,
          { model: PublicationModel, include: [PersonModel] },
        ],
        order: [['number', 'DESC']],
      }),
      this.brews.ofLot(row.lotId),
      RoastBatchModel.findAll({ where: { lotId: row.lotId } }),
    ]);
    const batch = newestBatch(batches);
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
      elsewhere: await brewsElsewhere(row, trail),
      publications: versions
        .flatMap((version) =>
          version.publications.map((publication) => {
            const now = composeCard({ recipe: row, version, house, grinder, introduction: '' });
            const { card, withdrawnAt } = publication;
            const changes = card && withdrawnAt === null ? cardChanges(card, now) : [];
            return publicationView(publication, row.slug ?? '', version.number, changes);
          }),
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
    const taught = await readTaught(this.sequelize, lot.id);
    return lotPrior({
      process: lot.process,
      baseProcess: lot.baseProcess,
      additions: lot.additions,
      isDecaffeinated: lot.isDecaffeinated,
      elevation: elevationOf(lot),
      ...(roastLevel ? { roastLevel } : {}),
      earlierLots: earlierLots({ brewerShape: brewer.shape }, taught),
    });
  }

  /** Adds a version. Versions never change, so an edit of an older one than the newest is stale. */
  async addVersion(
    id: number,
    { basedOn, plan, note, expectation }: NewVersionDto,
    person: PersonModel,
    request: RequestKeyOf | null,
  ): Promise<RecipeView> {
    await refusePlanFaults(plan, this.kit);
    const add = async ({ lotId }: RecipeModel) => {
      const newest = await RecipeVersionModel.findOne({
        where: { recipeId: id },
        order: [['number', 'DESC']],
      });
      if (!newest || basedOn > newest.number) throw notFound('recipe version');
      if (basedOn < newest.number) throw staleVersion(newest.number);
      const version = await RecipeVersionModel.create({
        recipeId: id,
        number: newest.number + 1,
        basedOn,
        plan: plainPlan(plan),
        note,
        createdBy: person.id,
      });
      if (expectation) await keepExpectation(lotId, version.id, expectation);
    };
    return this.change(id, add, request);
  }

  /** Accepting is anybody's signature on a version; the lead's is given with its proof. */
  async setAccepted(versionId: number, isAccepted: boolean, person: PersonModel): Promise<RecipeView> {
    const { recipeId } = await version(versionId);
    // Learned before its turn, since it takes a while: what is measured meanwhile teaches at the next acceptance.
    const evidence = isAccepted ? await this.evidence.ofRecipe(await recipe(recipeId)) : undefined;
    return this.change(recipeId, async ({ lotId }) => {
      const row = await version(versionId);
      await refuseMove(row, isAccepted ? 'accept' : 'take-acceptance-back');
      await row.update(
        isAccepted
          ? { acceptedBy: person.id, acceptedAt: new Date() }
          : { acceptedBy: null, acceptedAt: null },
      );
      if (evidence !== undefined) await keepEvidence(lotId, evidence);
    });
  }

  /** Changes something of a recipe in its lot's turn. */
  private async change(
    id: number,
    work: (row: RecipeModel) => Promise<unknown>,
    request: RequestKeyOf | null = null,
  ): Promise<RecipeView> {
    const { lotId } = await recipe(id);
    await this.writing.onLot(
      lotId,
      async () => {
        await work(await recipe(id));
      },
      request,
    );
    return this.read(id);
  }
}

async function recipe(id: number): Promise<RecipeModel> {
  const row = await RecipeModel.findByPk(id);
  if (!row) throw notFound('recipe');
  return row;
}

async function version(id: number): Promise<RecipeVersionModel> {
  const row = await RecipeVersionModel.findByPk(id);
  if (!row) throw notFound('recipe version');
  return row;
}

function staleVersion(newest: number): ProblemError {
  return new ProblemError(
    'stale',
    `Version ${newest} was saved since you opened this one. Your changes are kept here.`,
  );
}
