import { QueryTypes } from 'sequelize';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Problem } from '@vendu/contract';
import { LotModel } from '../src/lots/lot.model.js';
import { classify } from '../src/problem/classify.js';
import { connectTo } from './support/database.js';
import { startTestApplication, type TestApplication } from './support/application.js';

let app: TestApplication;
beforeAll(async () => {
  app = await startTestApplication({
    patience: { statementS: 4, answerS: 60, connectionS: 30, starvedS: 30, readyS: 30 },
  });
});
afterAll(() => app.close());

describe('a database that is taken up', () => {
  it('is waited for no longer than anybody would, and told as such', async () => {
    const holding = await connectTo(app.configuration);
    await holding.query('LOCK TABLES lots WRITE');
    try {
      const answer = await app.barista.get('/api/lots').expect(503);
      expect((answer.body as Problem).type).toBe('/problems/busy');
      expect(answer.get('retry-after')).toBe('2');
      // What needs other tables goes on; asked again where a busy machine made a statement of theirs slow as well.
      for (const path of ['/api/kit', '/api/health', '/api/health/live']) {
        await expect.poll(async () => (await app.barista.get(path)).status).toBe(200);
      }
    } finally {
      await holding.end();
    }
    await expect.poll(async () => (await app.barista.get('/api/lots')).status).toBe(200);
  });

  it('ends a statement that takes too long', async () => {
    const slow = LotModel.sequelize!.query('SELECT SLEEP(2) FROM lots', { type: QueryTypes.SELECT });
    const thrown: unknown = await slow.catch((error: unknown) => error);
    expect(classify(thrown)).toMatchObject({ kind: 'unavailable' });
  });
});
