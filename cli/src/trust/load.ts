import { randomUUID } from 'node:crypto';
import { setTimeout as sleep } from 'node:timers/promises';
import { marksOf } from '../killTest/device.js';
import { expectOk, startRecipe, type Answer, type Lab, type RecipeMade } from './lab.js';
import { memoryMb } from './memory.js';

/** What a day's work of many people was answered. */
export interface LoadReport {
  people: number;
  seconds: number;
  requests: number;
  /** Answered with 500 or more, or not at all; and refused, which nothing of it should be. */
  failed: string[];
  refused: string[];
  /** By what was asked: how often, and within what half and all but one of twenty were answered, ms. */
  kinds: { kind: string; count: number; medianMs: number; p95Ms: number }[];
  p95Ms: number;
  memoryMb: { before: number; most: number; after: number };
  statementsPerRequest: number;
}

/** Who is there on a busy day of a large lab. */
const CREW = { benches: 6, readers: 20, tasters: 24 };
/** How long people look at a page before they go on, and how often it looks after running brews by itself, ms. */
const LOOKS_MS = { least: 2000, most: 7000 };
const STRIP_EVERY_MS = 15_000;
/** A brew of three minutes: a mark in every quarter of one, and what a bench scale sends ten times a second. */
const BREW = { marks: 12, markEveryMs: 15_000, samples: 1800 };
const SIPS_EVERY_MS = 12_000;
const MEMORY_EVERY_MS = 500;

interface Asked {
  kind: string;
  ms: number;
}

