import { PLAN } from '../input/shapes.js';
import { jsonSchemaOf, type JsonSchema } from '../input/jsonSchema.js';
import { fields, nullable, shapeFault } from '../input/shape.js';
import { failure, success, type Failure, type Result } from '../result.js';
import type { BrewPlan } from './plan.js';

/** How a recipe leaves the house as a file, and comes into another: its plan in full, all else in words. */
export interface RecipeFile {
  lot: string;
  versionNumber: number;
  note: string;
  brewer: string;
  paper: string;
  grinder: string;
  /** On that grinder; `null` where it cannot be said. */
  grinderSetting: number | null;
  secondSetting: number | null;
  water: string | null;
  kettle: string | null;
  plan: BrewPlan;
}

export type RecipeFileReason = 'not-json' | 'other-format' | 'newer-format' | 'incomplete';

const FORMAT = 'vendu recipe';
/** Grows when a reader of before would misread what is written. */
const FORMAT_VERSION = 1;
const SHAPE = fields({
  lot: 'text',
  versionNumber: 'number',
  note: 'text',
  brewer: 'text',
  paper: 'text',
  grinder: 'text',
  grinderSetting: nullable('number'),
  secondSetting: nullable('number'),
  water: nullable('text'),
  kettle: nullable('text'),
  plan: PLAN,
});

/** The text of a recipe's file: JSON, every figure in the unit that its name says. */
export function recipeFileText(recipe: RecipeFile): string {
  return `${JSON.stringify({ format: FORMAT, formatVersion: FORMAT_VERSION, ...recipe }, null, 2)}\n`;
}

/** What a recipe's file looks like, for others' programs: all that is asked of it before its plan is looked at. */
export function recipeFileSchema(): JsonSchema {
  const { properties, required } = jsonSchemaOf(SHAPE) as {
    properties: Record<string, unknown>;
    required: string[];
  };
  return {
    $schema: 'https://json-schema.org/draft/2020-12/schema',
    title: 'A recipe of Vendu',
    description:
      'Every figure is in the unit that its name says: doseG in grams, kettleC in °C, startS in seconds.',
    type: 'object',
    properties: {
      format: { const: FORMAT },
      formatVersion: { type: 'number', maximum: FORMAT_VERSION },
      ...properties,
    },
    required: ['format', 'formatVersion', ...required],
  };
}

/** Reads what `recipeFileText` wrote. Whether the plan can be brewed is another question: `planFaults` answers it. */
export function readRecipeFile(text: string): Result<RecipeFile, Failure<RecipeFileReason>> {
  const given = parsed(text);
  if (given === null) return failure('not-json', 'This is not a recipe file: it is no JSON.');
  if (given['format'] !== FORMAT) return failure('other-format', 'This is not a recipe file.');
  const { format: _, formatVersion, ...recipe } = given;
  if (typeof formatVersion !== 'number' || formatVersion > FORMAT_VERSION) {
    return failure('newer-format', 'This recipe file was written by a newer version.');
  }
  const fault = shapeFault(recipe, SHAPE);
  if (fault) return failure('incomplete', `This recipe file is incomplete: ${fault.message}`);
  return success(recipe as unknown as RecipeFile);
}

/** @returns `null` for what is no JSON, or no object */
function parsed(text: string): Record<string, unknown> | null {
  try {
    const value: unknown = JSON.parse(text);
    return typeof value === 'object' && value !== null ? (value as Record<string, unknown>) : null;
  } catch {
    return null;
  }
}
