import type { Shape } from './shape.js';

/** A part of a JSON Schema. */
export type JsonSchema = Readonly<Record<string, unknown>>;

const PLAIN = { number: 'number', text: 'string', 'yes or no': 'boolean' } as const;

/** A shape as others' programs can check it. Source of the words: JSON Schema, draft 2020-12. */
export function jsonSchemaOf(shape: Shape): JsonSchema {
  if (typeof shape === 'string') return { type: PLAIN[shape] };
  if ('optional' in shape) return jsonSchemaOf(shape.optional);
  if ('nullable' in shape) return { anyOf: [jsonSchemaOf(shape.nullable), { type: 'null' }] };
  if ('choice' in shape) return { enum: shape.choice };
  if ('oneOf' in shape) return { anyOf: shape.oneOf.map(jsonSchemaOf) };
  if ('list' in shape) return { type: 'array', items: jsonSchemaOf(shape.list) };
  if ('kinds' in shape) {
    return {
      anyOf: Object.entries(shape.kinds).map(([kind, fields]) => {
        const { properties, required } = objectOf(fields);
        return {
          type: 'object',
          properties: { ...properties, kind: { const: kind } },
          required: [...new Set(['kind', ...required])],
        };
      }),
    };
  }
  return { type: 'object', ...objectOf(shape.fields) };
}

function objectOf(fields: Readonly<Record<string, Shape>>) {
  const entries = Object.entries(fields);
  return {
    properties: Object.fromEntries(entries.map(([name, each]) => [name, jsonSchemaOf(each)])),
    required: entries
      .filter(([, each]) => typeof each === 'string' || !('optional' in each))
      .map(([name]) => name),
  };
}
