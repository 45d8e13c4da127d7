import { randomUUID } from 'node:crypto';
import { createConfig, lintFromString } from '@redocly/openapi-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { BrewView, LotView, RecipeView } from '@vendu/contract';
import { BODY_EXAMPLES, PATH_EXAMPLES } from '../src/openapi/examples.js';
import { SUMMARIES } from '../src/openapi/summaries.js';
import { startTestApplication, type TestApplication } from './support/application.js';

interface Operation {
  operationId: string;
  parameters: { name: string; in: string; example?: unknown }[];
}
interface Document {
  paths: Record<string, Record<string, Operation>>;
}

let app: TestApplication;
let source: string;
beforeAll(async () => {
  app = await startTestApplication();
  source = (await app.visitor.get('/api/docs/json').expect(200)).text;
});
afterAll(() => app.close());

const operations = () =>
  Object.entries((JSON.parse(source) as Document).paths).flatMap(([path, item]) =>
    Object.entries(item).map(([method, operation]) => ({ path, method, ...operation })),
  );

describe('the document of the API', () => {
  it('holds before a linter that is not ours', async () => {
    // Addresses with a key in the place of a number are told apart by their second part.
    const rules = { 'no-ambiguous-paths': 'off' } as const;
    const config = await createConfig({ extends: ['recommended'], rules });
    const found = await lintFromString({ source, config });
    expect(found.map(({ ruleId, message, location }) => [ruleId, message, location[0]?.pointer])).toEqual([]);
  });

  it('says what each operation does, and nothing of one that is gone', () => {
    const names = operations().map(({ operationId }) => operationId);
    expect(Object.keys(SUMMARIES).sort()).toEqual(names.sort());
    expect(Object.keys(BODY_EXAMPLES).filter((name) => !names.includes(name))).toEqual([]);
    expect(Object.values(SUMMARIES).filter((words) => words.endsWith('.') || words === '')).toEqual([]);
  });
});

describe('the examples', () => {
  // Streams do not end, secrets are told once, and of a brew that runs there is none.
  const NOT_READ = [
    'InstrumentFeedsController_listen',
    'CalendarController_read',
    'PeopleController_invitation',
    'RunningBrewsController_trace',
    'PublicPageController_lot',
  ];

  it('open everything that can be read', async () => {
    const reads = operations().filter(
      ({ method, operationId }) => method === 'get' && !NOT_READ.includes(operationId),
    );
    expect(reads.length).toBeGreaterThan(40);
    for (const { path, parameters } of reads) {
      const address = parameters.reduce(
        (so, parameter) =>
          parameter.in === 'path'
            ? so.replace(`{${parameter.name}}`, String(PATH_EXAMPLES[parameter.name]))
            : so,
        path,
      );
      const { status } = await app.lead.get(address);
      expect([address, status]).toEqual([address, 200]);
    }
  });

  it('take a lot from its arrival to a verdict', async () => {
    const done: string[] = [];
    const send = async <T>(name: string, path: string, real: object = {}): Promise<T> => {
      const method = operations().find(({ operationId }) => operationId === name)?.method as
        'post' | 'put' | 'patch';
      const answer = await app.barista[method](path).send({ ...BODY_EXAMPLES[name], ...real });
      expect([name, answer.status, answer.ok ? '' : answer.text]).toEqual([
        name,
        method === 'post' ? 201 : 200,
        '',
      ]);
      done.push(name);
      return answer.body as T;
    };
    const lot = await send<LotView>('LotsController_create', '/api/lots');
    await send('LotsController_addRoastBatch', `/api/lots/${lot.id}/roast-batches`);
    const recipe = await send<RecipeView>('RecipesController_start', `/api/lots/${lot.id}/recipes`);
    const brew = await send<BrewView>('BrewsController_put', `/api/brews/by-key/${randomUUID()}`, {
      recipeVersionId: recipe.versions[0]?.id,
      roastBatchId: recipe.latestRoastBatchId,
    });
    const of = `/api/brews/${brew.id}`;
    await send('BrewsController_weigh', of, { revision: brew.revision });
    const read = await send<BrewView>('BrewsController_addReading', `${of}/readings`);
    // 1.32 % of 218 g, of 15 g of coffee, by hand.
    expect(read.result?.yield.yieldPercent).toBeCloseTo((218 * 1.32) / 15, 1);
    await send('CupsController_putTasting', `${of}/tastings/${PATH_EXAMPLES.stage}`);
    await send('BrewsController_giveVerdict', `${of}/verdict`);
    expect(done.sort()).toEqual(Object.keys(BODY_EXAMPLES).sort());
  });
});
