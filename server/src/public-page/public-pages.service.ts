import { Injectable } from '@nestjs/common';
import { planChanges } from '@vendu/core';
import type { PublicPageView } from '@vendu/contract';
import { BrewerModel } from '../kit/brewer.model.js';
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
    const recipe = await RecipeModel.findOne({ where: { slug } });
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
        isSuperseded: asked !== live && card.versionNumber !== live.card?.versionNumber,
        editions: await editionsBeside(recipe),
        versions: versionsOf(rows),
      },
    };
  }
}

/** Other recipes of the lot that are public. */
async function editionsBeside({ id, lotId }: RecipeModel): Promise<PublicPageView['editions']> {
  const recipes = await RecipeModel.findAll({ where: { lotId }, include: [BrewerModel], order: ['id'] });
  const live = await PublicationModel.findAll({
    where: { recipeId: recipes.map((recipe): number => recipe.id), withdrawnAt: null },
    attributes: ['recipeId'],
  });
  return recipes.flatMap((recipe) =>
    recipe.id !== id && recipe.slug !== null && live.some(({ recipeId }) => recipeId === recipe.id)
      ? [{ slug: recipe.slug, brewerName: recipe.brewer.name }]
      : [],
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
