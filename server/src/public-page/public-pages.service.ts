import { Injectable } from '@nestjs/common';
import { planChanges } from '@vendu/core';
import type { PublicLotView, PublicPageView, PublicRecipeView } from '@vendu/contract';
import { LotModel } from '../lots/lot.model.js';
import { PublicationModel } from '../publications/publication.model.js';
import { RecipeModel } from '../recipes/recipe.model.js';

/** A card was there, and was withdrawn. */
export interface RecalledCard {
  lotName: string;
  houseName: string;
  recalledAt: Date;
}

@Injectable()
export class PublicPagesService {
  /**
   * The page of a card.
   *
   * @param versionNumber - of an older one; the one that is public where left out
   * @returns `null` where nothing was ever public there
   */
  async page(
    slug: string,
    versionNumber?: number,
  ): Promise<{ view: PublicPageView } | { recalled: RecalledCard } | null> {
    const recipe = await RecipeModel.findOne({ where: { slug }, include: [LotModel] });
    if (!recipe) return null;
    const rows = await PublicationModel.findAll({ where: { recipeId: recipe.id }, order: [['id', 'DESC']] });
    const live = rows.find(({ withdrawnAt }) => withdrawnAt === null);
    const asked =
      versionNumber === undefined
        ? (live ?? rows[0])
        : rows.find(({ card }) => card?.versionNumber === versionNumber);
    if (!asked?.card) return null;
    const { card } = asked;
    // Nothing of a recipe is shown as one to brew that nobody stands behind any more.
    if (!live || asked.isRecalled) {
      const { lotName, houseName } = card;
      return { recalled: { lotName, houseName, recalledAt: asked.withdrawnAt ?? asked.createdAt } };
    }
    return {
      view: {
        card: { ...card, slug, publishedAt: asked.createdAt.toISOString() },
        standing: asked !== live && card.versionNumber !== live.card?.versionNumber ? 'superseded' : 'public',
        editions: await editionsBeside(recipe),
        lotSlug: recipe.lot.publicSlug,
        versions: versionsOf(rows),
      },
    };
  }

  /**
   * The page of a lot.
   *
   * @returns `null` where nothing of the lot was ever public
   */
  async lotPage(publicSlug: string): Promise<PublicLotView | { recalled: RecalledCard } | null> {
    const lot = await LotModel.findOne({ where: { publicSlug } });
    if (!lot) return null;
    const editions = (await liveCards(lot.id)).map(({ card }) => card);
    if (editions.length > 0) return { editions };
    const recipes = await RecipeModel.findAll({ where: { lotId: lot.id }, attributes: ['id'] });
    const last = await PublicationModel.findOne({
      where: { recipeId: recipes.map(({ id }): number => id) },
      order: [['withdrawnAt', 'DESC']],
    });
    if (!last?.card) return null;
    const { lotName, houseName } = last.card;
    return { recalled: { lotName, houseName, recalledAt: last.withdrawnAt ?? last.createdAt } };
  }
}

/** Cards of a lot that are public, with the recipes they are of, in the order in which those were begun. */
async function liveCards(lotId: number): Promise<{ recipe: RecipeModel; card: PublicRecipeView }[]> {
  const recipes = await RecipeModel.findAll({ where: { lotId }, order: ['id'] });
  const live = await PublicationModel.findAll({
    where: { recipeId: recipes.map(({ id }): number => id), withdrawnAt: null },
  });
  return recipes.flatMap((recipe) => {
    const row = live.find(({ recipeId }) => recipeId === recipe.id);
    if (!row?.card || recipe.slug === null) return [];
    const card = { ...row.card, slug: recipe.slug, publishedAt: row.createdAt.toISOString() };
    return [{ recipe, card }];
  });
}

async function editionsBeside({ id, lotId }: RecipeModel): Promise<PublicPageView['editions']> {
  return (await liveCards(lotId)).flatMap(({ recipe, card: { slug, brewerName, edition } }) =>
    recipe.id === id ? [] : [{ slug, brewerName, name: edition?.name ?? '' }],
  );
}

/** Each version once, by its newest card, with what changed in its plan from the version before. */
function versionsOf(rows: readonly PublicationModel[]): PublicPageView['versions'] {
  const cards = rows.flatMap(({ card, isRecalled, createdAt }) =>
    card && !isRecalled ? [{ card, createdAt }] : [],
  );
  const newest = cards.filter(
    ({ card }, index) =>
      cards.findIndex((other) => other.card.versionNumber === card.versionNumber) === index,
  );
  return newest.map(({ card, createdAt }, index) => {
    const before = newest[index + 1];
    return {
      number: card.versionNumber,
      publishedAt: createdAt.toISOString(),
      changes: before ? planChanges({ from: before.card.plan, to: card.plan }) : [],
    };
  });
}
