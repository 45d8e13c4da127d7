// Apart from the advice: a page offers these before it has fetched the model.

/** What somebody at home may find in the cup. */
export const KITCHEN_TASTES = ['right', 'sour', 'bitter', 'weak', 'strong'] as const;
export type KitchenTaste = (typeof KITCHEN_TASTES)[number];

export const KITCHEN_TASTE_WORDS: Record<KitchenTaste, string> = {
  right: 'right',
  sour: 'sour, thin',
  bitter: 'bitter, dry',
  weak: 'too weak',
  strong: 'too strong',
};
