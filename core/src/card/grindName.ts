/** Sizes at which the words for a grind change, um (common practice for filter; bounds assumed). */
const NAMES: readonly (readonly [belowUm: number, name: string])[] = [
  [500, 'fine'],
  [650, 'medium fine'],
  [800, 'medium'],
  [950, 'medium coarse'],
];

/** A grind in the words that every grinder's booklet uses. */
export function grindName(grindUm: number): string {
  return NAMES.find(([belowUm]) => grindUm < belowUm)?.[1] ?? 'coarse';
}
