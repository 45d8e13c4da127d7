import { Ajv2020 } from 'ajv/dist/2020.js';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { anyPlan } from '../testing/anyPlan.js';
import { PLAN } from '../testing/brews.js';
import { valueOf } from '../result.js';
import { readRecipeFile, recipeFileSchema, recipeFileText, type RecipeFile } from './recipeFile.js';

const RECIPE: RecipeFile = {
  lot: 'Ridge',
  versionNumber: 3,
  note: 'finer, "once more"',
  brewer: 'Cone',
  paper: 'White',
  grinder: 'Mill',
  grinderSetting: 5.5,
  secondSetting: null,
  water: 'Tap, mixed',
  kettle: null,
  plan: PLAN,
};
const reasonOf = (text: string) => {
  const read = readRecipeFile(text);
  return read.ok ? null : read.reason;
};
const changed = (change: object) => JSON.stringify({ ...JSON.parse(recipeFileText(RECIPE)), ...change });

describe('the file of a recipe', () => {
  it('says format, kit and plan, each figure under a name with its unit', () => {
    expect(JSON.parse(recipeFileText(RECIPE))).toMatchObject({
      format: 'vendu recipe',
      formatVersion: 1,
      brewer: 'Cone',
      plan: { doseG: PLAN.doseG, kettleC: PLAN.kettleC, grindUm: PLAN.grindUm },
    });
  });

  it('is read back as the recipe it was, whatever its plan asks for', () => {
    fc.assert(
      fc.property(anyPlan, fc.string(), (plan, note) => {
        const recipe = { ...RECIPE, plan, note };
        expect(valueOf(readRecipeFile(recipeFileText(recipe)))).toEqual(recipe);
      }),
    );
  });

  it('of another kind, of a newer version or with a hole in it is refused, and says why', () => {
    expect(reasonOf('dose 16 g')).toBe('not-json');
    expect(reasonOf('17')).toBe('not-json');
    expect(reasonOf(changed({ format: 'a shopping list' }))).toBe('other-format');
    expect(reasonOf(changed({ formatVersion: 2 }))).toBe('newer-format');
    const hole = readRecipeFile(changed({ plan: { ...PLAN, kettleC: '94' } }));
    expect(hole).toMatchObject({ ok: false, reason: 'incomplete' });
    expect(hole.ok ? '' : hole.message).toContain('plan.kettleC');
  });

  it('is described by a JSON Schema that takes what is read, and refuses what is not', () => {
    // Ajv, a reader of JSON Schema in its strict mode: what it does not understand it does not pass over.
    const takes = new Ajv2020({ strict: true, allowUnionTypes: true }).compile(recipeFileSchema());
    fc.assert(
      fc.property(anyPlan, (plan) => {
        const file = JSON.parse(recipeFileText({ ...RECIPE, plan })) as Record<string, unknown>;
        expect(takes(file)).toBe(true);
        for (const field of Object.keys(file)) {
          const { [field]: _, ...without } = file;
          expect([field, takes(without)]).toEqual([field, false]);
        }
        for (const [field, value] of Object.entries(plan)) {
          const broken = { ...file, plan: { ...plan, [field]: typeof value === 'string' ? 1 : 'much' } };
          expect([field, takes(broken)]).toEqual([field, readRecipeFile(JSON.stringify(broken)).ok]);
        }
      }),
    );
    expect(takes(JSON.parse(changed({ formatVersion: 2 })))).toBe(false);
    expect(takes(JSON.parse(changed({ format: 'a shopping list' })))).toBe(false);
  });
});
