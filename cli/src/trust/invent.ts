/** As much of JSON Schema as the server's own document uses. */
export interface Schema {
  $ref?: string;
  type?: string;
  format?: string;
  enum?: unknown[];
  minimum?: number;
  maximum?: number;
  maxLength?: number;
  items?: Schema;
  properties?: Record<string, Schema>;
}

/** Numbers from 0 to 1, the same for the same seed (mulberry32, public domain, from memory). */
export function seeded(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state + 0x6d2b79f5) | 0;
    let mixed = Math.imul(state ^ (state >>> 15), 1 | state);
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed;
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4_294_967_296;
  };
}

const HALF_CHARACTER = '\ud83c';
const ODD_TEXTS = [
  '',
  ' ',
  'x'.repeat(5000),
  HALF_CHARACTER,
  `cut ${HALF_CHARACTER}`,
  '\u0000',
  '\ud83c\udf4b\ud83c\udf4b',
  "'; DROP TABLE lots; --",
  '%',
  '__proto__',
  '=1+1',
  '<script>alert(1)</script>',
  'null',
];
const ODD_MOMENTS = [
  '2026-W05-1',
  '2026-034',
  '2026-02',
  '2026-02-30',
  '0000-00-00',
  '0001-01-01',
  '9999-12-31',
  '+010000-01-01T00:00:00Z',
  '2026-02-01T24:00:00Z',
  '2026-02-01T09:30:60Z',
  '20260201T093000Z',
  '2026-02-01T09:30:00+99:99',
  '1970-01-01T00:00:00Z',
];
const ODD_NUMBERS = [
  0,
  -0,
  -1,
  0.1 + 0.2,
  1e-300,
  1e300,
  2_147_483_648,
  9_007_199_254_740_992,
  -2_147_483_649,
];
const KEY = '6c1f0c3e-2f7b-4b0e-9a59-0d5c8c1d4f7a';

/** What a field may be given: mostly what it asks for, now and then its edges, or something else altogether. */
export class Inventor {
  constructor(
    private readonly random: () => number,
    private readonly schemas: Readonly<Record<string, Schema>>,
  ) {}

  pick<T>(list: readonly T[]): T {
    return list[Math.floor(this.random() * list.length)] as T;
  }

  chance(share: number): boolean {
    return this.random() < share;
  }

  value(schema: Schema, depth = 0): unknown {
    if (this.chance(0.06)) return this.oddity();
    const known = schema.$ref ? this.schemas[schema.$ref.replace('#/components/schemas/', '')] : schema;
    if (!known || depth > 6) return null;
    if (known.enum) return this.pick(known.enum);
    switch (known.type) {
      case 'object':
        return this.object(known, depth);
      case 'array':
        return Array.from({ length: Math.floor(this.random() * 4) }, () =>
          this.value(known.items ?? {}, depth + 1),
        );
      case 'integer':
      case 'number':
        return this.number(known);
      case 'boolean':
        return this.chance(0.5);
      case 'string':
        return this.text(known);
      default:
        return this.oddity();
    }
  }

  /** An id in an address. */
  id(): string {
    if (this.chance(0.85)) return String(1 + Math.floor(this.random() * 14));
    return this.pick([
      '0',
      '-1',
      '1.5',
      'abc',
      '2147483648',
      '99999999999999',
      '1e3',
      '%00',
      '..%2f..',
      "1'",
    ]);
  }

  key(): string {
    if (this.chance(0.7))
      return KEY.replace(
        '6c1f',
        Math.floor(this.random() * 65_536)
          .toString(16)
          .padStart(4, '0'),
      );
    return this.pick([KEY.toUpperCase(), 'no-key', '%ff', '0', '../lots']);
  }

  private object({ properties = {} }: Schema, depth: number): Record<string, unknown> {
    const entries = Object.entries(properties)
      .filter(() => this.chance(0.93))
      .map(([name, schema]): [string, unknown] => [name, this.value(schema, depth + 1)]);
    if (this.chance(0.02)) entries.push([this.pick(['constructor', 'toString', 'colour']), this.oddity()]);
    return Object.fromEntries(entries);
  }

  private number({ type, minimum = -1000, maximum = 1000 }: Schema): number {
    if (this.chance(0.12)) return this.pick([...ODD_NUMBERS, minimum - 1, maximum + 1]);
    if (this.chance(0.25)) return this.pick([minimum, maximum]);
    const value = minimum + this.random() * (maximum - minimum);
    // Ids of what is there, mostly.
    if (type === 'integer' && maximum > 1_000_000_000) return 1 + Math.floor(this.random() * 14);
    return type === 'integer' ? Math.round(value) : Math.round(value * 100) / 100;
  }

  private text({ format, maxLength = 100 }: Schema): string {
    if (format === 'date' || format === 'date-time') {
      if (this.chance(0.3)) return this.pick(ODD_MOMENTS);
      return format === 'date' ? '2026-01-15' : '2026-02-01T09:30:00Z';
    }
    if (format === 'uuid') return KEY;
    if (this.chance(0.15)) return this.pick(ODD_TEXTS);
    if (this.chance(0.1)) return 'ñ'.repeat(maxLength + this.pick([-1, 0, 1]));
    return this.pick(['RW', 'UG', 'Ridge', 'washed', 'sour, thin', 'Côté']);
  }

  private oddity(): unknown {
    if (this.chance(0.15)) return nested(this.pick([20, 2000, 60_000]));
    return this.pick<unknown>([null, [], {}, true, -1, '', 'x', [[]], { a: { b: 1 } }, ...ODD_NUMBERS]);
  }
}

/** Lists in lists, as text: a program that made them one by one would fall before the server does. */
class Nested {
  constructor(readonly text: string) {}
}

function nested(levels: number): Nested {
  return new Nested('['.repeat(levels) + ']'.repeat(levels));
}

/** As JSON, with what is nested put in as it stands. */
export function asJson(body: unknown): string {
  const parts: string[] = [];
  const text = JSON.stringify(body, (_, value: unknown) => {
    if (!(value instanceof Nested)) return value;
    parts.push(value.text);
    return `\u0001${parts.length - 1}\u0001`;
  });
  return text.replace(/"\\u0001(\d+)\\u0001"/g, (_, index: string) => parts[Number(index)] ?? 'null');
}
