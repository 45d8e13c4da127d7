import type { OutOfRange } from './ranges.js';

/**
 * What an input has to look like before its figures are held against their ranges: numbers that are numbers, lists that
 * are lists, nothing missing.
 */
export type Shape =
  | 'number'
  | 'text'
  | 'yes or no'
  | { readonly optional: Shape }
  | { readonly nullable: Shape }
  | { readonly choice: readonly string[] }
  | { readonly list: Shape }
  | { readonly oneOf: readonly Shape[] }
  | { readonly kinds: Readonly<Record<string, Readonly<Record<string, Shape>>>> }
  | { readonly fields: Readonly<Record<string, Shape>> };

/** May be left out; may be `null` and not left out; one of a few words. */
/* @__NO_SIDE_EFFECTS__ */
export const optional = (shape: Shape): Shape => ({ optional: shape });
/* @__NO_SIDE_EFFECTS__ */
export const nullable = (shape: Shape): Shape => ({ nullable: shape });
/* @__NO_SIDE_EFFECTS__ */
export const choice = (words: readonly string[]): Shape => ({ choice: words });
/* @__NO_SIDE_EFFECTS__ */
export const list = (shape: Shape): Shape => ({ list: shape });
/* @__NO_SIDE_EFFECTS__ */
export const fields = (of: Readonly<Record<string, Shape>>): Shape => ({ fields: of });
/** Any of some shapes; what is wrong is said of the last. */
/* @__NO_SIDE_EFFECTS__ */
export const oneOf = (...shapes: readonly Shape[]): Shape => ({ oneOf: shapes });

/** An object that says by its `kind` which fields it has. */
/* @__NO_SIDE_EFFECTS__ */
export const byKind = (kinds: Readonly<Record<string, Readonly<Record<string, Shape>>>>): Shape => ({
  kinds,
});

/**
 * @param path - name of the value from the outside, `''` for the whole input
 * @returns the first field that is missing or of another kind, or `null`; fields that are not asked for are let be
 */
export function shapeFault(value: unknown, shape: Shape, path = ''): OutOfRange | null {
  if (typeof shape === 'string') return plainFault(value, shape, path);
  if ('optional' in shape) return value === undefined ? null : shapeFault(value, shape.optional, path);
  if ('nullable' in shape) return value === null ? null : shapeFault(value, shape.nullable, path);
  if ('choice' in shape) {
    const isOne = typeof value === 'string' && shape.choice.includes(value);
    return isOne ? null : wrong(value, shape.choice.join(', '), path);
  }
  if ('oneOf' in shape) {
    let fault: OutOfRange | null = null;
    for (const each of shape.oneOf) {
      fault = shapeFault(value, each, path);
      if (fault === null) return null;
    }
    return fault;
  }
  if ('list' in shape) {
    if (!Array.isArray(value)) return wrong(value, 'a list', path);
    return firstFault(value.entries(), (item) => [item, shape.list], path);
  }
  if (typeof value !== 'object' || value === null || Array.isArray(value))
    return wrong(value, 'an object', path);
  const given = value as Record<string, unknown>;
  if ('kinds' in shape) {
    const kind = given['kind'];
    const says = typeof kind === 'string' && Object.hasOwn(shape.kinds, kind) ? shape.kinds[kind] : null;
    return shapeFault(value, fields(says ?? { kind: choice(Object.keys(shape.kinds)) }), path);
  }
  return firstFault(Object.entries(shape.fields), (each, field) => [given[field], each], path);
}

function firstFault<K extends string | number, E>(
  entries: Iterable<[K, E]>,
  partOf: (each: E, key: K) => [unknown, Shape],
  path: string,
): OutOfRange | null {
  for (const [key, each] of entries) {
    const [value, shape] = partOf(each, key);
    const fault = shapeFault(value, shape, path === '' ? String(key) : `${path}.${key}`);
    if (fault) return fault;
  }
  return null;
}

function plainFault(value: unknown, shape: 'number' | 'text' | 'yes or no', path: string): OutOfRange | null {
  switch (shape) {
    case 'number':
      return typeof value === 'number' && Number.isFinite(value) ? null : wrong(value, 'a number', path);
    case 'text':
      return typeof value === 'string' ? null : wrong(value, 'text', path);
    case 'yes or no':
      return typeof value === 'boolean' ? null : wrong(value, 'yes or no', path);
  }
}

function wrong(value: unknown, allowed: string, path: string): OutOfRange {
  const field = path === '' ? 'input' : path;
  const found = value === undefined ? 'missing' : describe(value);
  return {
    ok: false,
    reason: 'out-of-range',
    message: `${field} is ${found}; allowed: ${allowed}.`,
    field,
    value: typeof value === 'number' ? value : NaN,
    allowed,
  };
}

function describe(value: unknown): string {
  if (typeof value === 'number' || value === null) return String(value);
  if (typeof value === 'string') return `"${value.slice(0, 40)}"`;
  return Array.isArray(value) ? 'a list' : typeof value;
}

/**
 * A function as the core hands it out: it refuses what is not even of the shape of its input.
 *
 * Free of side effects, as is each word of a shape: a page that uses one guarded function does not load them all.
 */
/* @__NO_SIDE_EFFECTS__ */
export function guarded<I, A>(shape: Shape, answer: (input: I) => A): (input: I) => A | OutOfRange {
  return (input) => shapeFault(input, shape) ?? answer(input);
}
