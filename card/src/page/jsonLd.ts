import { cardWords, planAllWaterG } from '@vendu/core';
import type { PublicRecipeView } from '@vendu/contract';
import type { HowToStep, Recipe, WithContext } from 'schema-dts';

/** The card in the vocabulary of schema.org, as a Recipe with its steps, for search and for readers of other make. */
export function recipeJsonLd(card: PublicRecipeView, address: string): WithContext<Recipe> {
  const { plan } = card;
  const { before, steps, after } = cardWords(plan);
  return {
    '@context': 'https://schema.org',
    '@type': 'Recipe',
    '@id': address,
    url: address,
    name: `${card.lotName}, ${card.brewerName}`,
    description: [card.labelNotes, card.introduction].filter(Boolean).join('. '),
    author: { '@type': 'Organization', name: card.houseName },
    datePublished: card.publishedAt,
    recipeCategory: 'Filter coffee',
    recipeYield: '1',
    totalTime: `PT${plan.drawdownS}S`,
    tool: [card.brewerName, card.paper],
    recipeIngredient: [`${plan.doseG} g coffee`, `${planAllWaterG(plan)} g water`],
    recipeInstructions: [...before, ...steps.map(({ words }) => words), ...after].map(
      (text, index): HowToStep => ({
        '@type': 'HowToStep',
        position: index + 1,
        text,
      }),
    ),
  };
}
