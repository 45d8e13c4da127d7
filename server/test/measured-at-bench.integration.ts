import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { withEntry, type BrewLog, type Happening } from '@vendu/core';
import type { BrewView, Problem, RecipeView } from '@vendu/contract';
import {
  brewOf,
  entriesOf,
  startRecipe,
  startTestApplication,
  takeInLot,
  type TestApplication,
} from './support/application.js';

let app: TestApplication;
let recipe: RecipeView;
beforeAll(async () => {
  app = await startTestApplication();
  recipe = await startRecipe(app.barista, (await takeInLot(app.barista, { stockG: 500 })).id);
});
afterAll(() => app.close());

const logWith = (...happened: Happening[]): BrewLog =>
  happened.reduce<BrewLog>(
    (log, each) => withEntry(log, 'bench', { ...each, atMs: Date.parse('2026-02-01T09:40:00Z') }),
    entriesOf(),
  );
const put = (key: string, entries: readonly unknown[]) =>
  app.barista.put(`/api/brews/by-key/${key}`).send(brewOf(recipe, { entries }));

describe('a brew that was measured at the bench', () => {
  it('is stored with its beverage and the readings that stand, once however often it is sent', async () => {
    const key = randomUUID();
    const told = logWith(
      { kind: 'weighed', what: 'beverage', massG: 210.44 },
      { kind: 'strength-read', tdsPercent: 1.34, sampleC: 23.5 },
      { kind: 'strength-read', tdsPercent: 1.43, sampleC: null },
      { kind: 'strength-read', tdsPercent: 1.36, sampleC: null },
      { kind: 'undone', of: { device: 'bench', number: 4 } },
    );
    // The last as a page told it before it asked for the sample.
    const entries = told.map((each) => {
      if (each.kind !== 'strength-read' || each.tdsPercent !== 1.36) return each;
      const { sampleC: _, ...older } = each;
      return { ...older, kind: 'read' };
    });
    const stored = (await put(key, entries).expect(200)).body as BrewView;
    expect(stored).toMatchObject({
      beverageG: 210.4,
      readings: [
        { tdsPercent: 1.34, sampleC: 23.5, source: 'typed' },
        { tdsPercent: 1.36, sampleC: null, source: 'typed' },
      ],
    });
    expect(((await put(key, entries).expect(200)).body as BrewView).readings).toHaveLength(2);
    // From here on it is corrected as every other brew is.
    const reading = { tdsPercent: 1.35, sampleC: 21, source: 'typed' };
    const read = await app.barista.post(`/api/brews/${stored.id}/readings`).send(reading).expect(201);
    expect((read.body as BrewView).readings).toHaveLength(3);
  });

  it('is never refused for a beverage that cannot be, which is left out', async () => {
    const entries = logWith({ kind: 'weighed', what: 'beverage', massG: 1400 });
    const stored = (await put(randomUUID(), entries).expect(200)).body as BrewView;
    expect(stored.beverageG).toBeNull();
  });

  it('has a figure of no kind refused, by its name', async () => {
    const [start] = entriesOf();
    const wrong = { ...start, number: 2, kind: 'strength-read', tdsPercent: 13.4, sampleC: null };
    const refused = await put(randomUUID(), [start, wrong]).expect(422);
    expect((refused.body as Problem).errors[0]?.message).toContain('check the decimal point');
  });

  it('is understood from a page that was loaded before weights had a kind of their own', async () => {
    const [start] = entriesOf();
    const older = { ...start, number: 2, kind: 'fines-weighed', finesG: 1.5 };
    const stored = (await put(randomUUID(), [start, older]).expect(200)).body as BrewView;
    expect(stored.events).toContainEqual({ kind: 'fines-weighed', atS: 0, finesG: 1.5 });
  });
});
