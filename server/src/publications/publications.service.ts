import { isDeepStrictEqual } from 'node:util';
import { Injectable } from '@nestjs/common';
import { Op, QueryTypes } from 'sequelize';
import { Sequelize } from 'sequelize-typescript';
import { cardWords } from '@vendu/core';
import {
  EditionDto,
  PUBLISHED_PER_PAGE,
  type PublicRecipeListItem,
  type PublicRecipeView,
  type PublishDto,
  type PublishedCard,
  type PublishedPageView,
  type PublishedQueryDto,
  type RecipeView,
} from '@vendu/contract';
import { BrewerModel } from '../kit/brewer.model.js';
import { KitService } from '../kit/kit.service.js';
import { PaperModel } from '../kit/paper.model.js';
import { LotModel } from '../lots/lot.model.js';
import type { PersonModel } from '../people/person.model.js';
import { invalidField, notFound, ProblemError } from '../problem/problem-error.js';
import { ProofService } from '../proof/proof.service.js';
import { RecipeVersionModel } from '../recipes/recipe-version.model.js';
import { RecipeModel } from '../recipes/recipe.model.js';
import { SIGNATURE_PARTS } from '../recipes/signed-by.js';
import { refuseMove } from '../recipes/version-life.js';
import { RecipesService } from '../recipes/recipes.service.js';
import { parsedJson } from '../database/raw-row.js';
import type { RequestKeyOf } from '../writing/request-key.js';
import { WebhookQueue } from '../webhooks/webhook-queue.js';
import { Writing } from '../writing/writing.js';
import { cardChanges, composeCard } from './published-card.js';
import { proofOn, CardContentsService } from './card-contents.js';
import { PublicationModel } from './publication.model.js';
import { giveLotSlug, giveRecipeSlug } from './give-slug.js';

interface LiveRow {
  slug: string;
  card: PublishedCard | string;
}

/** What is public is the card as it was published: nothing that is changed in the lab afterwards reaches it. */
@Injectable()
export class PublicationsService {
  constructor(
    private readonly sequelize: Sequelize,
    private readonly recipes: RecipesService,
    private readonly kit: KitService,
    private readonly contents: CardContentsService,
    private readonly proof: ProofService,
    private readonly writing: Writing,
    private readonly news: WebhookQueue,
  ) {}

  /**
   * Makes a version public that was proved and signed off, in the place of what was public of its recipe. The address belongs to the
   * recipe and outlives its versions.
   */
  async publish(
    { recipeVersionId, introduction, edition }: PublishDto,
    person: PersonModel,
    request: RequestKeyOf | null,
  ): Promise<RecipeView> {
    const known = await RecipeVersionModel.findByPk(recipeVersionId);
    if (!known) throw invalidField({ field: 'recipeVersionId', message: 'There is no such recipe version.' });
    refuseRemarksBeyondSteps(edition, known);
    const { recipeId } = known;
    const [proven, contents] = await Promise.all([
      this.proof.proven(recipeVersionId, person),
      recipeWithParts(recipeId).then((recipe) => this.contents.of(recipe, known)),
    ]);
    const publishIt = async () => {
      const version = await RecipeVersionModel.findByPk(recipeVersionId, {
        include: [SIGNATURE_PARTS],
        rejectOnEmpty: true,
      });
      await refuseMove(version, 'publish');
      const shown = await proven();
      const recipe = await recipeWithParts(recipeId);
      const card: PublishedCard = {
        ...(await this.cardOf(recipe, version, introduction)),
        ...contents,
        ...proofOn(shown),
        edition: { ...edition },
      };
      const live = await livePublication(recipeId);
      if (live?.recipeVersionId === recipeVersionId && saysTheSame(live, card)) {
        throw new ProblemError('conflict', 'This version is public already, and its card says the same.');
      }
      const now = new Date();
      await live?.update({ withdrawnAt: now });
      if (recipe.slug === null) await giveRecipeSlug(recipe);
      if (recipe.lot.publicSlug === null) await giveLotSlug(this.sequelize, recipe.lot);
      const { id } = await PublicationModel.create({
        recipeId,
        recipeVersionId,
        introduction,
        card,
        publishedBy: person.id,
        createdAt: now,
      });
      await this.tell('published', recipe, version.number);
      return id;
    };
    await this.writing.onLot(await lotIdOf(recipeId), publishIt, request);
    return this.recipes.read(recipeId);
  }

  async setWithdrawn(id: number, isWithdrawn: boolean): Promise<RecipeView> {
    const { recipeId } = await publication(id);
    await this.writing.onLot(await lotIdOf(recipeId), async () => {
      const row = await publication(id);
      if ((row.withdrawnAt !== null) === isWithdrawn) return;
      const version = await RecipeVersionModel.findByPk(row.recipeVersionId, { rejectOnEmpty: true });
      await refuseMove(version, isWithdrawn ? 'withdraw' : 'restore');
      await row.update({ withdrawnAt: isWithdrawn ? new Date() : null, isRecalled: isWithdrawn });
      await this.tell(
        isWithdrawn ? 'recalled' : 'published',
        await recipeWithParts(recipeId),
        version.number,
      );
    });
    return this.recipes.read(recipeId);
  }

  private tell(event: 'published' | 'recalled', recipe: RecipeModel, versionNumber: number): Promise<void> {
    const { lot, brewer } = recipe;
    return this.news.tell({
      event,
      lot: { id: lot.id, name: lot.name },
      recipe: { id: recipe.id, brewer: brewer.name, versionNumber },
      words: `${lot.name}, ${brewer.name}, version ${versionNumber} ${event === 'published' ? 'is public' : 'was recalled'}.`,
      path: `/r/${recipe.slug ?? ''}`,
    });
  }