/** Fifty people at work for a while: benches that brew, people who read, tasters who send their sheets. */
export async function load(
  lab: Lab,
  { forMs, serverPid, lots }: { forMs: number; serverPid: number | null; lots: number },
): Promise<LoadReport> {
  const asked: Asked[] = [];
  const [failed, refused]: [string[], string[]] = [[], []];
  let isOver = false;
  const ask = async (kind: string, send: () => Promise<Answer>): Promise<Answer> => {
    const begun = performance.now();
    const answer = await send();
    asked.push({ kind, ms: performance.now() - begun });
    if (answer.status === 0 || answer.status >= 500) failed.push(`${kind}: ${answer.status}`);
    else if (answer.status >= 400) refused.push(`${kind}: ${answer.status} ${JSON.stringify(answer.body)}`);
    return answer;
  };
  const over = () => isOver;
  const rest = (ms: number) => (isOver ? Promise.resolve() : sleep(ms));
  const pause = () => rest(LOOKS_MS.least + Math.random() * (LOOKS_MS.most - LOOKS_MS.least));

  const recipes = await Promise.all(
    Array.from({ length: CREW.benches }, (_, at) =>
      startRecipe(lab, `Load ${at} ${randomUUID().slice(0, 8)}`),
    ),
  );
  const brewed: number[] = [];
  const { barista, secondBarista, lead } = lab;

  const bench = async ({ versionId, roastBatchId }: RecipeMade) => {
    while (!isOver) {
      const key = randomUUID();
      const marks: number[] = [];
      for (let mark = 0; mark < BREW.marks && !over(); mark++) {
        marks.push(Date.now());
        await ask('a mark of a running brew', () =>
          barista.put(`running-brews/${key}`, {
            seq: marks.length,
            lotName: 'Load',
            brewerName: 'Cone',
            state: 'bench',
            entries: marksOf(marks),
          }),
        );
        await rest(BREW.markEveryMs);
      }
      const atMs = Array.from({ length: BREW.samples }, (_, index) => index * 100);
      const { body } = await ask('a brew with its curve', () =>
        barista.put(`brews/by-key/${key}`, {
          recipeVersionId: versionId,
          roastBatchId,
          entries: marksOf(marks),
          trace: { atMs, massG: atMs.map((at) => Math.round(at / 70) / 10) },
          scale: 'load',
        }),
      );
      const { id, revision } = (body ?? {}) as { id?: number; revision?: number };
      if (id === undefined) continue;
      await ask('what it weighed', () => barista.patch(`brews/${id}`, { revision, beverageG: 212.4 }));
      for (const tdsPercent of [1.31, 1.32, 1.31]) {
        await ask('a reading', () => barista.post(`brews/${id}/readings`, { tdsPercent }, randomUUID()));
      }
      brewed.push(id);
    }
  };

  const reader = async (at: number) => {
    const visitor = at % 3 === 0 ? lead : at % 3 === 1 ? barista : secondBarista;
    const anyLot = () =>
      1 + Math.floor(Math.random() * 14) + 100_000 * Math.floor(Math.random() * (lots / 14));
    const pages: readonly [kind: string, path: () => string][] = [
      ['Today', () => 'today'],
      ['the lots', () => `lots?page=${1 + Math.floor(Math.random() * 20)}`],
      ['a search', () => 'lots?search=ridge'],
      ['a lot', () => `lots/${anyLot()}`],
      ['the watch', () => 'watch'],
      ['the kit', () => 'kit'],
      ['a report', () => 'reports/repeating'],
      ['a recipe', () => `recipes/${recipes[Math.floor(Math.random() * recipes.length)]?.recipeId ?? 1}`],
    ];
    for (let page = at; !isOver; page++) {
      const [kind, path] = pages[page % pages.length] ?? ['Today', () => 'today'];
      await ask(kind, () => visitor.get(path()));
      await pause();
    }
  };

  const strip = async () => {
    while (!isOver) {
      await ask('brews that run', () => barista.get('running-brews'));
      await rest(STRIP_EVERY_MS / (CREW.readers + CREW.tasters));
    }
  };

  const taster = async (at: number) => {
    const visitor = at % 2 === 0 ? secondBarista : lead;
    await rest(Math.random() * SIPS_EVERY_MS);
    while (!isOver) {
      const id = brewed.at(-1 - (at % 5)) ?? 1 + (at % 14);
      const stage = (['hot', 'warm', 'cool'] as const)[at % 3] ?? 'warm';
      await ask('a sheet', () =>
        visitor.put(`brews/${id}/tastings/${stage}`, {
          notes: 'plum, cocoa',
          intensities: { acidity: 5, sweetness: 6, body: 5 },
        }),
      );
      await rest(SIPS_EVERY_MS);
    }
  };

  const memory = { before: memoryMb(serverPid) ?? 0, most: 0, after: 0 };
  const weighing = async () => {
    while (!isOver) {
      memory.most = Math.max(memory.most, memoryMb(serverPid) ?? 0);
      await rest(MEMORY_EVERY_MS);
    }
  };

  const statementsBefore = await statements(lab);
  const loops = [
    ...recipes.map((recipe, at) => rest(at * 2000).then(() => bench(recipe))),
    ...Array.from({ length: CREW.readers }, (_, at) => reader(at)),
    ...Array.from({ length: CREW.tasters }, (_, at) => taster(at)),
    strip(),
    weighing(),
  ];
  await sleep(forMs);
  isOver = true;
  await Promise.all(loops);
  const asks = (await statements(lab)) - statementsBefore;
  memory.after = memoryMb(serverPid) ?? 0;
  await expectOk(lead.get('today'));
  return {
    people: CREW.benches + CREW.readers + CREW.tasters,
    seconds: forMs / 1000,
    requests: asked.length,
    failed,
    refused,
    kinds: [...new Set(asked.map(({ kind }) => kind))].map((kind) => {
      const own = asked.filter((each) => each.kind === kind).map(({ ms }) => ms);
      return { kind, count: own.length, medianMs: within(own, 0.5), p95Ms: within(own, 0.95) };
    }),
    p95Ms: within(
      asked.map(({ ms }) => ms),
      0.95,
    ),
    memoryMb: memory,
    statementsPerRequest: asks / Math.max(1, asked.length),
  };
}

function within(times: readonly number[], share: number): number {
  const sorted = [...times].sort((a, b) => a - b);
  return Math.round(sorted[Math.max(0, Math.ceil(share * sorted.length) - 1)] ?? 0);
}

/** What the database was asked since the server's start, by the server's own count. */
async function statements({ url }: Lab): Promise<number> {
  const text = await (await fetch(`${url}/metrics`)).text();
  return Number(/^vendu_statements_total (\d+)/m.exec(text)?.[1] ?? 0);
}
