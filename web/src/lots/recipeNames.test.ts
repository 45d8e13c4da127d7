import { describe, expect, it } from 'vitest';
import type { RecipeListItem } from '@vendu/contract';
import { PLAN } from '../testing/fixtures';
import { recipeNames } from './recipeNames';

const item = (id: number, brewerName: string, paperName: string): RecipeListItem => ({
  id,
  lotId: 3,
  brewerName,
  paperName,
  latestVersion: 1,
  plan: PLAN,
  accepted: false,
  signedOff: false,
  publishedSlug: null,
});
const namesOf = (...recipes: RecipeListItem[]) => [...(recipeNames(recipes)?.values() ?? [])];

describe('the recipes of a lot', () => {
  it('need no name where there is one alone', () => {
    expect(recipeNames([item(1, 'Cone', 'white')])).toBeNull();
  });

  it('are told apart by brewer, then by paper, then by number', () => {
    expect(namesOf(item(1, 'Cone', 'white'), item(2, 'Flat', 'white'))).toEqual(['Cone', 'Flat']);
    expect(namesOf(item(1, 'Cone', 'white'), item(2, 'Cone', 'thick'))).toEqual([
      'Cone, white',
      'Cone, thick',
    ]);
    expect(namesOf(item(4, 'Cone', 'white'), item(7, 'Cone', 'white'))).toEqual([
      'Cone, white, recipe 1',
      'Cone, white, recipe 2',
    ]);
  });
});
