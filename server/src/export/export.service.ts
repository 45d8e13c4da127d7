import { Readable, type Writable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { Injectable } from '@nestjs/common';
import { QueryTypes, Transaction } from 'sequelize';
import { Sequelize } from 'sequelize-typescript';
import { ZipFile } from 'yazl';
import { recipeFileSchema, type Trace } from '@vendu/core';
import { parsedJson } from '../database/raw-row.js';
import { FilesService } from '../files/files.service.js';
import { csvHead, csvOf } from '../files/csv.js';
import { dataPackage, TRACES, type OtherFile } from './data-package.js';
import { exportedTables, LEFT_OUT, type ExportedTable, type Field } from './exported-tables.js';
import { ofOneLot } from './of-one-lot.js';
import { tableRows } from './table-rows.js';

/** Readings of scales are most of it: packed hardest, the file of a thousand lots is a fifth smaller, for processor time that others wait for. */
const COMPRESSION = 2;
/** A trace has thousands of readings: few are held at once. */
const TRACES_AT_ONCE = 20;
const LOGS_AT_ONCE = 500;

const LOGS: OtherFile = {
  path: 'brew-logs.jsonl',
  title: 'The logs of brews: one entry a line, in the order told',
};

const SCHEMA: OtherFile = {
  path: 'recipe.schema.json',
  title: 'JSON Schema of the files in recipes/',
};

/** As of which moment is read, and of which lot if not of all. */
interface Reading {
  transaction: Transaction;
  lotId: number | null;
}

/** Something of each brew of the lot. */
const BREWS = (column: string) => `SELECT ${column} FROM brews WHERE lot_id = :lotId`;

const text = (name: string): Field => ({ name, type: 'string', isRequired: true });

/** Everything of a lab as one file that other programs can read, as it was at one moment. */
@Injectable()
export class ExportService {
  constructor(
    private readonly sequelize: Sequelize,
    private readonly files: FilesService,
  ) {}

  /**
   * Streams it: a large lab needs no more memory than a small one.
   *
   * @param lotId - one lot with all that is of it; all of the lab if left out
   * @throws whatever the reader broke off with
   */
  async writeTo(out: Writable, now: Date, lotId: number | null = null): Promise<void> {
    await this.sequelize.transaction(
      { isolationLevel: Transaction.ISOLATION_LEVELS.REPEATABLE_READ, readOnly: true },
      async (transaction) => {
        // The first look at a table sets the moment that all of them are read as of.
        await this.sequelize.query('SELECT 1 FROM house LIMIT 1', {
          type: QueryTypes.SELECT,
          transaction,
        });
        const zip = new ZipFile();
        // A reader that breaks off ends it all: nobody waits for files that are not fetched.
        await Promise.all([pipeline(zip.outputStream, out), this.fill(zip, now, { transaction, lotId })]);
      },
    );
  }

  private async fill(zip: ZipFile, now: Date, reading: Reading): Promise<void> {
    const all = await exportedTables(this.sequelize);
    const ofLot = reading.lotId === null ? null : ofOneLot(all);
    const tables = ofLot ? all.filter(({ name }) => ofLot.has(name)) : all;
    const description = dataPackage([...tables, TRACES], [LOGS, SCHEMA], now);
    zip.addBuffer(Buffer.from(JSON.stringify(description, null, 2)), 'datapackage.json');
    zip.addBuffer(Buffer.from(README), 'README.txt');
    zip.addBuffer(Buffer.from(JSON.stringify(recipeFileSchema(), null, 2)), SCHEMA.path);
    for (const table of tables) {
      const rows = this.rows(table, reading, { where: ofLot?.get(table.name) });
      await added(zip, `${table.name}.csv`, csvOf(table.fields, rows));
    }
    await added(zip, 'traces.csv', this.readings(reading));
    await added(zip, 'brew-logs.jsonl', this.entries(reading));
    await this.recipes(zip, reading);
    zip.end();
  }

  private rows(
    table: Pick<ExportedTable, 'name' | 'fields' | 'primaryKey'>,
    { transaction, lotId }: Reading,
    { chunk, where }: { chunk?: number; where?: string | undefined } = {},
  ) {
    return tableRows(this.sequelize, table, transaction, {
      ...(chunk === undefined ? {} : { chunk }),
      ...(where === undefined ? {} : { where }),
      lotId: lotId ?? 0,
    });
  }

  /** Figures and two words need no quotes: written straight, since a lab has millions of them. */
  private async *readings(reading: Reading): AsyncGenerator<string> {
    yield csvHead(TRACES.fields);
    const table = {
      name: 'traces',
      fields: ['brew_id', 'samples', 'outflow'].map(text),
      primaryKey: ['brew_id'],
    };
    const some = {
      chunk: TRACES_AT_ONCE,
      where: reading.lotId === null ? undefined : `brew_id IN (${BREWS('id')})`,
    };
    for await (const [brewId, ...scales] of this.rows(table, reading, some)) {
      for (const [index, kept] of scales.entries()) {
        const trace = kept ? parsedJson<Trace>(kept) : null;
        const scale = index === 0 ? 'all' : 'server';
        const { atMs = [], massG = [] } = trace ?? {};
        yield atMs.map((at, place) => `${brewId},${scale},${at},${massG[place]}\r\n`).join('');
      }
    }
  }

  private async *entries(reading: Reading): AsyncGenerator<string> {
    const table = {
      name: 'brew_entries',
      fields: ['brew_key', 'device', 'number', 'told_by', 'entry'].map(text),
      primaryKey: ['brew_key', 'device', 'number'],
    };
    const some = {
      chunk: LOGS_AT_ONCE,
      where: reading.lotId === null ? undefined : `brew_key IN (${BREWS('client_key')})`,
    };
    for await (const [brewKey, device, number, toldBy, entry] of this.rows(table, reading, some)) {
      const told = { brew_key: brewKey, device, number: Number(number), told_by: Number(toldBy) };
      yield `${JSON.stringify({ ...told, entry: parsedJson<object>(entry ?? 'null') })}\n`;
    }
  }

  private async recipes(zip: ZipFile, reading: Reading): Promise<void> {
    const table = {
      name: 'recipe_versions',
      fields: ['id', 'recipe_id', 'number'].map(text),
      primaryKey: ['id'],
    };
    const where =
      reading.lotId === null ? undefined : 'recipe_id IN (SELECT id FROM recipes WHERE lot_id = :lotId)';
    for await (const [id, recipeId, number] of this.rows(table, reading, { where })) {
      const { text: file } = await this.files.recipe(Number(id));
      zip.addBuffer(Buffer.from(file), `recipes/recipe-${recipeId}-version-${number}.json`);
    }
  }
}

/** One file after the other: rows are read when the file before is written. */
function added(zip: ZipFile, path: string, lines: AsyncIterable<string>): Promise<void> {
  const stream = Readable.from(lines, { objectMode: false });
  return new Promise((resolve, reject) => {
    stream.once('error', reject);
    stream.once('end', resolve);
    zip.addReadStream(stream, path, { compressionLevel: COMPRESSION });
  });
}

const README = `A lab of Vendu.

datapackage.json describes the tables (Frictionless Data Package with Table Schema, version 1).
CSV files are UTF-8, comma-separated, with the names of their columns first. An empty cell is a missing value.
A text that begins with = + - @ a tab or an apostrophe has an apostrophe before it, so that a spreadsheet takes no text
for a formula: take one apostrophe away when reading it in. Columns described as JSON hold JSON. Moments are UTC.
recipes/ has each version of each recipe as a file that can be read in again; recipe.schema.json describes it.

Left out: ${Object.entries(LEFT_OUT.tables)
  .map(([table, why]) => `${table} (${why})`)
  .join('; ')}; of people their e-mail and password.
`;