  async page({ page }: PublishedQueryDto): Promise<PublishedPageView> {
    const [rows, total] = await Promise.all([
      this.sequelize.query<LiveRow>(
        `SELECT recipes.slug, publications.card
        FROM publications JOIN recipes ON recipes.id = publications.recipe_id
        WHERE publications.live_recipe_id IS NOT NULL AND publications.card IS NOT NULL
        ORDER BY publications.id DESC LIMIT :limit OFFSET :offset`,
        {
          type: QueryTypes.SELECT,
          replacements: { limit: PUBLISHED_PER_PAGE, offset: (page - 1) * PUBLISHED_PER_PAGE },
        },
      ),
      PublicationModel.count({ where: { withdrawnAt: null, card: { [Op.ne]: null as never } } }),
    ]);
    return { recipes: rows.map(listItem), total };
  }

  async bySlug(slug: string): Promise<PublicRecipeView> {
    const recipe = await RecipeModel.findOne({ where: { slug }, attributes: ['id'] });
    const live = recipe && (await livePublication(recipe.id));
    if (!live?.card) throw notFound('published recipe');
    return { ...live.card, slug, publishedAt: live.createdAt.toISOString() };
  }

  /** A version's card as it would be, for whoever is to brew from it alone before it is public. */
  async proofCopy(versionId: number): Promise<PublicRecipeView> {
    const version = await RecipeVersionModel.findByPk(versionId, { include: [SIGNATURE_PARTS] });
    if (!version) throw notFound('recipe version');
    const recipe = await recipeWithParts(version.recipeId);
    const last = await PublicationModel.findOne({ where: { recipeId: recipe.id }, order: [['id', 'DESC']] });
    const [card, { model: _, ...contents }] = await Promise.all([
      this.cardOf(recipe, version, last?.introduction ?? ''),
      this.contents.of(recipe, version),
    ]);
    return {
      ...card,
      ...contents,
      slug: `proof-copy-${versionId}`,
      publishedAt: version.createdAt.toISOString(),
    };
  }

  /** Gives lots whose recipes were public before lots had a page an address for one. */
  async fillMissingAddresses(): Promise<void> {
    const recipes = await RecipeModel.findAll({
      where: { slug: { [Op.ne]: null as never }, '$lot.public_slug$': null },
      include: [LotModel],
      order: ['id'],
    });
    for (const { lotId } of recipes) {
      const lot = await LotModel.findByPk(lotId, { rejectOnEmpty: true });
      if (lot.publicSlug === null) await giveLotSlug(this.sequelize, lot);
    }
  }

  /** Gives publications of an older version, which showed whatever was so at the moment, the card that they show now. */
  async fillMissingCards(): Promise<void> {
    const bare = await PublicationModel.findAll({ where: { card: null } });
    for (const row of bare) {
      const version = await RecipeVersionModel.findByPk(row.recipeVersionId, {
        include: [SIGNATURE_PARTS],
        rejectOnEmpty: true,
      });
      const recipe = await recipeWithParts(row.recipeId);
      const [card, contents] = await Promise.all([
        this.cardOf(recipe, version, row.introduction),
        this.contents.of(recipe, version),
      ]);
      const edition = { ...new EditionDto() };
      await row.update({ card: { ...card, ...contents, ...proofOn(version.proof), edition } });
    }
  }

  private async cardOf(
    recipe: RecipeModel,
    version: RecipeVersionModel,
    introduction: string,
  ): Promise<PublishedCard> {
    const house = await this.kit.house();
    const grinder = await this.kit.grinder(recipe.grinderId);
    return composeCard({ recipe, version, house, grinder, introduction });
  }
}

function saysTheSame({ card, introduction }: PublicationModel, next: PublishedCard): boolean {
  return (
    card !== null &&
    introduction === next.introduction &&
    isDeepStrictEqual({ ...(card.edition ?? new EditionDto()) }, { ...next.edition }) &&
    cardChanges(card, next).length === 0
  );
}

function refuseRemarksBeyondSteps({ remarks }: EditionDto, { plan }: RecipeVersionModel): void {
  const { length } = cardWords(plan).steps;
  if (remarks.length <= length) return;
  throw invalidField({
    field: 'edition.remarks',
    message: `The recipe has ${length} steps, and there are more remarks than that.`,
    allowed: `up to ${length}`,
  });
}

/** The one publication of a recipe that visitors see. */
function livePublication(recipeId: number): Promise<PublicationModel | null> {
  return PublicationModel.findOne({ where: { recipeId, withdrawnAt: null } });
}

async function publication(id: number): Promise<PublicationModel> {
  const row = await PublicationModel.findByPk(id);
  if (!row) throw notFound('publication');
  return row;
}

async function lotIdOf(recipeId: number): Promise<number> {
  return (await RecipeModel.findByPk(recipeId, { rejectOnEmpty: true })).lotId;
}

function recipeWithParts(id: number): Promise<RecipeModel> {
  return RecipeModel.findByPk(id, { include: [LotModel, BrewerModel, PaperModel], rejectOnEmpty: true });
}

function listItem({ slug, card }: LiveRow): PublicRecipeListItem {
  const { lotName, country, process, baseProcess = null, brewerName, plan, ...more } = parsedJson(card);
  const { houseName, housePlace, region, additions, labelNotes, isDecaffeinated = false } = more;
  return {
    slug,
    lotName,
    country,
    process,
    baseProcess,
    isDecaffeinated,
    brewerName,
    plan,
    houseName,
    housePlace,
    region,
    additions,
    labelNotes,
  };
}
