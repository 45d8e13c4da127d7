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
import { exportedTables, LEFT_OUT, type Field } from './exported-tables.js';
import { tableRows } from './table-rows.js';

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
   * @throws whatever the reader broke off with
   */
  async writeTo(out: Writable, now: Date): Promise<void> {
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
        await Promise.all([pipeline(zip.outputStream, out), this.fill(zip, now, transaction)]);
      },
    );
  }

  private async fill(zip: ZipFile, now: Date, transaction: Transaction): Promise<void> {
    const tables = await exportedTables(this.sequelize);
    const description = dataPackage([...tables, TRACES], [LOGS, SCHEMA], now);
    zip.addBuffer(Buffer.from(JSON.stringify(description, null, 2)), 'datapackage.json');
    zip.addBuffer(Buffer.from(README), 'README.txt');
    zip.addBuffer(Buffer.from(JSON.stringify(recipeFileSchema(), null, 2)), SCHEMA.path);
    for (const table of tables) {
      const rows = tableRows(this.sequelize, table, transaction);
      await added(zip, `${table.name}.csv`, csvOf(table.fields, rows));
    }
    await added(zip, 'traces.csv', this.readings(transaction));
    await added(zip, 'brew-logs.jsonl', this.entries(transaction));
    await this.recipes(zip, transaction);
    zip.end();
  }

  /** Figures and two words need no quotes: written straight, since a lab has millions of them. */
  private async *readings(transaction: Transaction): AsyncGenerator<string> {
    yield csvHead(TRACES.fields);
    const table = {
      name: 'traces',
      fields: ['brew_id', 'samples', 'outflow'].map(text),
      primaryKey: ['brew_id'],
    };
    for await (const [brewId, ...scales] of tableRows(this.sequelize, table, transaction, TRACES_AT_ONCE)) {
      for (const [index, kept] of scales.entries()) {
        const trace = kept ? parsedJson<Trace>(kept) : null;
        const scale = index === 0 ? 'all' : 'server';
        const { atMs = [], massG = [] } = trace ?? {};
        yield atMs.map((at, place) => `${brewId},${scale},${at},${massG[place]}\r\n`).join('');
      }
    }
  }

  private async *entries(transaction: Transaction): AsyncGenerator<string> {
    const table = {
      name: 'brew_entries',
      fields: ['brew_key', 'device', 'number', 'told_by', 'entry'].map(text),
      primaryKey: ['brew_key', 'device', 'number'],
    };
    for await (const [brewKey, device, number, toldBy, entry] of tableRows(
      this.sequelize,
      table,
      transaction,
      LOGS_AT_ONCE,
    )) {
      const told = { brew_key: brewKey, device, number: Number(number), told_by: Number(toldBy) };
      yield `${JSON.stringify({ ...told, entry: parsedJson<object>(entry ?? 'null') })}\n`;
    }
  }

  private async recipes(zip: ZipFile, transaction: Transaction): Promise<void> {
    const table = {
      name: 'recipe_versions',
      fields: ['id', 'recipe_id', 'number'].map(text),
      primaryKey: ['id'],
    };
    for await (const [id, recipeId, number] of tableRows(this.sequelize, table, transaction)) {
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
    zip.addReadStream(stream, path);
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
