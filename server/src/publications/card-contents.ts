import { Injectable } from '@nestjs/common';
import { recordedBrew, trialWords, type Proof } from '@vendu/core';
import { readBrewsOf, type CardTrial, type PublishedCard } from '@vendu/contract';
import { BrewReader } from '../brews/brew-reader.js';
import { Computation } from '../computation/computation.js';
import { HomeResultsService } from '../home-results/home-results.service.js';
import { KitService } from '../kit/kit.service.js';
import { ChangeModel } from '../recipes/change.model.js';
import { RecipeVersionModel } from '../recipes/recipe-version.model.js';
import type { RecipeModel } from '../recipes/recipe.model.js';

/** What a card says beyond its recipe. */
type CardContents = Pick<PublishedCard, 'grinders' | 'water' | 'trials' | 'model'>;

/** Gathers what helps a card in another kitchen: grinders, water, the lot's own trials, and what its brews taught. */
@Injectable()
export class CardContentsService {
  constructor(
    private readonly kit: KitService,
    private readonly brews: BrewReader,
    private readonly computation: Computation,
    private readonly homeResults: HomeResultsService,
  ) {}

  async of(recipe: RecipeModel, version: RecipeVersionModel): Promise<CardContents> {
    const [{ grinders, waters }, trials, model, told] = await Promise.all([
      this.kit.kit(),
      trialsOf(recipe),
      this.modelOf(recipe, version),
      this.homeResults.ofRecipe(recipe.id),
    ]);
    const water = waters.find(({ id }) => id === recipe.waterId);
    return {
      grinders: grinders.map(
        ({ name, burrSet, points, settingStep, finestSetting, coarsestSetting, words }) => {
          const called = `${name}, ${burrSet}`;
          const rightAt = told.grinders.find(({ grinder }) => grinder === called)?.rightAt;
          return {
            name: called,
            points,
            settingStep,
            finestSetting,
            coarsestSetting,
            words,
            ...(rightAt ? { rightAt } : {}),
          };
        },
      ),
      ...(water
        ? {
            water: {
              name: water.name,
              hardnessMgPerL: water.hardnessMgPerL,
              alkalinityMgPerL: water.alkalinityMgPerL,
            },
          }
        : {}),
      ...(trials.length > 0 ? { trials } : {}),
      ...(model ? { model } : {}),
    };
  }

  private async modelOf(
    recipe: RecipeModel,
    { plan }: RecipeVersionModel,
  ): Promise<PublishedCard['model'] | null> {
    const [brewer, paper, trail] = await Promise.all([
      this.kit.brewer(recipe.brewerId),
      this.kit.paper(recipe.paperId),
      this.brews.ofLot(recipe.lotId),
    ]);
    const kit = await this.kit.brewKit(brewer, paper);
    const measured = readBrewsOf(trail.filter(({ recipeId }) => recipeId === recipe.id)).map((brew) =>
      recordedBrew(brew, kit),
    );
    if (measured.length === 0) return null;
    const found = await this.computation.run('cardModel', { plan, kit, brews: measured });
    return found && { ...found, kit };
  }
}

/** Changes of this recipe that were made against a taste, and whether it was gone after. */
async function trialsOf(recipe: RecipeModel): Promise<CardTrial[]> {
  const versions = await RecipeVersionModel.findAll({ where: { recipeId: recipe.id } });
  const changes = await ChangeModel.findAll({
    where: { recipeVersionId: versions.map(({ id }) => id) },
    order: ['id'],
  });
  return changes.flatMap(({ recipeVersionId, expectation, seen }) => {
    const version = versions.find(({ id }) => id === recipeVersionId);
    const before = versions.find(({ number }) => number === version?.basedOn);
    if (!version || !before || !seen) return [];
    const change = trialWords({ from: before.plan, to: version.plan });
    if (change === null) return [];
    return expectation.hopes.flatMap((hope, index): CardTrial[] => {
      const outcome = seen.hopes[index];
      return hope.kind === 'gone' && outcome !== undefined && outcome !== 'not-told'
        ? [{ finding: hope.finding, change, came: outcome === 'came' }]
        : [];
    });
  });
}

/** What was proved, without names: who brewed it is the lab's own matter. Nothing where nothing was. */
export function proofOn(proof: Proof | null): Pick<PublishedCard, 'proof'> {
  if (!proof?.strength || !proof.yield || !proof.roastAgeDays) return {};
  const { strength, yield: extraction, drain, hands, grinders, roastAgeDays } = proof;
  return {
    proof: {
      strength,
      yield: extraction,
      drain,
      hands: hands.length,
      grinders: grinders.length,
      roastAgeDays,
    },
  };
}
