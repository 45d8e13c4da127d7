import type { Sequelize } from 'sequelize-typescript';
import * as core from '@vendu/core';
import { BrewReader } from '../brews/brew-reader.js';
import type { Computation } from '../computation/computation.js';
import { BrewerModel } from '../kit/brewer.model.js';
import { HomeResultsService } from '../home-results/home-results.service.js';
import { GrinderModel } from '../kit/grinder.model.js';
import { grinderView } from '../kit/kit-views.js';
import { KitService } from '../kit/kit.service.js';
import { PaperModel } from '../kit/paper.model.js';
import { LotModel } from '../lots/lot.model.js';
import { CardContentsService, proofOn } from '../publications/card-contents.js';
import { PublicationModel } from '../publications/publication.model.js';
import { composeCard } from '../publications/published-card.js';
import { RecipeVersionModel } from '../recipes/recipe-version.model.js';
import { SIGNATURE_PARTS } from '../recipes/signed-by.js';
import { RecipeModel } from '../recipes/recipe.model.js';
import { Writing } from '../writing/writing.js';

/** On this thread: nobody else is waiting while the demo is loaded. */
const ON_THIS_THREAD = {
  run: (name: 'cardModel', input: Parameters<typeof core.cardModel>[0]) => Promise.resolve(core[name](input)),
} as unknown as Computation;

/** Writes the cards of what the scenario publishes, from its records, as publishing does outside the demo. */
export async function loadCards(sequelize: Sequelize): Promise<void> {
  const kit = new KitService(new Writing(sequelize));
  const contents = new CardContentsService(
    kit,
    new BrewReader(sequelize),
    ON_THIS_THREAD,
    new HomeResultsService(),
  );
  for (const row of await PublicationModel.findAll({ where: { card: null } })) {
    const recipe = await RecipeModel.findByPk(row.recipeId, {
      include: [LotModel, BrewerModel, PaperModel, GrinderModel],
      rejectOnEmpty: true,
    });
    const version = await RecipeVersionModel.findByPk(row.recipeVersionId, {
      include: [SIGNATURE_PARTS],
      rejectOnEmpty: true,
    });
    await row.update({
      card: {
        ...composeCard({
          recipe,
          version,
          house: await kit.house(),
          grinder: grinderView(recipe.grinder),
          introduction: row.introduction,
        }),
        ...(await contents.of(recipe, version)),
        ...proofOn(version.proof),
      },
    });
  }
}
