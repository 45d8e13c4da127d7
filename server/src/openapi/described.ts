import type { OpenAPIObject } from '@nestjs/swagger';
import { REPORTS } from '@vendu/core';
import * as contract from '@vendu/contract';
import { ACCESS } from '../session/access.js';
import { BODY_EXAMPLES, PATH_EXAMPLES } from './examples.js';
import { SUMMARIES } from './summaries.js';

type Operation = NonNullable<OpenAPIObject['paths'][string]['get']>;
type Parameter = Extract<NonNullable<Operation['parameters']>[number], { in: unknown }>;
type Schema = NonNullable<Parameter['schema']>;
type OwnSchema = Exclude<Schema, { $ref: string }>;

const METHODS = ['get', 'post', 'put', 'patch', 'delete'] as const;

/** Parts of an address that a class checks, which the framework does not look into. */
const PATH_SCHEMAS: Readonly<Record<string, OwnSchema>> = {
  key: { type: 'string', format: 'uuid' },
  report: { type: 'string', enum: [...REPORTS] },
};

/** What may stand behind the question mark, by the class that checks it. */
const QUERIES: Readonly<Record<string, string>> = {
  LotsController_page: 'LotsQueryDto',
  FilesController_lots: 'LotsQueryDto',
  PublicationsController_page: 'PublishedQueryDto',
  RunningBrewsController_clear: 'ClearRunningQueryDto',
  ReportsController_read: 'ReportQueryDto',
  ReportsController_table: 'ReportQueryDto',
};

const PROBLEM: OwnSchema = {
  type: 'object',
  required: ['title', 'status', 'detail'],
  properties: {
    type: { type: 'string' },
    title: { type: 'string' },
    status: { type: 'integer' },
    detail: { type: 'string' },
    errors: {
      type: 'array',
      items: {
        type: 'object',
        properties: { field: { type: 'string' }, message: { type: 'string' }, allowed: { type: 'string' } },
      },
    },
  },
};

/**
 * The document with what the framework cannot know: what each operation does, who may, what a refusal looks like, and
 * examples that the tests send. What no operation names is left out.
 */
export function described(document: OpenAPIObject): OpenAPIObject {
  const known = { ...document.components?.schemas, Problem: PROBLEM } as Record<string, OwnSchema>;
  const schemas = Object.fromEntries(Object.entries(known).map(asSent));
  for (const [path, item] of Object.entries(document.paths)) {
    for (const method of METHODS) {
      const operation = item[method];
      if (operation) item[method] = describedOperation(path, operation, schemas);
    }
  }
  return {
    ...document,
    security: [{ cookie: [] }, { bearer: [] }],
    components: { ...document.components, schemas: withoutUnnamed(schemas, document.paths) },
  };
}

/** A field that its class fills in by itself need not be sent. */
function asSent([name, schema]: [string, OwnSchema]): [string, OwnSchema] {
  const dto = (contract as Record<string, unknown>)[name];
  if (typeof dto !== 'function' || !schema.required) return [name, schema];
  const filled = new (dto as new () => Record<string, unknown>)();
  const required = schema.required.filter((field) => filled[field] === undefined);
  const { required: _, ...rest } = schema;
  return [name, required.length > 0 ? { ...rest, required } : rest];
}

/** Parts of an address and of a query stand with their operations, and what others are made of with those. */
function withoutUnnamed(schemas: Readonly<Record<string, OwnSchema>>, paths: OpenAPIObject['paths']) {
  const named = new Set<string>();
  const look = (at: unknown) => {
    for (const [, name = ''] of JSON.stringify(at).matchAll(/"#\/components\/schemas\/(\w+)"/g)) {
      if (named.has(name)) continue;
      named.add(name);
      look(schemas[name] ?? null);
    }
  };
  look(paths);
  return Object.fromEntries(Object.entries(schemas).filter(([name]) => named.has(name)));
}

function describedOperation(
  path: string,
  operation: Operation,
  schemas: Readonly<Record<string, OwnSchema>>,
): Operation {
  const name = operation.operationId ?? '';
  const access = (operation as { [ACCESS]?: unknown })[ACCESS];
  const example = BODY_EXAMPLES[name];
  const body = operation.requestBody;
  if (example && body && 'content' in body) {
    const [content] = Object.values(body.content);
    if (content) content.example = example;
  }
  return {
    ...operation,
    summary: SUMMARIES[name] ?? '',
    ...(access === 'lead' ? { description: 'For leads.' } : {}),
    ...(access === 'lead or admin' ? { description: 'For leads and admins.' } : {}),
    ...(access === 'everybody' ? { security: [] } : {}),
    parameters: [
      ...inPath(path, operation.parameters as Parameter[] | undefined),
      ...inQuery(schemas[QUERIES[name] ?? '']),
    ],
    responses: {
      ...operation.responses,
      '4XX': {
        description: 'Refused; what is wrong with which field stands in it.',
        content: { 'application/problem+json': { schema: { $ref: '#/components/schemas/Problem' } } },
      },
    },
  };
}

function inPath(path: string, known: readonly Parameter[] = []): Parameter[] {
  const unknown = [...path.matchAll(/\{(\w+)\}/g)]
    .map(([, name = '']) => name)
    .filter((name) => !known.some((parameter) => parameter.name === name))
    .map((name): Parameter => ({
      name,
      in: 'path',
      required: true,
      schema: PATH_SCHEMAS[name] ?? { type: 'string' },
    }));
  return [...known, ...unknown].map((parameter) =>
    parameter.in === 'path' && parameter.name in PATH_EXAMPLES
      ? { ...parameter, example: PATH_EXAMPLES[parameter.name] }
      : parameter,
  );
}

function inQuery(query: OwnSchema | undefined): Parameter[] {
  return Object.entries(query?.properties ?? {}).map(([name, schema]) => ({
    name,
    in: 'query',
    required: false,
    schema,
  }));
}
