import type { INestApplication } from '@nestjs/common';
import { DocumentBuilder, SwaggerModule } from '@nestjs/swagger';
import { defaultMetadataStorage } from 'class-transformer/cjs/storage.js';
import { validationMetadatasToSchemas } from 'class-validator-jsonschema';
import { ENTRY_KINDS, type CupSchedule } from '@vendu/core';
import {
  LABEL_NOTES,
  REQUEST_KEY_HEADER,
  type Choice,
  type NumberRange,
  type TextLength,
} from '@vendu/contract';
import { described } from './described.js';
import type { ISchemaConverters } from 'class-validator-jsonschema/build/defaultConverters.js';

/** How the contract's own decorators read as JSON Schema; keyed by constraint name. */
const CONVERTERS: ISchemaConverters = {
  numberBetween: ({ constraints }) => {
    const { min, max, whole } = constraintOf(constraints) as NumberRange;
    return { type: whole ? 'integer' : 'number', minimum: min, maximum: max };
  },
  textUpTo: ({ constraints }) => {
    const { max, required } = constraintOf(constraints) as TextLength;
    return { type: 'string', maxLength: max, ...(required ? { minLength: 1 } : {}) };
  },
  wordsOnly: ({ constraints }) => {
    const { max } = constraintOf(constraints) as TextLength;
    return { type: 'string', maxLength: max, pattern: '^[^0-9]*$' };
  },
  oneOf: ({ constraints }) => ({
    type: 'string',
    enum: [...(constraintOf(constraints) as Choice).values],
  }),
  calendarDate: () => ({ type: 'string', format: 'date' }),
  clockTime: () => ({ type: 'string', pattern: '^([01]\\d|2[0-3]):[0-5]\\d$', example: '06:30' }),
  isIso8601: { type: 'string', description: 'ISO 8601: a date, with or without a time' },
  labelNote: ({ constraints }) => {
    const { longestNote } = constraintOf(constraints) as typeof LABEL_NOTES;
    return { type: 'string', minLength: 1, maxLength: longestNote };
  },
  // What is in it is told by the class that is nested there.
  isPlainObject: {},
  cups: () => ({
    oneOf: [
      cupsBy('time', 'everyS', { type: 'number' }),
      cupsBy('mass', 'everyG', { type: 'number' }),
      cupsBy('times', 'atS', { type: 'array', items: { type: 'number' } }),
      cupsBy('masses', 'atG', { type: 'array', items: { type: 'number' } }),
    ],
  }),
  brewEntries: () => ({
    type: 'array',
    items: {
      type: 'object',
      required: ['device', 'number', 'atMs', 'kind'],
      properties: {
        device: { type: 'string', maxLength: 36 },
        number: { type: 'integer', minimum: 1, maximum: 1_000_000 },
        atMs: { type: 'integer', minimum: 0 },
        kind: { type: 'string', enum: [...ENTRY_KINDS] },
      },
      // What each kind says besides.
      additionalProperties: true,
    },
  }),
};

function cupsBy<S>(kind: CupSchedule['kind'], field: string, marks: S) {
  return {
    type: 'object' as const,
    required: ['kind', field],
    properties: { kind: { type: 'string' as const, enum: [kind] }, [field]: marks },
  };
}

function constraintOf(constraints: unknown): unknown {
  return (constraints as [unknown])[0];
}

/** Serves the OpenAPI document at `/api/docs`, its schemas made from the same classes that check input. */
export function serveOpenApi(app: INestApplication): void {
  const document = SwaggerModule.createDocument(
    app,
    new DocumentBuilder()
      .setTitle('Vendu')
      .setDescription(
        `The dial-in bench of a roastery. Errors are application/problem+json (RFC 9457). A POST that stores something new may carry ${REQUEST_KEY_HEADER}, a UUID: sent again with the same key, it is stored once and gets the same answer.`,
      )
      .setVersion('1')
      .setLicense('Apache-2.0', 'https://www.apache.org/licenses/LICENSE-2.0')
      .addServer('/', 'This lab')
      .addCookieAuth('vendu.sid')
      .addBearerAuth({ type: 'http', description: 'A token, made under In and out.' })
      .build(),
  );
  const schemas = validationMetadatasToSchemas({
    classTransformerMetadataStorage: defaultMetadataStorage,
    additionalConverters: CONVERTERS,
    refPointerPrefix: '#/components/schemas/',
  });
  document.components = {
    ...document.components,
    schemas: { ...document.components?.schemas, ...(schemas as object) },
  };
  SwaggerModule.setup('api/docs', app, described(document), { jsonDocumentUrl: 'api/docs/json' });
}
