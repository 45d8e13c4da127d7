import { randomUUID } from 'node:crypto';
import { setTimeout as sleep } from 'node:timers/promises';

/** What a device waits for an answer, and before it tries again, ms. */
const ANSWER_WITHIN_MS = 4000;
const AGAIN_MS = 100;
/** A brew of the test: so many marks, each told to the server, then a minute of trace with the whole brew. */
export const MARKS = 6;
const SAMPLES = 600;

/** A brew as the device that made it knows it. */
export interface DeviceBrew {
  key: string;
  marks: number[];
  /** How many of its marks the server has said it has. */
  acknowledged: number;
  isStored: boolean;
}

/** Where the device brews, and the session it has. */
export interface Ground {
  url: string;
  cookie: string;
  recipeVersionId: number;
  roastBatchId: number;
}

/** One request that may fail in any way; `null` where it did. */
export async function ask(
  ground: Pick<Ground, 'url' | 'cookie'>,
  method: string,
  path: string,
  body?: object,
) {
  try {
    const response = await fetch(`${ground.url}/api/${path}`, {
      method,
      headers: { 'content-type': 'application/json', cookie: ground.cookie },
      ...(body ? { body: JSON.stringify(body) } : {}),
      signal: AbortSignal.timeout(ANSWER_WITHIN_MS),
    });
    return response.ok ? await response.json() : null;
  } catch {
    return null;
  }
}

/** Brews one brew after the other as a bench does: each change is told until it is taken, the whole brew at its end. */
export async function brewUntil(ground: Ground, isOver: () => boolean, brews: DeviceBrew[]): Promise<void> {
  while (!isOver()) {
    const brew: DeviceBrew = { key: randomUUID(), marks: [], acknowledged: 0, isStored: false };
    brews.push(brew);
    for (let mark = 0; mark < MARKS; mark++) {
      brew.marks.push(Date.now());
      await tell(ground, brew);
      await sleep(10 + Math.random() * 60);
    }
    await untilTaken(() => ask(ground, 'PUT', `brews/by-key/${brew.key}`, wholeBrew(ground, brew)));
    brew.isStored = true;
  }
}

async function tell(ground: Ground, brew: DeviceBrew): Promise<void> {
  const count = brew.marks.length;
  await untilTaken(() =>
    ask(ground, 'PUT', `running-brews/${brew.key}`, {
      seq: count,
      lotName: 'Kill test',
      brewerName: 'Cone',
      state: 'killed bench',
      entries: marksOf(brew.marks),
    }),
  );
  brew.acknowledged = count;
}

async function untilTaken(send: () => Promise<unknown>): Promise<void> {
  while ((await send()) === null) await sleep(AGAIN_MS);
}

/** Marks, one to a step, as entries of the log of a brew. */
export function marksOf(marks: readonly number[]) {
  return marks.map((atMs, stepIndex) => ({
    device: 'bench',
    number: stepIndex + 1,
    atMs,
    kind: 'marked',
    stepIndex,
    skipped: false,
    by: 'hand',
  }));
}

/** What every brew of the test comes to, measured before it is stored. */
export const MEASURED = { beverageG: 180, readings: [1.31, 1.33] };

function measuredAfter(marks: readonly number[]) {
  const stamp = (at: number) => ({ device: 'bench', number: marks.length + at, atMs: marks.at(-1) ?? 0 });
  return [
    { ...stamp(1), kind: 'weighed', what: 'beverage', massG: MEASURED.beverageG },
    ...MEASURED.readings.map((tdsPercent, at) => ({
      ...stamp(at + 2),
      kind: 'strength-read',
      tdsPercent,
      sampleC: null,
    })),
  ];
}

function wholeBrew({ recipeVersionId, roastBatchId }: Ground, { marks }: DeviceBrew) {
  const atMs = Array.from({ length: SAMPLES }, (_, index) => index * 100);
  return {
    recipeVersionId,
    roastBatchId,
    entries: [...marksOf(marks), ...measuredAfter(marks)],
    trace: { atMs, massG: atMs.map((at) => at / 500) },
    scale: 'kill test',
  };
}
