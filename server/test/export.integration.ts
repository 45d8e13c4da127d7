import { Ajv2020 } from 'ajv/dist/2020.js';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import Papa from 'papaparse';
import { Writable } from 'node:stream';
import { QueryTypes } from 'sequelize';
import type { Sequelize } from 'sequelize-typescript';
import { readRecipeFile } from '@vendu/core';
import { BrewReader } from '../src/brews/brew-reader.js';
import { ExportService } from '../src/export/export.service.js';
import { FilesService } from '../src/files/files.service.js';
import { exportedTables, LEFT_OUT } from '../src/export/exported-tables.js';
import { tableRows } from '../src/export/table-rows.js';
import { LotModel } from '../src/lots/lot.model.js';
import { startTestApplication, takeInLot, type TestApplication } from './support/application.js';
import { exported, unzipped } from './support/zips.js';

interface Schema {
  fields: { name: string; type: string; constraints?: { required: boolean } }[];
  primaryKey?: string[];
  foreignKeys: { fields: string; reference: { resource: string; fields: string } }[];
}
interface Package {
  resources: { name: string; path: string; schema?: Schema }[];
}

let app: TestApplication;
let files: Map<string, string>;
beforeAll(async () => {
  app = await startTestApplication();
  await takeInLot(app.barista, {
    name: '=cmd|calc',
    supplier: "'quoted",
    region: 'with "marks",\nand a line',
  });
  const answer = await app.lead.head('/api/export/lab.zip').expect(200);
  expect(answer.headers['content-disposition']).toMatch(
    /^attachment; filename="vendu-\d{4}-\d\d-\d\d\.zip"$/,
  );
  files = await unzipped(await exported(app.lead));
});
afterAll(() => app.close());

const file = (path: string) => files.get(path) ?? '';
const description = () => JSON.parse(file('datapackage.json')) as Package;
const rowsOf = (path: string) => Papa.parse<string[]>(file(path).trimEnd(), { delimiter: ',' }).data;

const READS: Record<string, (cell: string) => boolean> = {
  integer: (cell) => /^-?\d+$/.test(cell),
  number: (cell) => cell !== '' && Number.isFinite(Number(cell)),
  boolean: (cell) => cell === 'true' || cell === 'false',
  date: (cell) => /^\d{4}-\d\d-\d\d$/.test(cell),
  datetime: (cell) => !Number.isNaN(Date.parse(cell)) && cell.endsWith('Z'),
  any: (cell) => JSON.parse(cell) !== undefined,
  string: () => true,
};

/** A reader of its own making, on the database of the tests. */
const exporter = () => {
  const sequelize = LotModel.sequelize as unknown as Sequelize;
  return new ExportService(sequelize, new FilesService(sequelize, new BrewReader(sequelize)));
};

