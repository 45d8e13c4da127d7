import { cardWords, planAllWaterG } from '@vendu/core';
import type { PublicRecipeView } from '@vendu/contract';
import type { Graph, HowToStep } from 'schema-dts';

/**
 * The card in the vocabulary of schema.org, for search and for readers of other make: what is made of it as a Recipe, and
 * how it is brewed as a HowTo, of the same steps.
 */
export function cardJsonLd(card: PublicRecipeView, address: string): Graph {
  const { plan } = card;
  const { before, steps, after } = cardWords(plan);
  const name = `${card.lotName}, ${card.brewerName}`;
  const totalTime = `PT${plan.drawdownS}S`;
  const howToSteps = [...before, ...steps.map(({ words }) => words), ...after].map(
    (text, index): HowToStep => ({ '@type': 'HowToStep', position: index + 1, text }),
  );
  return {
    '@context': 'https://schema.org',
    '@graph': [
      {
        '@type': 'Recipe',
        '@id': `${address}#recipe`,
        url: address,
        name,
        description: [card.labelNotes, card.introduction].filter(Boolean).join('. '),
        author: { '@type': 'Organization', name: card.houseName },
        datePublished: card.publishedAt,
        recipeCategory: 'Filter coffee',
        recipeYield: '1',
        totalTime,
        recipeIngredient: [`${plan.doseG} g coffee`, `${planAllWaterG(plan)} g water`],
        recipeInstructions: howToSteps,
      },
      {
        '@type': 'HowTo',
        '@id': `${address}#how-to`,
        url: address,
        name: `How to brew ${name}`,
        totalTime,
        tool: [card.brewerName, `${card.paper} paper`, card.grinderName].map((tool) => ({
          '@type': 'HowToTool',
          name: tool,
        })),
        supply: [`${plan.doseG} g coffee`, `${planAllWaterG(plan)} g water`].map((supply) => ({
          '@type': 'HowToSupply',
          name: supply,
        })),
        step: howToSteps,
      },
    ],
  };
}
