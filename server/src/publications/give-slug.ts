import { UniqueConstraintError, type Sequelize } from 'sequelize';
import { LotModel } from '../lots/lot.model.js';
import { RecipeModel } from '../recipes/recipe.model.js';
import { slugOf } from './slug.js';

/** A recipe's address, for as long as it is. Needs `lot` and `brewer` loaded. */
export function giveRecipeSlug(recipe: RecipeModel): Promise<void> {
  return firstFree(
    `${recipe.lot.name} ${recipe.brewer.name}`,
    async (slug) => (await RecipeModel.count({ where: { slug } })) > 0,
    (slug) => recipe.update({ slug }),
  );
}

/** The address of a lot's page, for as long as it is. */
export function giveLotSlug(sequelize: Sequelize, lot: LotModel): Promise<void> {
  return firstFree(
    lot.name,
    async (publicSlug) => (await LotModel.count({ where: { publicSlug } })) > 0,
    // No change of its facts: whoever has them open may still save.
    (publicSlug) =>
      sequelize.query('UPDATE lots SET public_slug = :publicSlug WHERE id = :id', {
        replacements: { publicSlug, id: lot.id },
      }),
  );
}

/** Two of one name may ask for one address at the same moment: the later one takes the next. */
async function firstFree(
  words: string,
  isTaken: (slug: string) => Promise<boolean>,
  take: (slug: string) => Promise<unknown>,
): Promise<void> {
  const base = slugOf(words);
  for (let number = 1; ; number++) {
    const slug = number === 1 ? base : `${base}-${number}`;
    if (await isTaken(slug)) continue;
    try {
      await take(slug);
      return;
    } catch (error) {
      if (!(error instanceof UniqueConstraintError)) throw error;
    }
  }
}
