import { randomBytes } from 'node:crypto';
import { QueryTypes } from 'sequelize';
import type { Sequelize } from 'sequelize-typescript';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { bringUpToDate } from '../src/bring-up-to-date.js';
import { readConfiguration } from '../src/configuration.js';
import { connect } from '../src/database/connection.js';
import { MIGRATIONS } from '../src/database/migrations/index.js';
import { MODELS } from '../src/database/models.js';
import { administer } from './support/application.js';

const name = `vendu_it_${randomBytes(5).toString('hex')}`;
const configuration = readConfiguration({ ...process.env, VENDU_DB_NAME: name, VENDU_LOG_LEVEL: 'silent' });
let sequelize: Sequelize;

beforeAll(async () => {
  await administer(configuration, `CREATE DATABASE ${name}`);
  sequelize = connect(configuration, MODELS);
});
afterAll(async () => {
  await sequelize.close();
  await administer(configuration, `DROP DATABASE ${name}`);
});

const rowsOf = (statement: string) =>
  sequelize.query<Record<string, unknown>>(statement, { type: QueryTypes.SELECT });

describe('a database of the first schema', () => {
  it('keeps its brewers, with their papers as rows and the measures of their kind, and its stock', async () => {
    for (const statement of MIGRATIONS[0]?.statements ?? []) await sequelize.query(statement);
    await sequelize.query('CREATE TABLE migrations (name VARCHAR(255) PRIMARY KEY)');
    await sequelize.query(`INSERT INTO migrations VALUES ('${MIGRATIONS[0]?.name ?? ''}')`);
    await sequelize.query(`INSERT INTO people (name, email, role, password_hash, created_at, updated_at)
      VALUES ('P', 'p@example', 'lead', '-', NOW(), NOW())`);
    await sequelize.query(`INSERT INTO brewers (name, shape, outlet, paper, usual_dose_g, capacity_g, created_at, updated_at)
      VALUES ('Old cone', 'cone', 'one hole', 'White', 15, 300, NOW(), NOW()),
             ('Old flask', 'carafe', 'neck', 'Thick', 30, 700, NOW(), NOW())`);
    await sequelize.query(`INSERT INTO lots (name, country, region, farm, producer, variety, process, fermentation_note,
        additions, harvest, drying, label_notes, stock_g, created_by, created_at, updated_at)
      VALUES ('Old lot', 'RW', '', '', '', '', 'washed', '', '', '', '', '', 900, 1, '2026-01-05', '2026-01-05')`);

    expect(await bringUpToDate(sequelize)).toEqual(MIGRATIONS.slice(1).map((step) => step.name));
    expect(await bringUpToDate(sequelize)).toEqual([]);

    const brewers = await rowsOf(
      'SELECT brewers.name, papers.name AS paper, height_mm AS heightMm FROM brewers JOIN papers ON papers.id = paper_id ORDER BY brewers.id',
    );
    expect(brewers.map((row) => [row['name'], row['paper'], Number(row['heightMm'])])).toEqual([
      ['Old cone', 'White', 85],
      ['Old flask', 'Thick', 120],
    ]);
    const [lot] = await rowsOf(
      'SELECT stage, stock_at IS NOT NULL AS weighed, left_g + 0E0 AS leftG FROM lots',
    );
    expect(lot).toMatchObject({ stage: 'arrived', weighed: 1, leftG: 900 });
  });
});
