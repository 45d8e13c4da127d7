import type { RecipeListItem } from '@vendu/contract';

/**
 * How the recipes of a lot are told apart: by brewer, and by paper or number where the brewer is not enough.
 *
 * @returns `null` where there is one alone and no name is needed
 */
export function recipeNames(recipes: readonly RecipeListItem[]): ReadonlyMap<number, string> | null {
  if (recipes.length < 2) return null;
  return new Map(
    recipes.map(({ id, brewerName, paperName }) => {
      const sameBrewer = recipes.filter((other) => other.brewerName === brewerName);
      const samePaper = sameBrewer.filter((other) => other.paperName === paperName);
      if (sameBrewer.length === 1) return [id, brewerName];
      if (samePaper.length === 1) return [id, `${brewerName}, ${paperName}`];
      return [
        id,
        `${brewerName}, ${paperName}, recipe ${samePaper.findIndex((other) => other.id === id) + 1}`,
      ];
    }),
  );
}
