import { Injectable } from '@nestjs/common';
import { UniqueConstraintError } from 'sequelize';
import { homeResults } from '@vendu/core';
import type { HomeResultDto, HomeResultsView } from '@vendu/contract';
import { invalidField, notFound } from '../problem/problem-error.js';
import { PublicationModel } from '../publications/publication.model.js';
import { RecipeVersionModel } from '../recipes/recipe-version.model.js';
import { RecipeModel } from '../recipes/recipe.model.js';
import { HomeResultModel } from './home-result.model.js';

/** So many of a recipe are looked at, the newest. */
const LOOKED_AT = 500;

@Injectable()
export class HomeResultsService {
  /** Kept apart from the lab's own evidence: nobody knows how well a kitchen measures. Sent twice, it is kept once. */
  async tell(slug: string, { key, versionNumber, ...told }: HomeResultDto): Promise<void> {
    const recipe = await RecipeModel.findOne({ where: { slug }, attributes: ['id'] });
    const version =
      recipe && (await RecipeVersionModel.findOne({ where: { recipeId: recipe.id, number: versionNumber } }));
    const publication =
      version &&
      (await PublicationModel.findOne({
        where: { recipeVersionId: version.id, isRecalled: false },
        order: [['id', 'DESC']],
      }));
    if (!publication) throw notFound('published recipe');
    // A stranger's words have no place on the lab's pages: only what the card itself lists.
    const isListed = publication.card?.grinders?.some(({ name }) => name === told.grinder) ?? false;
    if (told.grinder !== '' && !isListed) {
      throw invalidField({ field: 'grinder', message: 'This card lists no such grinder; leave it empty.' });
    }
    try {
      await HomeResultModel.create({ ...told, clientKey: key, publicationId: publication.id });
    } catch (error) {
      if (!(error instanceof UniqueConstraintError)) throw error;
    }
  }

  async ofRecipe(recipeId: number): Promise<HomeResultsView> {
    const rows = await HomeResultModel.findAll({
      include: [{ model: PublicationModel, where: { recipeId }, attributes: ['id'] }],
      order: [['id', 'DESC']],
      limit: LOOKED_AT,
    });
    return homeResults(rows);
  }
}
