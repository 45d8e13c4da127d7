import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { QueryTypes } from 'sequelize';
import type { Sequelize } from 'sequelize-typescript';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { OperationsView } from '@vendu/contract';
import { BrewModel } from '../src/brews/brew.model.js';
import { TraceModel } from '../src/brews/trace.model.js';
import { forgetOldTraces } from '../src/care/forget-old-traces.js';
import { MIGRATIONS } from '../src/database/migrations/index.js';
import { startTestApplication, type TestApplication } from './support/application.js';

const folder = mkdtempSync(join(tmpdir(), 'vendu-copies-'));
let app: TestApplication;
beforeAll(async () => {
  app = await startTestApplication({ backupsFolder: folder, proxies: ['loopback'] });
});
afterAll(async () => {
  await app.close();
  rmSync(folder, { recursive: true });
});

const read = async () => (await app.lead.get('/api/operations').expect(200)).body as OperationsView;

describe('how it runs', () => {
  it('is told to leads: what is installed, how large it is, and that clocks agree', async () => {
    await app.barista.get('/api/operations').expect(403);
    const { schema, database, requests, care } = await read();
    expect(schema).toEqual({ step: MIGRATIONS.at(-1)!.name, pending: 0 });
    expect(database.version).toContain('MariaDB');
    expect(database.bytes).toBeGreaterThan(1e6);
    expect(database).toMatchObject({ isFull: false, nodes: null });
    expect(database.freeBytes).toBeGreaterThan(0);
    expect(database.largest[0]!.bytes).toBeGreaterThanOrEqual(database.largest[1]!.bytes);
    // What asking takes on a busy machine is in it; a clock of another zone would be an hour off.
    expect(Math.abs(database.aheadMs)).toBeLessThan(60_000);
    expect(requests.refused).toBeGreaterThan(0);
    expect(requests.failed).toBe(0);
    expect(care).toEqual({ at: expect.any(String) as string, isFaulty: false });
  });

  it('has the newest copy that was proven, and no other', async () => {
    expect((await read()).copies).toMatchObject({ count: 0, newest: null });
    for (const [day, madeAt] of [
      ['20260101', '2026-01-01T02:00:00.000Z'],
      ['20260102', '2026-01-02T02:00:00.000Z'],
    ]) {
      const note = JSON.stringify({ madeAt, bytes: 12, sha256: '', tables: {} });
      writeFileSync(join(folder, `vendu-${day}T020000Z.sql.gz.json`), note);
      writeFileSync(join(folder, `vendu-${day}T020000Z.sql.gz`), 'a copy');
    }
    writeFileSync(join(folder, 'vendu-20260103T020000Z.sql.gz'), 'without a note');
    writeFileSync(
      join(folder, 'vendu-20260104T020000Z.sql.gz.json'),
      '{"madeAt": "of a copy that was cut off"}',
    );
    const { copies } = await read();
    expect(copies).toMatchObject({ count: 2, newest: { at: '2026-01-02T02:00:00.000Z', bytes: 12 } });
    expect(copies!.freeBytes).toBeGreaterThan(0);
  });

  it('names statements that were slow without what they were about', async () => {
    // Slower than all before it: on a busy machine many are slow, and only the slowest are shown.
    const slowestMs = Math.max(0, ...(await read()).slow.map(({ longestMs }) => longestMs)) + 300;
    await BrewModel.sequelize!.query(`SELECT SLEEP(${slowestMs / 1000}), 'what somebody typed'`, {
      type: QueryTypes.SELECT,
    });
    const { slow } = await read();
    const found = slow.find(({ statement }) => statement.startsWith('SELECT SLEEP'));
    expect(found?.longestMs).toBeGreaterThan(slowestMs - 10);
    expect(JSON.stringify(slow)).not.toContain('somebody');
  });
});

describe('figures for programs that watch', () => {
  it('are told on this machine, in the text of Prometheus, by routes and not by ids', async () => {
    await app.barista.get('/api/lots/1').expect(200);
    const { text } = await app.visitor
      .get('/metrics')
      .expect(200)
      .expect('content-type', /version=0\.0\.4/);
    expect(text).toMatch(
      /vendu_request_seconds_count\{method="GET",route="\/api\/lots\/:lotId",status="200"\} [1-9]/,
    );
    expect(text).toMatch(/^vendu_statements_total [1-9]/m);
    expect(text).toMatch(/^nodejs_eventloop_lag_seconds /m);
    expect(text).not.toContain('lots/1"');
  });

  it('are for nobody who comes through a proxy', async () => {
    await app.visitor.get('/metrics').set('x-forwarded-for', '10.0.0.7').expect(404);
  });
});

describe('curves that a lab keeps no longer', () => {
  it('go with age, and nothing else does', async () => {
    const sequelize = BrewModel.sequelize as Sequelize;
    const [all, brews] = [await TraceModel.count(), await BrewModel.count()];
    expect(await forgetOldTraces(sequelize, null)).toBe(0);
    const gone = await forgetOldTraces(sequelize, 30);
    expect(gone).toBeGreaterThan(0);
    expect(await TraceModel.count()).toBe(all - gone);
    expect(await BrewModel.count()).toBe(brews);
    const [oldest] = await TraceModel.findAll({ order: ['brewId'], limit: 1 });
    const { startedAt } = (await BrewModel.findByPk(oldest!.brewId))!;
    expect(Date.now() - startedAt.getTime()).toBeLessThan(30 * 86_400_000);
    expect(await forgetOldTraces(sequelize, 30)).toBe(0);
  });
});
