/** Longest base of a slug; leaves room for a number behind it. */
const LONGEST = 120;

/**
 * A readable address from words: `Kibuye Hill / Cone 02` becomes `kibuye-hill-cone-02`.
 *
 * @returns lower-case letters, digits and single hyphens; `recipe` when nothing readable is left
 */
export function slugOf(words: string): string {
  const slug = words
    .normalize('NFKD')
    .replace(/[\u0300-\u036f]/g, '')
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .slice(0, LONGEST)
    .replace(/^-+|-+$/g, '');
  return slug === '' ? 'recipe' : slug;
}
