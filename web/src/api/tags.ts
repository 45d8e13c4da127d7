/** What a change of one thing touches in what was read before. What it is answered is shown at once and not read again. */

/** Lists that a thing may stand in, or leave. */
export const LIST = 'list';

const ofLot = (lotId: number) => `of lot ${lotId}`;
const kinOf = (lotId: number) => `like lot ${lotId}`;

export const lotTags = (lotId: number) => [{ type: 'Lot' as const, id: lotId }];

/** Lots like one follow from its facts and from what was made of them: a brew of its own changes none of them. */
export const kinTags = (lotId: number) => [
  { type: 'Lot' as const, id: kinOf(lotId) },
  { type: 'Recipe' as const, id: LIST },
];

export const recipeTags = (recipe: { id: number; lot: { id: number } }) => [
  { type: 'Recipe' as const, id: recipe.id },
  { type: 'Recipe' as const, id: ofLot(recipe.lot.id) },
];

export const brewTags = (brew: { id: number; lot: { id: number } }) => [
  { type: 'Brew' as const, id: brew.id },
  { type: 'Brew' as const, id: ofLot(brew.lot.id) },
];

/** A brew changed: the page of its lot, the lists, and what the lot's recipes learn from it. */
export const touchedByBrew = ({ lot }: { lot: { id: number } }) => [
  { type: 'Lot' as const, id: lot.id },
  { type: 'Lot' as const, id: LIST },
  { type: 'Recipe' as const, id: ofLot(lot.id) },
];

/** A recipe changed: the page of its lot, the lists, and what is public. */
export const touchedByRecipe = ({ lot }: { lot: { id: number } }) => [
  { type: 'Lot' as const, id: lot.id },
  { type: 'Lot' as const, id: LIST },
  { type: 'Recipe' as const, id: LIST },
  'Published' as const,
];

/** The facts of a lot changed: its recipes, its brews and its cards say them too. */
export const touchedByFacts = (lotId: number) => [
  { type: 'Lot' as const, id: kinOf(lotId) },
  { type: 'Lot' as const, id: LIST },
  { type: 'Recipe' as const, id: ofLot(lotId) },
  { type: 'Brew' as const, id: ofLot(lotId) },
  'Published' as const,
];
