import { randomBytes } from 'node:crypto';
import { mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { QueryTypes } from 'sequelize';
import type { Sequelize } from 'sequelize-typescript';
import { afterEach, describe, expect, it } from 'vitest';
import { bringUpToDate } from '../src/bring-up-to-date.js';
import { readConfiguration, type Configuration } from '../src/configuration.js';
import { connect } from '../src/database/connection.js';
import { dump } from '../src/database/dump.js';
import { MIGRATIONS } from '../src/database/migrations/index.js';
import { inTurnOfMigrations } from '../src/database/schema-connection.js';
import { MODELS } from '../src/models.js';
import { takeStep } from '../src/database/take-step.js';
import { administer, readIn } from './support/database.js';

const NAMES = MIGRATIONS.map(({ name }) => name);
const opened: { sequelize: Sequelize; drop: () => Promise<void> }[] = [];
afterEach(async () => {
  for (const { sequelize, drop } of opened.splice(0)) {
    await sequelize.close();
    await drop();
  }
});

/** An empty database of the test's own. */
async function emptyDatabase(): Promise<{ sequelize: Sequelize; configuration: Configuration }> {
  const name = `vendu_it_${randomBytes(5).toString('hex')}`;
  const configuration = readConfiguration({
    ...process.env,
    VENDU_DB_NAME: name,
    VENDU_LOG_LEVEL: 'silent',
  });
  await administer(configuration, `CREATE DATABASE ${name}`);
  const sequelize = connect(configuration, MODELS);
  opened.push({ sequelize, drop: () => administer(configuration, `DROP DATABASE ${name}`) });
  return { sequelize, configuration };
}

const rowsOf = (sequelize: Sequelize, statement: string) =>
  sequelize.query<Record<string, unknown>>(statement, { type: QueryTypes.SELECT });

/** Everything that the steps define: columns, keys and constraints, in words. */
async function schemaOf(sequelize: Sequelize): Promise<string[]> {
  const tables = await rowsOf(
    sequelize,
    'SELECT table_name AS name FROM information_schema.tables WHERE table_schema = DATABASE() ORDER BY table_name',
  );
  const definitions: string[] = [];
  for (const { name } of tables) {
    if (String(name).startsWith('migration')) continue;
    const [row] = await rowsOf(sequelize, `SHOW CREATE TABLE \`${String(name)}\``);
    definitions.push(String(row?.['Create Table']).replace(/ AUTO_INCREMENT=\d+/, ''));
  }
  return definitions;
}

/** As an older version left a database that it was killed in: whole steps recorded, and so many statements of the next. */
async function stuckAt(sequelize: Sequelize, step: number, statements: number): Promise<void> {
  await sequelize.query('CREATE TABLE migrations (name VARCHAR(255) PRIMARY KEY)');
  for (const { name, statements: all } of MIGRATIONS.slice(0, step)) {
    for (const statement of all) await sequelize.query(statement);
    await sequelize.query(`INSERT INTO migrations VALUES ('${name}')`);
    if (name === NAMES[0]) await addOldRows(sequelize);
  }
  for (const statement of MIGRATIONS[step]?.statements.slice(0, statements) ?? []) {
    await sequelize.query(statement);
  }
}

/** What a lab of the first schema has. */
async function addOldRows(sequelize: Sequelize): Promise<void> {
  await sequelize.query(`INSERT INTO people (name, email, role, password_hash, created_at, updated_at)
    VALUES ('P', 'p@example', 'lead', '-', NOW(), NOW())`);
  await sequelize.query(`INSERT INTO brewers (name, shape, outlet, paper, usual_dose_g, capacity_g, created_at, updated_at)
    VALUES ('Old cone', 'cone', 'one hole', 'White', 15, 300, NOW(), NOW()),
           ('Old flask', 'carafe', 'neck', 'Thick', 30, 700, NOW(), NOW())`);
  await sequelize.query(`INSERT INTO lots (name, country, region, farm, producer, variety, process, fermentation_note,
      additions, harvest, drying, label_notes, stock_g, created_by, created_at, updated_at)
    VALUES ('Old lot', 'RW', '', '', '', '', 'washed', '', '', '', '', '', 900, 1, '2026-01-05', '2026-01-05')`);
}

async function expectOldRows(sequelize: Sequelize): Promise<void> {
  const brewers = await rowsOf(
    sequelize,
    'SELECT brewers.name, papers.name AS paper, height_mm AS heightMm FROM brewers JOIN papers ON papers.id = paper_id ORDER BY brewers.id',
  );
  expect(brewers.map((row) => [row['name'], row['paper'], Number(row['heightMm'])])).toEqual([
    ['Old cone', 'White', 85],
    ['Old flask', 'Thick', 120],
  ]);
  const unsaid = await rowsOf(
    sequelize,
    'SELECT ribs, wall_material, wall_mm, fold FROM brewers JOIN papers ON papers.id = paper_id',
  );
  expect(unsaid.flatMap((row) => Object.values(row)).filter((value) => value !== null)).toEqual([]);
  const [lot] = await rowsOf(
    sequelize,
    'SELECT stage, stock_at IS NOT NULL AS weighed, left_g + 0E0 AS leftG FROM lots',
  );
  expect(lot).toMatchObject({ stage: 'arrived', weighed: 1, leftG: 900 });
}

describe('a database of the first schema', () => {
  it('keeps its brewers, with their papers as rows and the measures of their kind, and its stock', async () => {
    const { sequelize } = await emptyDatabase();
    await stuckAt(sequelize, 1, 0);
    expect(await bringUpToDate(sequelize)).toEqual(NAMES.slice(1));
    expect(await bringUpToDate(sequelize)).toEqual([]);
    await expectOldRows(sequelize);
  });

  it('is copied before it is changed, and the copy makes it anew', async () => {
    const { sequelize, configuration } = await emptyDatabase();
    await stuckAt(sequelize, 1, 0);
    const folder = mkdtempSync(join(tmpdir(), 'vendu-dump-'));
    try {
      await bringUpToDate(sequelize, {
        beforeUpgrade: async ([first = '']) => {
          await dump(configuration.database, folder, `before-${first}`);
        },
      });
      const [file = ''] = readdirSync(folder);
      expect(file).toMatch(/^\d{8}T\d{6}Z-before-0002-kit-and-lots\.sql$/);
      const copy = await emptyDatabase();
      readIn(copy.configuration, join(folder, file));
      expect(await rowsOf(copy.sequelize, 'SELECT name, paper FROM brewers ORDER BY id')).toEqual([
        { name: 'Old cone', paper: 'White' },
        { name: 'Old flask', paper: 'Thick' },
      ]);
    } finally {
      rmSync(folder, { recursive: true });
    }
  });

  it('is left as it is where the copy cannot be made', async () => {
    const { sequelize } = await emptyDatabase();
    await stuckAt(sequelize, 1, 0);
    const full = () => Promise.reject(new Error('no space left'));
    await expect(bringUpToDate(sequelize, { beforeUpgrade: full })).rejects.toThrow('no space left');
    expect(await rowsOf(sequelize, 'SELECT paper FROM brewers')).toHaveLength(2);
  });
});

describe('a migration that is killed', () => {
  it('by an older version, after any statement, is gone on with, and comes to the same schema', async () => {
    const { sequelize: fresh } = await emptyDatabase();
    await bringUpToDate(fresh);
    const wanted = await schemaOf(fresh);
    // Where each kind of statement is done and the next is not: rows made, columns added, filled and dropped, keys.
    const places = [
      { step: 0, statements: 4 },
      { step: 1, statements: 2 },
      { step: 1, statements: 4 },
      { step: 1, statements: 5 },
      { step: 1, statements: 16 },
      { step: 2, statements: 3 },
      { step: 3, statements: 1 },
      { step: 4, statements: 4 },
    ];
    const stuck: unknown[] = [];
    for (const place of places) {
      const { sequelize } = await emptyDatabase();
      await stuckAt(sequelize, place.step, place.statements);
      try {
        await bringUpToDate(sequelize);
        expect(await schemaOf(sequelize)).toEqual(wanted);
        if (place.step > 0) await expectOldRows(sequelize);
      } catch (error) {
        stuck.push([place, String(error)]);
      }
    }
    expect(stuck).toEqual([]);
  }, 120_000);

  it('goes on at the statement that was begun, and hides no other fault', async () => {
    const { sequelize } = await emptyDatabase();
    const step = {
      name: 'x',
      statements: [
        'CREATE TABLE one (id INT)',
        'ALTER TABLE one ADD COLUMN g INT',
        'INSERT INTO one VALUES (1, 2)',
      ],
    };
    await bringUpToDate(sequelize);
    await inTurnOfMigrations(sequelize, async (connection) => {
      let isCut = true;
      const cut = {
        ...connection,
        query: async (statement: string, values?: unknown[]) => {
          const answer = await connection.query(statement, values);
          // Killed between the statement and its record.
          if (isCut && statement.startsWith('ALTER TABLE one')) throw new Error('killed');
          return answer;
        },
      };
      await expect(takeStep(cut, step)).rejects.toThrow('killed');
      isCut = false;
      await takeStep(connection, step);
      await takeStep(connection, step);
      expect(await rowsOf(sequelize, 'SELECT id, g FROM one')).toEqual([{ id: 1, g: 2 }]);
      // What was never begun cannot have been done.
      const clash = { name: 'y', statements: ['CREATE TABLE one (id INT)'] };
      await expect(takeStep(connection, clash)).rejects.toThrow(/exists/);
    });
  });
});

describe('several starts at once', () => {
  it('take turns: one does it, the others find it done', async () => {
    const { sequelize, configuration } = await emptyDatabase();
    const others = [1, 2, 3].map(() => connect(configuration, MODELS));
    try {
      const taken = await Promise.all([sequelize, ...others].map((each) => bringUpToDate(each)));
      expect(taken.map(({ length }) => length).sort((a, b) => a - b)).toEqual([0, 0, 0, NAMES.length]);
    } finally {
      await Promise.all(others.map((each) => each.close()));
    }
  });
});

describe('publications of an older version', () => {
  it('that two people at once made so: one stays public of each recipe, and none that is not signed off', async () => {
    const { sequelize } = await emptyDatabase();
    await stuckAt(sequelize, 5, 0);
    await sequelize.query(`INSERT INTO grinders (name, burr_set, setting_step, points, created_at, updated_at)
      VALUES ('G', 'flat', 1, '[]', NOW(), NOW())`);
    await sequelize.query(`INSERT INTO recipes (lot_id, brewer_id, grinder_id, paper_id, created_by, created_at, updated_at)
      VALUES (1, 1, 1, 1, 1, NOW(), NOW()), (1, 2, 1, 1, 1, NOW(), NOW())`);
    await sequelize.query(`INSERT INTO recipe_versions (recipe_id, number, plan, note, created_by, created_at, signed_off_at)
      VALUES (1, 1, '{}', '', 1, NOW(), NOW()), (2, 1, '{}', '', 1, NOW(), NULL)`);
    await sequelize.query(`INSERT INTO publications (recipe_version_id, introduction, published_by, created_at)
      VALUES (1, 'first', 1, NOW()), (1, 'second', 1, NOW()), (2, 'unsigned', 1, NOW())`);
    await bringUpToDate(sequelize);
    expect(
      await rowsOf(sequelize, 'SELECT introduction FROM publications WHERE withdrawn_at IS NULL'),
    ).toEqual([{ introduction: 'second' }]);
    await expect(
      sequelize.query(`INSERT INTO publications (recipe_id, recipe_version_id, introduction, published_by, created_at)
        VALUES (1, 1, 'third', 1, NOW())`),
    ).rejects.toThrow();
  });
});
