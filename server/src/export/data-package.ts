import type { ExportedTable, Field } from './exported-tables.js';

/** What does not fit into a table: a file, and what it holds. */
export interface OtherFile {
  path: string;
  title: string;
}

const TRACE_FIELDS: Field[] = [
  { name: 'brew_id', type: 'integer', isRequired: true },
  {
    name: 'scale',
    type: 'string',
    isRequired: true,
    description: 'all: under brewer and server; server: under the server alone',
  },
  { name: 'at_ms', type: 'integer', isRequired: true, description: 'since the first pour' },
  { name: 'mass_g', type: 'number', isRequired: true },
];
export const TRACES: ExportedTable = {
  name: 'traces',
  fields: TRACE_FIELDS,
  primaryKey: ['brew_id', 'scale', 'at_ms'],
  foreignKeys: [{ field: 'brew_id', table: 'brews', column: 'id' }],
};

/** The description of an export, as Frictionless Data Package and Table Schema (version 1) have it. */
export function dataPackage(tables: readonly ExportedTable[], others: readonly OtherFile[], created: Date) {
  const exported = new Set(tables.map(({ name }) => name));
  return {
    name: 'vendu-lab',
    title: 'A lab of Vendu: lots, recipes, brews, and what was measured and tasted',
    profile: 'data-package',
    created: created.toISOString(),
    resources: [
      ...tables.map((table) => ({
        name: table.name.replaceAll('_', '-'),
        path: `${table.name}.csv`,
        profile: 'tabular-data-resource',
        format: 'csv',
        mediatype: 'text/csv',
        encoding: 'utf-8',
        schema: schemaOf(table, exported),
      })),
      ...others.map(({ path, title }) => ({ name: path.replaceAll(/[^a-z0-9]+/g, '-'), path, title })),
    ],
  };
}

function schemaOf({ fields, primaryKey, foreignKeys }: ExportedTable, exported: ReadonlySet<string>) {
  return {
    fields: fields.map(({ name, type, isRequired, description }) => ({
      name,
      type,
      ...(description ? { description } : {}),
      // An empty text is a text, and missing values are empty: of texts nothing can be required.
      ...(isRequired && type !== 'string' ? { constraints: { required: true } } : {}),
    })),
    missingValues: [''],
    ...(primaryKey.length > 0 ? { primaryKey } : {}),
    foreignKeys: foreignKeys
      .filter(({ table }) => exported.has(table))
      .map(({ field, table, column }) => ({
        fields: field,
        reference: { resource: table.replaceAll('_', '-'), fields: column },
      })),
  };
}
