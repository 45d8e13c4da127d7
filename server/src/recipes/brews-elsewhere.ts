import { Op } from 'sequelize';
import { readBrewsOf, type BrewListItem, type BrewsElsewhere } from '@vendu/contract';
import { lotBrews, type BrewKit, type MeasuredBrew } from '@vendu/core';
import { BrewerModel } from '../kit/brewer.model.js';
import type { KitService } from '../kit/kit.service.js';
import { RecipeModel } from './recipe.model.js';

/** The brews of a lot by its other recipes, those that count. */
export async function brewsElsewhere(
  { lotId, id }: { lotId: number; id: number | null },
  trail: readonly BrewListItem[],
): Promise<BrewsElsewhere[]> {
  const counting = trail.filter(({ recipeId, isSetAside }) => recipeId !== id && !isSetAside);
  if (counting.length === 0) return [];
  const recipes = await RecipeModel.findAll({
    where: { lotId, id: { [Op.in]: counting.map(({ recipeId }) => recipeId) } },
    include: [BrewerModel],
    order: ['id'],
  });
  return recipes.map(({ id: recipeId, brewerId, paperId, brewer }) => ({
    recipeId,
    brewerId,
    paperId,
    brewerName: brewer.name,
    brews: counting.filter((brew) => brew.recipeId === recipeId),
  }));
}

/** What those brews say to somebody who begins with a kit. */
export async function knownElsewhere(
  here: BrewKit,
  elsewhere: readonly BrewsElsewhere[],
  kit: KitService,
): Promise<MeasuredBrew[]> {
  const inKit = await Promise.all(
    elsewhere.map(async ({ brewerId, paperId, brews }) => ({
      name: `${brewerId} ${paperId}`,
      kit: await kit.brewKit(await kit.brewer(brewerId), await kit.paper(paperId)),
      brews: readBrewsOf(brews),
    })),
  );
  return lotBrews(here, [], inKit);
}
