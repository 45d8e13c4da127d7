import 'reflect-metadata';
import type { NestExpressApplication } from '@nestjs/platform-express';
import { randomBytes, randomUUID } from 'node:crypto';
import request from 'supertest';
import { inject } from 'vitest';
import type TestAgent from 'supertest/lib/agent.js';
import { logOfRecord, type BenchEvent, type BrewEntry, type StepDone } from '@vendu/core';
import type { BrewView, LotView, ProofView, RecipeView } from '@vendu/contract';
import { createApplication } from '../../src/application.js';
import { readConfiguration, type Configuration } from '../../src/configuration.js';
import { DEMO_ACCOUNTS } from '../../src/people/demo-accounts.js';
import { administer, readIn } from './database.js';
import type {} from './demo-copy.js';

/** The application on a database of its own, made by the migrations and filled with the demo. */
export interface TestApplication {
  configuration: Configuration;
  url: string;
  visitor: TestAgent;
  barista: TestAgent;
  secondBarista: TestAgent;
  lead: TestAgent;
  /** Ends the application and opens it again on the same database. */
  restart: () => Promise<void>;
  close: () => Promise<void>;
}

export async function startTestApplication(changes: Partial<Configuration> = {}): Promise<TestApplication> {
  const name = `vendu_it_${randomBytes(5).toString('hex')}`;
  const configuration: Configuration = {
    ...readConfiguration({ ...process.env, VENDU_DB_NAME: name, VENDU_DEMO: '1', VENDU_LOG_LEVEL: 'silent' }),
    signInsPerMinute: 1000,
    ...changes,
  };
  await administer(configuration, `CREATE DATABASE ${name}`);
  readIn(configuration, inject('demoCopy'));

  let app = await open(configuration);
  const started: TestApplication = {
    configuration,
    ...(await agentsOf(app, configuration.isDemo)),
    restart: async () => {
      await app.close();
      app = await open(configuration);
      Object.assign(started, await agentsOf(app, configuration.isDemo));
    },
    close: async () => {
      await app.close();
      await administer(configuration, `DROP DATABASE ${name}`);
    },
  };
  return started;
}

async function open(configuration: Configuration): Promise<NestExpressApplication> {
  const app = await createApplication(configuration);
  await app.listen(0, '127.0.0.1');
  return app;
}

/** Outside of the demo its people are nobody: their agents are then not signed in. */
async function agentsOf(app: NestExpressApplication, isDemo: boolean) {
  const [lead, barista, secondBarista] = await Promise.all(
    DEMO_ACCOUNTS.slice(0, 3).map(async ({ email, password }) => {
      const agent = request.agent(app.getHttpServer());
      if (isDemo) await agent.post('/api/session').send({ email, password }).expect(200);
      return agent;
    }),
  );
  return {
    url: await app.getUrl(),
    visitor: request.agent(app.getHttpServer()),
    lead: lead!,
    barista: barista!,
    secondBarista: secondBarista!,
  };
}

/** The smallest lot that can be taken in. */
export const SMALLEST_LOT = { name: 'Test lot', country: 'RW', process: 'washed', roastedOn: '2026-01-15' };

export async function takeInLot(agent: TestAgent, changes: object = {}): Promise<LotView> {
  const response = await agent
    .post('/api/lots')
    .send({ ...SMALLEST_LOT, ...changes })
    .expect(201);
  return response.body as LotView;
}

export async function startRecipe(agent: TestAgent, lotId: number): Promise<RecipeView> {
  const response = await agent
    .post(`/api/lots/${lotId}/recipes`)
    .send({ brewerId: 1, grinderId: 1 })
    .expect(201);
  return response.body as RecipeView;
}

const BREWED = {
  startedAt: '2026-02-01T09:30:00.000Z',
  steps: [{ stepIndex: 0, atS: 0, skipped: false, totalG: null }] as StepDone[],
  events: [] as BenchEvent[],
  note: '',
};

/** The log that a bench has of a brew. */
export function entriesOf(changes: Partial<typeof BREWED> = {}): BrewEntry[] {
  const { startedAt, ...record } = { ...BREWED, ...changes };
  return [...logOfRecord({ device: 'bench', startMs: Date.parse(startedAt), ...record })];
}

/** What the bench sends for a brew of a version. */
export function brewOf(recipe: RecipeView, changes: object = {}, brewed: Partial<typeof BREWED> = {}) {
  return {
    recipeVersionId: recipe.versions[0]?.id,
    roastBatchId: recipe.latestRoastBatchId,
    entries: entriesOf(brewed),
    ...changes,
  };
}

export async function storeBrew(agent: TestAgent, recipe: RecipeView): Promise<BrewView> {
  const response = await agent.put(`/api/brews/by-key/${randomUUID()}`).send(brewOf(recipe)).expect(200);
  return response.body as BrewView;
}

/** A lead lets pass whatever a version has not shown, and signs it off. */
export async function signOff(lead: TestAgent, versionId: number): Promise<void> {
  const version = `/api/recipe-versions/${versionId}`;
  const { checks } = (await lead.get(`${version}/proof`).expect(200)).body as ProofView;
  for (const { check, state } of checks) {
    if (state !== 'missing') continue;
    await lead.put(`${version}/waivers/${check}`).send({ reason: 'Not what is tested.' }).expect(200);
  }
  await lead.put(`${version}/sign-off`).send({ reason: 'Not what is tested.' }).expect(200);
}

/** The cookies of a signed-in agent, for a request that it cannot make itself. */
/** The session's cookie among those that an answer brings, as a request sends it back. */
export function sessionCookieIn(setCookies: unknown): string {
  const cookies = Array.isArray(setCookies) ? setCookies.map(String) : [];
  return cookies.find((each) => each.startsWith('vendu.sid='))?.split(';')[0] ?? '';
}

export function cookieOf(agent: TestAgent): string {
  return agent.jar
    .getCookies({ domain: '127.0.0.1', path: '/', script: false, secure: false })
    .map((cookie) => cookie.toValueString())
    .join('; ');
}