describe('everything of a lab in one file', () => {
  it('is for leads', async () => {
    await app.visitor.get('/api/export/lab.zip').expect(401);
    await app.barista.get('/api/export/lab.zip').expect(403);
  });

  it('describes its tables, and they are as described: names, types, keys, and as many rows as there are', async () => {
    // A resource is a file of the package.
    for (const { path } of description().resources) expect([path, files.has(path)]).toEqual([path, true]);
    const tables = description().resources.filter(({ schema }) => schema !== undefined);
    expect(tables.length).toBeGreaterThan(25);
    const idsOf = new Map<string, Set<string>>();
    for (const { name, path, schema } of tables) {
      const [head = [], ...rows] = rowsOf(path);
      expect([path, head]).toEqual([path, schema?.fields.map((field) => field.name)]);
      for (const [column, field] of (schema?.fields ?? []).entries()) {
        const wrong = rows.filter((row) => {
          const cell = row[column] ?? '';
          return cell === '' ? field.constraints?.required === true : !READS[field.type]?.(cell);
        });
        expect([path, field.name, wrong.slice(0, 1)]).toEqual([path, field.name, []]);
      }
      const [key] = schema?.primaryKey ?? [];
      idsOf.set(name, new Set(rows.map((row) => row[head.indexOf(key ?? '')] ?? '')));
      if (path === 'traces.csv') continue;
      const [counted] = (await LotModel.sequelize?.query<{ count: number | bigint }>(
        `SELECT COUNT(*) AS count FROM \`${path.replace('.csv', '')}\``,
        { type: QueryTypes.SELECT },
      )) ?? [{ count: -1 }];
      expect([path, rows.length]).toEqual([path, Number(counted?.count)]);
    }
    for (const { path, schema } of tables) {
      const [head = [], ...rows] = rowsOf(path);
      for (const { fields, reference } of schema?.foreignKeys ?? []) {
        const lost = rows
          .map((row) => row[head.indexOf(fields)] ?? '')
          .filter((cell) => cell !== '' && !idsOf.get(reference.resource)?.has(cell));
        expect([path, fields, lost]).toEqual([path, fields, []]);
      }
    }
  });

  it('reads a table in parts without losing or doubling a row', async () => {
    const sequelize = LotModel.sequelize as unknown as Sequelize;
    const table = (await exportedTables(sequelize)).find(({ name }) => name === 'lots')!;
    const ids: number[] = [];
    await sequelize.transaction(async (transaction) => {
      // Parts that end between numbers of one figure and of two.
      for await (const [id] of tableRows(sequelize, table, transaction, { chunk: 4 })) ids.push(Number(id));
    });
    const all = await LotModel.findAll({ attributes: ['id'], order: ['id'] });
    expect(all.length).toBeGreaterThan(10);
    expect(ids).toEqual(all.map(({ id }) => id));
  });

  it('leaves no table out without saying why, and nobody’s password or address', async () => {
    const sequelize = LotModel.sequelize!;
    const all = await sequelize.query<{ name: string }>(
      'SELECT table_name AS name FROM information_schema.tables WHERE table_schema = DATABASE()',
      { type: QueryTypes.SELECT },
    );
    const out = (await exportedTables(sequelize as never)).map(({ name }) => name);
    expect(
      [
        ...out,
        ...Object.keys(LEFT_OUT.tables).filter((name) => all.some((each) => each.name === name)),
      ].sort(),
    ).toEqual(all.map(({ name }) => name).sort());
    const everything = [...files.values()].join('\n');
    expect(everything).not.toMatch(/argon2|ninthmole\.example/);
    expect(file('README.txt')).toContain('sessions (who is signed in)');
  });

  it('gives no spreadsheet a formula, and no text is lost by that', () => {
    const [head = [], ...rows] = rowsOf('lots.csv');
    const cell = (name: string) => rows.at(-1)?.[head.indexOf(name)];
    expect(cell('name')).toBe("'=cmd|calc");
    expect(cell('supplier')).toBe("''quoted");
    expect(cell('region')).toBe('with "marks",\nand a line');
  });

  it('has each reading of a scale, each entry of a log, and each version as a file that can be read in', () => {
    const [, ...readings] = rowsOf('traces.csv');
    const ofFirst = readings.filter(([brewId, scale]) => brewId === '1' && scale === 'all');
    expect(ofFirst.length).toBeGreaterThan(100);
    const times = ofFirst.map(([, , atMs]) => Number(atMs));
    expect(times).toEqual([...times].sort((a, b) => a - b));
    for (const line of file('brew-logs.jsonl').trimEnd().split('\n').filter(Boolean)) {
      expect(JSON.parse(line)).toHaveProperty('entry.kind');
    }
    const recipes = [...files].filter(([path]) => path.startsWith('recipes/'));
    expect(recipes.length).toBe(rowsOf('recipe_versions.csv').length - 1);
    const isDescribed = new Ajv2020({ strict: true }).compile(
      JSON.parse(file('recipe.schema.json')) as Record<string, unknown>,
    );
    for (const [path, text] of recipes) {
      expect([path, readRecipeFile(text).ok, isDescribed(JSON.parse(text))]).toEqual([path, true, true]);
    }
  });

  it('of one trace has what the scale read', async () => {
    const { text } = await app.barista.get('/api/brews/1/trace.csv').expect(200);
    const one = Papa.parse<Record<string, string>>(text, { header: true, skipEmptyLines: true }).data;
    const all = rowsOf('traces.csv').filter(([brewId, scale]) => brewId === '1' && scale === 'all');
    expect(one.map(({ at_ms, mass_g }) => [at_ms, mass_g])).toEqual(all.map(([, , at, mass]) => [at, mass]));
    expect(one.length).toBeGreaterThan(100);
    await app.barista.get('/api/brews/999999/trace.csv').expect(404);
  });

  it('is of one moment, however slowly it is fetched', async () => {
    const parts: Buffer[] = [];
    const slow = new Writable({
      write(part: Buffer, _, done) {
        const isFirst = parts.push(part) === 1;
        void (isFirst ? takeInLot(app.barista, { name: 'Came meanwhile' }) : Promise.resolve()).then(() =>
          done(),
        );
      },
    });
    await exporter().writeTo(slow, new Date());
    const fetched = await unzipped(Buffer.concat(parts));
    expect(fetched.get('lots.csv')).toContain('Umuseke Ridge');
    expect(fetched.get('lots.csv')).not.toContain('Came meanwhile');
  });

  it('ends when whoever fetches it is gone, and holds nothing', async () => {
    for (let time = 0; time < 12; time++) {
      const gone = new Writable({ write: (_part, _encoding, done) => done(new Error('gone')) });
      await expect(exporter().writeTo(gone, new Date())).rejects.toThrow('gone');
    }
    await app.barista.get('/api/lots').expect(200);
  });
});
