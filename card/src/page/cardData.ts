import type { CardGrinder, PublicRecipeView } from '@vendu/contract';

/** What the page's own program works on: of the card, what can be brewed or worked out anew. */
export interface CardData {
  slug: string;
  versionNumber: number;
  plan: PublicRecipeView['plan'];
  grinders: CardGrinder[];
  /** Drain time as proven, s. */
  provenS: number | null;
  /** Left out where no brew of the recipe was measured: the page then fits itself to no kitchen. */
  model: PublicRecipeView['model'] | null;
}

export function cardData(card: PublicRecipeView): CardData {
  const { slug, versionNumber, plan, grinders = [], proof, model = null } = card;
  return { slug, versionNumber, plan, grinders, provenS: proof?.drain?.mean ?? null, model };
}

/** The element that holds it, as JSON. */
export const CARD_DATA_ID = 'card';
